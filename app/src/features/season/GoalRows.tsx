import { type ReportedGoal } from '@hoddle/core/season/report/seasonReport';
import { productRow } from '@hoddle/core/handbook/products';
import { useId } from 'react';
import { spanWords } from '@hoddle/core/yields/spanWords';
import { View } from 'react-native';
import Svg, { Defs, Rect } from 'react-native-svg';
import { useMassWords } from '@/store/useUnits';
import { COLOURS, hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { HatchPattern } from '@/ui/patterns';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { shortWords } from '@/household/season/seasonWords';

const PRIORITY_WORDS = { staple: 'staple', want: '', gift: 'gift or sale' } as const;

/** Jars wanted, filling up: on the shelf solid, planned hatched, short dashed; in figures too, with why. */
export function GoalRows({ goals }: { goals: readonly ReportedGoal[] }) {
  const mass = useMassWords();
  const sum = (of: (goal: ReportedGoal) => number) => goals.reduce((all, goal) => all + of(goal), 0);
  const shortOf = ({ want, have, planned }: ReportedGoal) => Math.max(0, want - have - planned);
  return (
    <View role="list">
      {goals.map((goal) => {
        const { product, jar, want, have, planned, range, priority } = goal;
        const short = shortOf(goal);
        const why = shortWords(goal, mass);
        const span = spanWords(range);
        const inTen = span === undefined ? '' : ` (8 in 10: ${span})`;
        return (
          <View role="listitem" key={`${product} ${jar}`}>
            <RowLink
              href={{ pathname: '/shelf/board', params: { product, jar } }}
              className="min-h-[64px] flex-row items-center gap-3 border-t border-hair py-2"
            >
              <JarDrawing size={jar} quartPx={40} look="here" {...hueOfProduct(product)} />
              <View className="flex-1 gap-1">
                <View className="flex-row items-baseline justify-between gap-2">
                  <Words weight={700} className="flex-1">
                    {productRow(product).name}
                  </Words>
                  <Words size="label" tone="ink-2">
                    {PRIORITY_WORDS[priority]}
                  </Words>
                </View>
                <GoalBar goal={goal} />
                <Words size="label" tone="ink-2">
                  {want} wanted: {have} here, {planned} planned{planned > 0 ? inTen : ''}
                  {short > 0 ? `, ${short} short` : ', full'}
                </Words>
                {why !== undefined && <Words size="label">{why}</Words>}
              </View>
            </RowLink>
          </View>
        );
      })}
      <View className="flex-row justify-between border-t-2 border-ink py-2">
        <Words weight={800}>All jars</Words>
        <Words weight={800}>
          {sum(({ want }) => want)} wanted, {sum(({ have }) => have)} here, {sum(({ planned }) => planned)} planned,{' '}
          {sum(shortOf)} short
        </Words>
      </View>
    </View>
  );
}

const BAR_PX = 10;

function GoalBar({ goal: { product, want, have, planned } }: { goal: ReportedGoal }) {
  const id = useId().replaceAll(':', '');
  const { hue } = hueOfProduct(product);
  const part = (jars: number) => `${(100 * Math.min(want, jars)) / Math.max(1, want)}%`;
  return (
    <Svg width="100%" height={BAR_PX} aria-hidden>
      <Defs>
        <HatchPattern id={id} hue={hue} />
      </Defs>
      <Rect x={0.5} y={0.5} width="99.6%" height={BAR_PX - 1} fill="none" stroke={COLOURS.edge} strokeDasharray="3 3" />
      <Rect
        x={0}
        y={0}
        width={part(have + planned)}
        height={BAR_PX}
        fill={`url(#${id})`}
        stroke={hue}
        strokeWidth={1}
      />
      <Rect x={0} y={0} width={part(have)} height={BAR_PX} fill={hue} />
    </Svg>
  );
}
