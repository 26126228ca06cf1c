import { PRODUCE } from '../handbook/produce';
import { keepsUntil } from './keeping';
import { PLACES } from './pick';

const DAY = 24 * 60 * 60_000;

test('soft produce never outlasts sound produce of its crop, wherever it stands', () => {
  for (const { crop } of PRODUCE) {
    for (const place of PLACES) {
      const pick = { id: '', crop, massKg: 1, softKg: 0, place, pickedAt: 1_000, told: '' };
      const [soft, sound] = [keepsUntil(pick, 'soft'), keepsUntil(pick, 'sound')];
      expect(soft.days).toBeLessThanOrEqual(sound.days);
      expect(soft.days).toBeLessThanOrEqual(2);
      expect(sound.until).toBe(1_000 + sound.days * DAY);
    }
  }
});
