import { otherQuestion } from '@hoddle/core/day/otherPlans';
import { gasLb, heatCost } from '@hoddle/core/day/planFigures';
import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { useHousehold } from '@/store/useHousehold';
import { ChipRadio } from '@/ui/ChipRadio';
import { clockTimeFrom } from '@/ui/clockWords';
import { COLOURS } from '@/ui/colours';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { type DayFigures } from '@/workers/dayCompare';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useDay } from '@/household/day/useDay';
import { usePages } from '@/household/process/usePages';
import { useFigures } from './useFigures';
import { waysOf } from './waysOf';

const MINUTE_MS = 60_000;
const AXIS_PX = 300;

/** Two ways to do the day, side by side: when it is over, what it takes of hands and heat, and what it saves. */
export function CompareScreen() {
  const day = useDay();
  if (!day || day.live) {
    return (
      <Screen station="plan" title="Two plans side by side" backTo="/plan">
        <Words>
          {day
            ? 'The day has begun: what changes it is asked in the kitchen.'
            : 'No day is planned that could be done in another way.'}
        </Words>
      </Screen>
    );
  }
  return <Compare day={day} />;
}

function Compare({ day }: { day: Day }) {
  const { canners } = useHousehold().household;
  const { question } = day;
  const ways = waysOf(day, canners, usePages()).filter(({ other }) => otherQuestion(question, other));
  const [chosen, setChosen] = useState(0);
  const way = ways[chosen] ?? ways[0];
  const asked = way && otherQuestion(question, way.other);
  const figures = useFigures(asked ? [question, asked] : []);
  const ends = figures.flatMap((own) => (own?.figures ? [own.figures.lateMin] : []));
  const most = Math.max(60, ...ends);
  return (
    <Screen station="plan" title="Two plans side by side" backTo="/plan/life">
      <View className="w-full max-w-[640px] gap-4">
        <View role="radiogroup" aria-label="Beside the plan as it is" className="flex-row flex-wrap gap-2">
          {ways.map(({ words }, i) => (
            <ChipRadio key={words} words={words} chosen={i === chosen} onPress={() => setChosen(i)} />
          ))}
        </View>
        {way ? (
          <View role="list" aria-label="Plans" className="gap-2">
            <PlanRow day={day} words="As it is" figures={figures[0]} most={most} isOwn />
            <PlanRow day={day} words={way.words} figures={figures[1]} most={most} />
          </View>
        ) : (
          <Words>One cook, one canner, one load: there is no other way to lay this day out.</Words>
        )}
        <Words size="label" tone="ink-2">
          Likely, then 9 in 10. Hands and burners in hours; heat as kilowatt-hours, and as pounds of bottled gas where
          that is burnt: heating at full burner, a boil kept at two fifths of it.
        </Words>
      </View>
    </Screen>
  );
}

interface PlanRowProps {
  day: Day;
  words: string;
  figures: DayFigures | undefined;
  most: number;
  isOwn?: boolean;
}

function PlanRow({ day, words, figures: told, most, isOwn }: PlanRowProps) {
  const figures = told?.figures;
  const price = day.question.setup.heatPrice;
  const at = (minute: number) => clockTimeFrom(day.startAt + minute * MINUTE_MS, day.startAt);
  return (
    <View
      role="listitem"
      className={`gap-1 rounded-key px-3 py-2 ${isOwn ? 'bg-plate' : ''}`}
      style={{ boxShadow: isOwn ? 'inset 0 0 0 3px #1D3F8F' : 'inset 0 0 0 2px #6C7A8C' }}
    >
      <Words weight={700}>{words}</Words>
      {!told && <Words role="status">Laying it out.</Words>}
      {told && !figures && <Words weight={700}>It cannot be done so.</Words>}
      {figures && (
        <>
          <Finish endMin={figures.endMin} lateMin={figures.lateMin} most={most} />
          <View className="flex-row flex-wrap items-baseline gap-x-2">
            <Words size="lead" weight={800}>
              {at(figures.endMin)}
            </Words>
            <Words tone="ink-2">by {at(figures.lateMin)}</Words>
          </View>
          <Words>
            Hands {hours(figures.handsMin)}, burners {hours(figures.burnerMin)}
          </Words>
          <Words>
            Heat {figures.kWh.toFixed(1)} kWh, or {gasLb(figures.kWh).toFixed(1)} lb of gas
            {price ? `, ${heatCost(figures.kWh, price).toFixed(2)} at your price` : ''}. Food taken in hand in time:{' '}
            {Math.round(figures.savedKg / KG_PER_LB)} lb
          </Words>
        </>
      )}
    </View>
  );
}

/** Both finishes lie on one axis: a bar where it is likely over, dashed to nine in ten. */
function Finish({ endMin, lateMin, most }: { endMin: number; lateMin: number; most: number }) {
  const x = (minute: number) => 2 + ((AXIS_PX - 4) * minute) / most;
  return (
    <Svg width="100%" height={16} viewBox={`0 0 ${AXIS_PX} 16`} preserveAspectRatio="none" aria-hidden>
      <Path d={`M2 8H${x(endMin)}`} stroke={COLOURS.ink} strokeWidth={1.6} />
      <Path d={`M${x(endMin)} 8H${x(lateMin)}`} stroke={COLOURS.cobalt} strokeWidth={2.4} strokeDasharray="4 4" />
      <Path d={`M${x(endMin)} 1V15`} stroke={COLOURS.cobalt} strokeWidth={4} />
      <Path d={`M${x(lateMin)} 3V13`} stroke={COLOURS.cobalt} strokeWidth={2} />
    </Svg>
  );
}

/** "4.5 h" */
function hours(minutes: number): string {
  return `${(minutes / 60).toFixed(1)} h`;
}
