import { expect, type Locator, type Page } from '@playwright/test';
import { laterBy } from './demoClock';
import { kitchenHands } from './kitchenHands';
import { type RealServer } from './realServer';

/** Begins and ends steps, whatever they are, until this is to be seen. @param most steps at most */
export async function throughSteps(page: Page, server: RealServer, wanted: Locator, most = 30): Promise<void> {
  const hands = kitchenHands(page, server.address);
  const told = async () => ((await server.call('GET', '/state')).body as { dayEvents: unknown[] }).dayEvents.length;
  const keys = ['Start', 'Start its clock', 'Done'].map((name) => hands.key(name).first());
  for (let step = 0; step < most && !(await wanted.first().isVisible()); step++) {
    // Whichever comes: what was wanted, or the key of the next step; where something has to pass first, it passes.
    const any = keys.reduce((all, key) => all.or(key), wanted).first();
    await any.waitFor({ timeout: 3_000 }).catch(() => laterBy(server, 10));
    for (const key of keys) {
      if ((await wanted.first().isVisible()) || !(await key.isVisible())) continue;
      const before = await told();
      if ((await key.innerText()) === 'Done') await laterBy(server, 1);
      await key.click();
      // A second tap in the same half second is none.
      await expect
        .poll(told, { timeout: 2_000 })
        .toBeGreaterThan(before)
        .catch(() => laterBy(server, 10));
      break;
    }
  }
  await expect(wanted.first()).toBeVisible();
}
