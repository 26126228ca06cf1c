import * as v from 'valibot';
import { CannerSchema, type Household, type Kitchen, KitchenSchema } from '@hoddle/contract/household';
import { handbookCanner } from '@hoddle/core/canner/handbookCanner';
import { USUAL_KITCHEN } from '@hoddle/core/day/kitchenSetup';
import { CANNERS, type CannerRow } from '@hoddle/core/handbook/canners';
import { idOf } from './demoIds';

/** Two canners: the common pot, an inch deeper than usual, and a steam pan. */
export function demoCanners(bigEnamel: string): Household['canners'] {
  const common = handbookCanner(row('21-quart enamel'), { id: bigEnamel, name: 'Big enamel' });
  const steamPan = handbookCanner(row('atmospheric steam pan'), { id: idOf('Steam pan'), name: 'Steam pan' });
  return [{ ...common, insideHeightIn: 10.5 }, steamPan].map((canner) => v.parse(CannerSchema, canner));
}

/** One cook all day but for chores and dinner, and a helper in the afternoon. */
export function demoKitchen(): Kitchen {
  const at = (hour: number, minute = 0) => 60 * hour + minute;
  const chores = [at(6, 30), at(17)].map((fromMin) => ({
    fromMin,
    toMin: fromMin + 60,
    atHome: false,
    words: 'Chores',
  }));
  const dinner = { fromMin: at(18, 30), toMin: at(19, 15), atHome: true, words: 'Dinner' };
  return v.parse(KitchenSchema, {
    ...USUAL_KITCHEN,
    cooks: [
      { name: 'Cook', fromMin: at(5, 30), toMin: at(22), breaks: [...chores, dinner] },
      { name: 'Helper', fromMin: at(13), toMin: at(17), breaks: [] },
    ],
  });
}

function row(name: string): CannerRow {
  const found = CANNERS.find(({ canner }) => canner === name);
  if (!found) throw new RangeError(`no canner ${name} in the handbook`);
  return found;
}
