import { errandMinutes } from '@hoddle/core/day/errand';
import { errandTaskId, movableErrands, type StandingErrand, standingErrands } from '@hoddle/core/day/errandTasks';
import { useId } from 'react';
import { View } from 'react-native';
import Svg, { Defs, Path, Pattern, Rect } from 'react-native-svg';
import { useTellDay } from '@/household/kitchen/useTellDay';
import { clockTimeFrom, duration } from '@/ui/clockWords';
import { COLOURS } from '@/ui/colours';
import { Words } from '@/ui/Words';
import { awayWords, errandName, errandTimeWords } from '@/household/day/errandWords';
import { PX_PER_MIN, type StripScale } from './stripScale';
import { TimeHandle } from './TimeHandle';
import { type DayWithPlan } from '@hoddle/core/kitchen/dayInHand';

const MINUTE_MS = 60_000;
const DAY_MIN = 24 * 60;
const GRIP_PX = 48;

interface OnStrip {
  readonly day: DayWithPlan;
  readonly scale: StripScale;
  readonly leftPx: number;
  readonly widthPx: number;
}

interface Lying extends StandingErrand {
  readonly later: number;
  readonly isLoose: boolean;
}

/** What is done besides, across the hands and the wait it lies in; it is dragged, or moved by keys. */
export function ErrandBlocks(props: OnStrip) {
  return errandsOf(props.day).map((lying) => (
    <ErrandBlock key={`${lying.errand.id} ${lying.later}`} {...props} lying={lying} />
  ));
}

/** The errands of the days that a plan goes over, as far as its end. */
export function errandsOf({ question, tasks, startAt, likelyAt }: DayWithPlan): Lying[] {
  const endMin = (likelyAt - startAt) / MINUTE_MS;
  const days = Math.floor((question.startMinute + endMin) / DAY_MIN) + 1;
  const standing = Array.from({ length: days }, (_, later) =>
    standingErrands(question, later).map((own): Lying => ({ ...own, later, isLoose: false })),
  ).flat();
  const moved = movableErrands(question).flatMap(({ errand, day: later }): Lying[] => {
    const entry = tasks.find(({ task }) => task.id === errandTaskId(errand.id, later));
    return entry ? [{ errand, later, fromMin: entry.startMin, toMin: entry.endMin, isLoose: true }] : [];
  });
  return [...standing, ...moved].filter(({ fromMin, toMin }) => toMin > 0 && fromMin < endMin);
}

function ErrandBlock({ day, scale: { yOf }, leftPx, widthPx, lying }: OnStrip & { lying: Lying }) {
  const tell = useTellDay(day.id);
  const { errand, later, fromMin, toMin, isLoose } = lying;
  const midnight = later * DAY_MIN - day.question.startMinute;
  const shown = Math.max(0, fromMin);
  const top = yOf(shown);
  const height = Math.max(22, yOf(toMin) - top - 2);
  const minutes = errandMinutes(errand);
  const away = awayWords(errand, day.question.setup.cooks.length);
  const timeOf = (minute: number) => clockTimeFrom(day.startAt + minute * MINUTE_MS, day.startAt);
  const set = (minute: number) => {
    const from = Math.round(minute - midnight);
    const { id, cook, words, atHome } = errand;
    const stands = { cook, words, atHome, fromMin: from, toMin: from + minutes };
    tell({ type: 'errand-set', errandId: id, ...stands, ...(later > 0 && { later }) });
  };
  const slot = isLoose && { from: yOf(Math.max(0, midnight + errand.fromMin)), to: yOf(midnight + errand.toMin) };
  return (
    <>
      {slot && (
        <View
          className="absolute w-[12px] border-y-[3px] border-cobalt"
          style={{
            left: leftPx + widthPx - 13,
            top: slot.from,
            height: Math.max(height, slot.to - slot.from),
            pointerEvents: 'none',
          }}
        >
          <View className="ml-[4px] flex-1 border-l-[2px] border-dotted border-cobalt" />
        </View>
      )}
      <View
        className="absolute flex-row overflow-hidden rounded-[8px] border-2 border-ink bg-plate"
        style={{ left: leftPx, top, width: widthPx, height }}
      >
        <Stripes height={height} />
        <View className="flex-1 px-2">
          <Words
            size={height > 40 ? 'lead' : 'label'}
            weight={800}
            numberOfLines={1}
            style={{ lineHeight: height > 40 ? 22 : 18 }}
          >
            {height > 62 ? (errand.words ?? errandName(errand)) : errandName(errand)}
          </Words>
          {height > 42 && (
            <Words size="label" weight={600} numberOfLines={height > 80 ? 2 : 1} style={{ lineHeight: 17 }}>
              {height > 62 ? `${duration(minutes * MINUTE_MS)}, ` : ''}
              {errandTimeWords(errand)}
            </Words>
          )}
          {height > 62 && (
            <Words size="small" tone="ink-2" numberOfLines={2} style={{ lineHeight: 15 }}>
              {away}
            </Words>
          )}
        </View>
      </View>
      {/* Only its grip is dragged: a thumb that scrolls the day moves no dinner. */}
      {!day.live && (
        <TimeHandle
          label={`${errandName(errand)}, ${errandTimeWords(errand)}, ${away}: at`}
          minute={Math.round(fromMin)}
          words={timeOf}
          pxPerMin={PX_PER_MIN}
          least={Math.max(0, midnight)}
          most={midnight + DAY_MIN - minutes}
          onSet={set}
          className="absolute items-center justify-center"
          style={{
            left: leftPx + widthPx - GRIP_PX + 12,
            top: top + height / 2 - GRIP_PX / 2,
            width: GRIP_PX,
            height: GRIP_PX,
          }}
        >
          {(at, isMoved) => (
            <View style={{ transform: [{ translateY: isMoved ? (at - Math.round(fromMin)) * PX_PER_MIN : 0 }] }}>
              <View className="h-[40px] w-[14px] rounded-chip border-[3px] border-cobalt bg-plate" />
              {isMoved && (
                <View className="absolute right-[20px] top-2 w-[84px] rounded-chip bg-ink px-2 py-1">
                  <Words size="label" weight={700} tone="white">
                    {timeOf(at)}
                  </Words>
                </View>
              )}
            </View>
          )}
        </TimeHandle>
      )}
    </>
  );
}

/** Away-stripes over the hands. */
function Stripes({ height }: { height: number }) {
  const id = useId().replaceAll(':', '');
  return (
    <Svg width={12} height={height} aria-hidden>
      <Defs>
        <Pattern id={`away${id}`} width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <Rect width={1.6} height={7} fill={COLOURS.ink} fillOpacity={0.4} />
        </Pattern>
      </Defs>
      <Rect width={11} height={height} fill={`url(#away${id})`} />
      <Path d={`M11.300 0V${height}`} stroke={COLOURS.ink} strokeWidth={1.4} />
    </Svg>
  );
}
