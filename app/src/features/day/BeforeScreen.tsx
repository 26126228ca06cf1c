import { type Batch } from '@hoddle/core/day/batch';
import { beforeYouStart } from '@hoddle/core/day/beforeYouStart';
import { countJars } from '@hoddle/core/handbook/jars';
import { productRow } from '@hoddle/core/handbook/products';
import { findTestedRow } from '@hoddle/core/process/findProcess';
import { type ReactNode } from 'react';
import { View } from 'react-native';
import { DosePart } from '@/features/process/DosePart';
import { usePages } from '@/features/process/usePages';
import { useHousehold } from '@/store/useHousehold';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Heading, Words } from '@/ui/Words';
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
  const { jars, lids, canners, tools } = beforeYouStart(day.batches, used);
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
          {canners.map((name) => (
            <Line key={name}>{name}, its rack in, water to the rack and more.</Line>
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
  const jars = batch.loads.reduce((sum, load) => sum + load.jars, 0);
  return (
    <Part title={product.name}>
      {row.kind === 'testedRow' && <DosePart row={row} jar={batch.jar} jars={jars} />}
      {product.hasFormula && <Line>Its formula, weighed out: brine or syrup before the produce is cut.</Line>}
    </Part>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <View className="gap-1">
      <Heading>{title}</Heading>
      <View role="list">{children}</View>
    </View>
  );
}

function Line({ children }: { children: ReactNode }) {
  return (
    <View role="listitem" className="border-t border-hair py-2">
      <Words>{children}</Words>
    </View>
  );
}
