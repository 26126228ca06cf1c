import { View } from 'react-native';
import Svg, { Circle, Ellipse, Path } from 'react-native-svg';
import { useTellDay } from '@/household/kitchen/useTellDay';
import { clockTimeFrom } from '@/ui/clockWords';
import { COLOURS } from '@/ui/colours';
import { Words } from '@/ui/Words';
import { PX_PER_MIN } from './stripScale';
import { TimeHandle } from './TimeHandle';
import { type DayLoad, type DayWithPlan } from '@hoddle/core/kitchen/dayInHand';

const MINUTE_MS = 60_000;
const DAY_MIN = 24 * 60;
const BRASS = { head: '#A88000', foot: '#7A5C00' };

/** The tack of a load: dragged or moved by keys, it keeps the load at that time. Hollow where the plan finds the time itself. */
export function Tack({
  day,
  load,
  number,
  minute,
}: {
  day: DayWithPlan;
  load: DayLoad;
  number: number;
  minute: number;
}) {
  const tell = useTellDay(day.id);
  const isPinned = day.state.wishes.some((wish) => wish.kind === 'pin' && wish.loadId === load.id);
  const timeOf = (at: number) => clockTimeFrom(day.startAt + at * MINUTE_MS, day.startAt);
  return (
    <TimeHandle
      label={`Load ${number}, ${isPinned ? 'kept' : 'goes in'} at`}
      minute={Math.round(minute)}
      words={timeOf}
      pxPerMin={PX_PER_MIN}
      least={0}
      most={2 * DAY_MIN}
      onSet={(at) =>
        tell({ type: 'wish-made', wish: { kind: 'pin', loadId: load.id, at: day.startAt + at * MINUTE_MS } })
      }
      className="absolute -right-[12px] -top-[20px] h-[48px] w-[48px] items-center justify-center"
    >
      {(at, isMoved) => (
        <View style={{ transform: [{ translateY: isMoved ? (at - minute) * PX_PER_MIN : 0 }] }}>
          <Svg width={30} height={34} viewBox="0 0 30 34" aria-hidden>
            <Path d="M13 21L4 32L16 23Z" fill={COLOURS.ink} />
            <Ellipse
              cx={14}
              cy={20}
              rx={7}
              ry={5}
              fill={isPinned || isMoved ? BRASS.foot : COLOURS.plate}
              stroke={COLOURS.ink}
              strokeWidth={1.6}
            />
            <Circle
              cx={16}
              cy={12}
              r={10}
              fill={isPinned || isMoved ? BRASS.head : COLOURS.plate}
              stroke={COLOURS.ink}
              strokeWidth={1.8}
            />
            {(isPinned || isMoved) && (
              <Path d="M10 11q1 -4 5 -5" fill="none" stroke={COLOURS.white} strokeWidth={2} strokeLinecap="round" />
            )}
          </Svg>
          {isMoved && (
            <View className="absolute right-[34px] top-0 w-[84px] rounded-chip bg-ink px-2 py-1">
              <Words size="label" weight={700} tone="white">
                {timeOf(at)}
              </Words>
            </View>
          )}
        </View>
      )}
    </TimeHandle>
  );
}
