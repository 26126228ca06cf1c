import { inZone } from '@/store/householdZone';
import { addHours } from 'date-fns/addHours';
import { startOfHour } from 'date-fns/startOfHour';
import { format } from 'date-fns/format';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useHousehold } from '@/store/useHousehold';
import { clockTimeFrom, duration } from '@/ui/clockWords';
import { HeatSign } from '@/ui/HeatSign';
import { useIsWide } from '@/ui/StationBar';
import { Words } from '@/ui/Words';
import { ErrandBlocks, errandsOf } from './ErrandBlocks';
import { columnOf, LoadBlock } from './LoadBlock';
import { stepLines, stoveLanes } from './stripLayout';
import { PX_PER_MIN, type StripScale, stripScale } from './stripScale';
import { type DayLoad, type DayWithPlan } from '@hoddle/core/kitchen/dayInHand';

const MINUTE_MS = 60_000;
const GUTTER_PX = 54;
const STEPS_PX = 150;
/** With two canners side by side the words have less room. */
const NARROW_STEPS_PX = 138;
const LANE_PX = 14;

/** The day from top to bottom: clock, hands, pots on the stove, the canner with its loads, the likely end. */
export function DayStrip({ day, now }: { day: DayWithPlan; now: number }) {
  const scale = useMemo(() => stripScale(day.tasks, (day.lateAt - day.startAt) / MINUTE_MS, besidesOf(day)), [day]);
  const { yOf } = scale;
  const lanes = stoveLanes(day.tasks);
  const lanesWide = Math.max(1, ...lanes.map(({ lane }) => lane + 1));
  const canners = useHousehold().household.canners.filter(({ id }) => day.loads.some((load) => load.cannerId === id));
  const wide = useIsWide();
  const stepsPx = canners.length > 1 && !wide ? NARROW_STEPS_PX : STEPS_PX;
  const share = 100 / Math.max(1, canners.length);
  const stoveX = GUTTER_PX + 16 + stepsPx;
  const cannerX = stoveX + lanesWide * (LANE_PX + 3) + 8;
  const topOf = ({ id }: DayLoad) =>
    yOf(day.tasks.find(({ task }) => task.loadId === id && task.kind === 'load')?.startMin ?? 0);
  const minuteOf = (at: number) => (at - day.startAt) / MINUTE_MS;
  const endMin = minuteOf(day.lateAt);
  const nowMin = minuteOf(now);
  return (
    <View className="bg-plate">
      <View className="flex-row border-b-2 border-cobalt pb-1 pt-2">
        <View style={{ width: GUTTER_PX }} />
        <Words size="label" weight={700} style={{ width: stoveX - GUTTER_PX }}>
          Hands
        </Words>
        <Words size="label" weight={700} className="absolute top-2" style={{ left: stoveX - 14 }}>
          Pots
        </Words>
        <View className="absolute top-2 flex-row" style={{ left: cannerX, right: 12 }}>
          {canners.map(({ id, name }) => (
            <Words key={id} size="label" weight={700} numberOfLines={1} className="pl-2" style={{ width: `${share}%` }}>
              {canners.length > 1 ? name : 'Canner'}
            </Words>
          ))}
        </View>
      </View>
      <View style={{ height: yOf(endMin) + 34 }}>
        <Hours day={day} scale={scale} />
        {stepLines(day.tasks, scale).map(({ entry, works, y, height, wordsY }) => (
          <View key={entry.task.id}>
            {works && (
              <View
                className="absolute rounded-[2px] bg-ink"
                style={{ left: GUTTER_PX, top: y, width: 11, height: Math.max(3, height - 2) }}
              />
            )}
            <View className="absolute flex-row" style={{ left: GUTTER_PX + 16, top: wordsY, width: stepsPx + 4 }}>
              <Words
                size="small"
                weight={works ? 600 : 400}
                tone={works ? 'ink' : 'ink-2'}
                numberOfLines={1}
                style={{ lineHeight: 17 }}
              >
                {entry.task.words}
              </Words>
            </View>
          </View>
        ))}
        <ErrandBlocks day={day} scale={scale} leftPx={GUTTER_PX - 2} widthPx={cannerX - GUTTER_PX - 4} />
        {lanes.map(({ entry, lane }) => (
          <View
            key={`pot ${entry.task.id}`}
            className="absolute rounded-[4px] border-2 border-ink-2"
            style={{
              left: stoveX + lane * (LANE_PX + 3),
              top: yOf(entry.startMin),
              width: LANE_PX,
              height: (entry.endMin - entry.startMin) * PX_PER_MIN - 1,
            }}
          />
        ))}
        <View className="absolute bottom-0 top-0" style={{ left: cannerX, right: 12 }}>
          {day.tasks
            .filter(({ task }) => task.kind === 'preheat')
            .map(({ task, startMin, endMin: end }) => (
              <View
                key={task.id}
                className="absolute flex-row items-center justify-center gap-2 rounded-[6px] border-2 border-dashed border-heat"
                style={{
                  ...columnOf(task.cannerId, canners),
                  top: yOf(startMin),
                  height: (end - startMin) * PX_PER_MIN - 2,
                }}
              >
                <HeatSign phase="heating" size={20} />
                <Words size="label" weight={600}>
                  Water on
                </Words>
              </View>
            ))}
          {day.loads.map((load) => (
            <LoadBlock
              key={load.id}
              load={load}
              number={day.loads.indexOf(load) + 1}
              day={day}
              column={columnOf(load.cannerId, canners)}
              topPx={topOf(load)}
            />
          ))}
        </View>
        <Finish day={day} scale={scale} />
        {nowMin >= 0 && nowMin <= endMin && <NowLine now={now} y={yOf(nowMin)} />}
      </View>
    </View>
  );
}

/** When somebody is at something else, as far as the plan goes. */
function besidesOf(day: DayWithPlan) {
  return errandsOf(day)
    .filter(({ toMin }) => toMin > 0)
    .map(({ fromMin, toMin }) => ({ startMin: Math.max(0, fromMin), endMin: toMin }));
}

interface OnStrip {
  day: DayWithPlan;
  scale: StripScale;
}

function Hours({ day, scale: { yOf, pauses } }: OnStrip) {
  const first = addHours(startOfHour(inZone(day.startAt)), 1).getTime();
  const count = Math.max(0, Math.floor((day.lateAt - first) / (60 * MINUTE_MS)) + 1);
  const hours = Array.from({ length: count }, (_, i) => first + i * 60 * MINUTE_MS);
  const startY = yOf(0);
  const endY = yOf((day.likelyAt - day.startAt) / MINUTE_MS);
  return (
    <>
      <View className="absolute w-[48px] items-end" style={{ top: startY - 9 }}>
        <Words size="label" weight={700}>
          {format(inZone(day.startAt), 'h:mm')}
        </Words>
      </View>
      {hours.map((at) => {
        const minute = (at - day.startAt) / MINUTE_MS;
        if (pauses.some(({ fromMin, toMin }) => minute > fromMin && minute < toMin)) return null;
        const y = yOf(minute);
        // The start and the likely end stand in the same column.
        if (y - startY < 26 || Math.abs(y - endY) < 30) return null;
        return (
          <View key={at} className="absolute left-0 right-0 flex-row" style={{ top: y - 9 }}>
            <View className="w-[48px] items-end">
              <Words size="lead" weight={700} style={{ lineHeight: 18 }}>
                {format(inZone(at), 'h')}
              </Words>
              <Words size="small" tone="ink-2" style={{ lineHeight: 14 }}>
                {format(inZone(at), 'aaa')}
              </Words>
            </View>
            <View className="absolute h-[1px] bg-hair" style={{ left: GUTTER_PX + 14, right: 0, top: 9 }} />
          </View>
        );
      })}
      {pauses.map(({ fromMin, toMin, afterEnd }) =>
        afterEnd ? null : (
          <View
            key={fromMin}
            className="absolute justify-center border-y-2 border-dashed border-key-edge pl-4"
            style={{ left: GUTTER_PX, right: 12, top: yOf(toMin) - 42, height: 34 }}
          >
            <Words size="label" weight={600} tone="ink-2">
              {duration((toMin - fromMin) * MINUTE_MS)} wait, on at{' '}
              {clockTimeFrom(day.startAt + toMin * MINUTE_MS, day.startAt)}
            </Words>
          </View>
        ),
      )}
    </>
  );
}

function Finish({ day, scale: { yOf } }: OnStrip) {
  const y = yOf((day.likelyAt - day.startAt) / MINUTE_MS);
  const lateY = yOf((day.lateAt - day.startAt) / MINUTE_MS);
  return (
    <>
      <View className="absolute h-[4px] bg-cobalt" style={{ left: GUTTER_PX, right: 0, top: y }} />
      <View
        className="absolute border-r-2 border-dashed border-cobalt"
        style={{ right: 14, top: y, height: lateY - y }}
      />
      <View className="absolute w-[50px] items-end" style={{ top: y - 8 }}>
        <Words size="label" weight={800} style={{ lineHeight: 18 }}>
          {format(inZone(day.likelyAt), 'h:mm')}
        </Words>
      </View>
      <Words size="label" weight={700} tone="cobalt" className="absolute" style={{ left: GUTTER_PX + 6, top: y + 6 }}>
        likely done
      </Words>
      <Words size="small" tone="ink-2" className="absolute" style={{ right: 24, top: lateY - 2 }}>
        9 in 10: {clockTimeFrom(day.lateAt, day.startAt)}
      </Words>
    </>
  );
}

function NowLine({ now, y }: { now: number; y: number }) {
  return (
    <View className="absolute left-0 right-0" style={{ top: y - 11, pointerEvents: 'none' }}>
      <View className="absolute left-[50px] right-0 top-[10px] h-[2px] bg-ink" />
      <View className="w-[52px] items-center rounded-chip bg-ink py-[1px]">
        <Words size="small" weight={700} tone="white">
          {format(inZone(now), 'h:mm')}
        </Words>
      </View>
    </View>
  );
}
