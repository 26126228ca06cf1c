import { layOut } from '../src/kitchen/layOut';
import { solveRest } from '../src/kitchen/solveRest';
import { type Made, productQuestion } from './day/productDay';
import { liveDay, restAt } from './kitchen/liveDay';
import { machineWords, say } from './report';

const SEED = 20_260_829;

/** Four canner loads of real products, in one pot and in two. */
const DAYS: readonly (readonly Made[])[] = [
  [['tomatoes-crushed', 'quart', [7, 7, 7, 7], 88]],
  [
    ['tomatoes-crushed', 'quart', [7, 7], 44],
    ['plums', 'pint', [9], 9],
    ['dilled-beans', 'pint', [9], 5],
  ],
  [
    ['tomatoes-crushed', 'quart', [7, 7, 7], 66],
    ['jam-no-pectin', 'half-pint', [8], 6],
  ],
];

const quantile = (values: readonly number[], part: number) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(part * values.length))] ?? NaN;

say(machineWords(SEED));
for (const [k, made] of DAYS.entries()) {
  for (const pots of [1, 2]) {
    const live = liveDay(productQuestion(made, pots), SEED + k, { nodes: 800 });
    if (!live) throw new Error(`no plan for day ${k}`);
    const end = Math.max(...[...live.real.values()].map((span) => span.end));
    const layMs: number[] = [];
    const solveMs: number[] = [];
    const gains: number[] = [];
    for (let part = 0; part < 20; part++) {
      const { progress } = restAt(live, Math.floor((part / 20) * end));
      const rest = { question: { ...live.question, progress }, order: live.order, cannerOf: live.cannerOf };
      const began = performance.now();
      const laid = layOut(rest.question, rest.order, rest.cannerOf);
      const laidAt = performance.now();
      const { best } = solveRest(rest);
      layMs.push(laidAt - began);
      solveMs.push(performance.now() - laidAt);
      if (laid && best) gains.push(laid.endMin - best.endMin);
    }
    say(
      `4 loads of ${made.map(([product]) => product).join(', ')}, ${pots} ${pots === 1 ? 'pot' : 'pots'}, ${live.whole.tasks.length} tasks, at 20 moments: laid out in its order in ${quantile(layMs, 0.5).toFixed(1)} ms (slowest ${Math.max(...layMs).toFixed(0)}), solved again with the late finish in ${quantile(solveMs, 0.5).toFixed(0)} ms (slowest ${Math.max(...solveMs).toFixed(0)}); over ${quantile(gains, 0.5).toFixed(0)} min sooner at the middle, ${Math.max(...gains).toFixed(0)} at most`,
    );
  }
}
