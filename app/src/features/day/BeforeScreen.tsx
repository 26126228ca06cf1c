import { type CannerMethod, isPressure } from '@hoddle/core/canner/canner';
import { type Batch, jarsOf } from '@hoddle/core/day/batch';
import { beforeYouStart } from '@hoddle/core/day/beforeYouStart';
import { madeBefore } from '@hoddle/core/day/daySequence';
import { countJars } from '@hoddle/core/handbook/jars';
import { productRow } from '@hoddle/core/handbook/products';
import { stepOf } from '@hoddle/core/handbook/steps';
import { findTestedRow } from '@hoddle/core/process/findProcess';
import { View } from 'react-native';
import { DosePart } from '@/features/process/DosePart';
import { usePages } from '@/features/process/usePages';
import { useHousehold } from '@/store/useHousehold';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Words } from '@/ui/Words';
import { FormulaLines } from './FormulaLines';
import { Line, Part } from './ReadyLists';
import { type Day, useDay } from './useDay';

/** What must lie ready before the day begins: jars, lids, canners, tools, acid and brine. */
export function BeforeScreen() {
  const day = useDay();
  return (
    <Screen station="plan" title="Before you start" backTo="/plan">
      {day ? <Lists day={day} /> : <Words>Nothing is planned yet.</Words>}
    </Screen>
  );
}

function Lists({ day }: { day: Day }) {
  const wide = useIsWide();
  const { household } = useHousehold();
  const used = household.canners.filter(({ id }) => day.loads.some(({ cannerId }) => cannerId === id));
  const { jars, lids, tools } = beforeYouStart(day.batches);
  const all = jars.reduce((sum, entry) => sum + entry.jars, 0);
  const { towelJars } = household.kitchen;
  return (
    <View className={wide ? 'flex-row gap-10' : 'gap-5'}>
      <View className={wide ? 'flex-1 gap-5' : 'gap-5'}>
        <Part title="Jars, washed and hot">
          {jars.map(({ jar, jars: count, spare }) => (
            <Line key={jar}>
              {countJars(count, jar)} and {spare} to spare. Rims without chips, bottoms without cracks.
            </Line>
          ))}
          {lids.map(({ mouth, lids: count }) => (
            <Line key={mouth}>
              {count} new {mouth} lids; bands that turn freely.
            </Line>
          ))}
          {all > towelJars && (
            <Line>
              {all} jars cool an inch apart: your towels hold {towelJars}. Clear more room.
            </Line>
          )}
        </Part>
        <Part title="On the stove">
          {used.map(({ name, method }) => (
            <Line key={name}>
              {name}, its rack in, {waterWords(method)}.
            </Line>
          ))}
        </Part>
        <Part title="On the towel">
          {tools.map((tool) => (
            <Line key={tool}>{tool}</Line>
          ))}
        </Part>
      </View>
      <View className={wide ? 'flex-1 gap-5' : 'gap-5'}>
        {day.batches.map((batch) => (
          <BatchDoses key={batch.id} batch={batch} />
        ))}
      </View>
    </View>
  );
}

function BatchDoses({ batch }: { batch: Batch }) {
  const pages = usePages();
  const row = findTestedRow(batch, pages);
  const product = productRow(batch.product);
  const jars = jarsOf(batch);
  return (
    <Part title={product.name}>
      {row.kind === 'testedRow' && <DosePart row={row} jar={batch.jar} jars={jars} />}
      {madeBefore(product).map((entry) => (
        <Line key={entry}>Done by now: {stepOf(entry).plainWords.toLowerCase()}.</Line>
      ))}
      {product.hasFormula && <FormulaLines batch={batch} />}
    </Part>
  );
}

function waterWords(method: CannerMethod): string {
  if (isPressure(method)) return '2 to 3 in of water, vent and gasket clean';
  return method === 'steam' ? 'water under the rack' : 'water to the rack and more';
}
