import { forecastHarvest } from '../src/harvest/forecastHarvest';
import { usualKg } from '../src/harvest/planting';
import { chanceFrom } from './chance';
import { machineWords, say } from './report';
import { simulateHarvest, YEAR } from './simulatedHarvest';
import { simulateShortSeason } from './simulatedShortSeason';

const SEED = 20_260_829;
const PLANTINGS = 600;

/** By mid-season the error of the remaining pounds is to be at most this part of the forecast's that nobody corrected. */
const AIM = 0.6;

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const percent = (part: number) => `${(part * 100).toFixed(1)} %`;

const TRUTHS = [
  ['plantings that ripen plant by plant', simulateHarvest],
  ['short seasons with few pickings', simulateShortSeason],
] as const;
const MIDDLES = [
  ['midSeasonAt', 'half way from the first picking to the last'],
  ['midCalendarAt', 'half way between the weeks set up'],
] as const;

say(machineWords(SEED));
for (const [truth, simulate] of TRUTHS) for (const [when, words] of MIDDLES) report(truth, simulate, when, words);

function report(
  truth: string,
  simulate: typeof simulateHarvest,
  when: (typeof MIDDLES)[number][0],
  words: string,
): void {
  const chance = chanceFrom(SEED);
  const corrected: number[] = [];
  const unadjusted: number[] = [];
  let covered = 0;
  let spentMs = 0;
  for (let n = 0; n < PLANTINGS; n++) {
    const { planting, picks, pickings, [when]: at } = simulate(chance);
    const remainingKg = pickings.filter((each) => each.at > at).reduce((sum, { massKg }) => sum + massKg, 0);
    const book = { plantings: [planting], picks, looks: [] };
    const began = performance.now();
    const told = forecastHarvest(planting, book, YEAR, at).remainingKg;
    spentMs += performance.now() - began;
    const asSetUp = forecastHarvest(planting, { ...book, picks: [] }, YEAR, at).remainingKg;
    // In parts of a usual season, so that an orchard does not drown a bed.
    corrected.push(Math.abs(told.p50 - remainingKg) / usualKg(planting));
    unadjusted.push(Math.abs(asSetUp.p50 - remainingKg) / usualKg(planting));
    if (told.p10 <= remainingKg && remainingKg <= told.p90) covered += 1;
  }
  const ratio = mean(corrected) / mean(unadjusted);
  say(
    `harvest curve, ${PLANTINGS} ${truth}, ${words}: remaining pounds off by ${percent(mean(corrected))} of a usual season, ` +
      `${percent(mean(unadjusted))} uncorrected; ratio ${ratio.toFixed(3)}, at most ${AIM} asked: ${ratio <= AIM ? 'reached' : 'missed'}; ` +
      `8 in 10 hold ${percent(covered / PLANTINGS)}; ${(spentMs / PLANTINGS).toFixed(1)} ms each`,
  );
}
