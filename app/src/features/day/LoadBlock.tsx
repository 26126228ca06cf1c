import { nameOf } from '@hoddle/core/day/batch';
import { cannerWords } from '@hoddle/core/day/cannerWords';
import { countJars } from '@hoddle/core/handbook/jars';
import { View } from 'react-native';
import { clockTimeFrom } from '@/ui/clockWords';
import { COLOURS, hueOfProduct } from '@/ui/colours';
import { HeatSign } from '@/ui/HeatSign';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { PX_PER_MIN } from './stripScale';
import { Tack } from './Tack';
import { type DayLoad, type DayWithPlan } from '@hoddle/core/kitchen/dayInHand';

const MINUTE_MS = 60_000;

/** Where a canner's column begins and how wide it is, of the room there is for all. */
export function columnOf(cannerId: string | undefined, canners: readonly { readonly id: string }[]) {
  const k = Math.max(
    0,
    canners.findIndex(({ id }) => id === cannerId),
  );
  const share = 100 / Math.max(1, canners.length);
  return { left: `${k * share}%`, width: `${share - (canners.length > 1 ? 2 : 0)}%` } as const;
}

interface LoadBlockProps {
  load: DayLoad;
  number: number;
  day: DayWithPlan;
  column: ReturnType<typeof columnOf>;
  topPx: number;
}

/** One load in its canner: heats, is processed, rests; the whole block opens the load. */
export function LoadBlock({ load, number, day, column, topPx }: LoadBlockProps) {
  const task = (kind: string) => day.tasks.find((entry) => entry.task.loadId === load.id && entry.task.kind === kind);
  const [loading, boil, rest] = [task('load'), task('process'), task('rest')];
  if (!loading || !boil || !rest) return null;
  const jars = countJars(load.jars, load.batch.jar);
  const timeOf = (minute: number) => clockTimeFrom(day.startAt + minute * MINUTE_MS, day.startAt);
  const done = load.phase === 'cooling' || load.phase === 'checked';
  const heatPx = (boil.startMin - loading.startMin) * PX_PER_MIN;
  const boilPx = (boil.endMin - boil.startMin) * PX_PER_MIN;
  const said = cannerWords({ ...load.batch, processMinutes: load.minutes });
  const guests = load.guests.map(
    (guest) => ` with ${countJars(guest.load.jars, guest.batch.jar)} ${nameOf(guest.batch).toLowerCase()}`,
  );
  const restMin = Math.round(rest.endMin - rest.startMin);
  const words = `Load ${number}, ${jars} ${nameOf(load.batch, load).toLowerCase()}${guests.join('')}: in at ${timeOf(loading.startMin)}, ${said.process} from ${timeOf(boil.startMin)}, heat off ${timeOf(boil.endMin)}, then ${restMin} min rest and 12 to 24 h cooling${done ? '. Done' : ''}`;
  const pinned = day.state.wishes.find((wish) => wish.kind === 'pin' && wish.loadId === load.id);
  return (
    <View className="absolute" style={{ ...column, top: topPx, opacity: done ? 0.6 : 1 }}>
      <RowLink
        href={{ pathname: '/plan/load/[loadId]', params: { loadId: load.id } }}
        label={`${words}${pinned ? '. Kept at this time' : ''}`}
      >
        <View
          className="absolute bottom-0 left-0 top-0 w-[5px]"
          style={{ backgroundColor: hueOfProduct(load.batch.product).hue }}
        />
        <View className="ml-[7px]">
          <View className="border-2 border-b-0 border-heat bg-heat-wash px-1" style={{ height: heatPx }}>
            <View className="flex-row items-center gap-1">
              <View className="h-[17px] w-[17px] items-center justify-center rounded-full bg-ink">
                <Words size="note" weight={700} tone="white">
                  {number}
                </Words>
              </View>
              <Words size="label" weight={700} numberOfLines={1} className="shrink" style={{ lineHeight: 17 }}>
                {jars}
                {load.guests.map((guest) => ` + ${guest.load.jars}`).join('')}
              </Words>
            </View>
            {heatPx > 30 && (
              <View className="flex-row items-center gap-1">
                <HeatSign phase="heating" size={13} />
                <Words size="note" style={{ lineHeight: 14 }}>
                  heats
                </Words>
              </View>
            )}
          </View>
          <View className="items-center justify-center bg-boil-t" style={{ height: boilPx }}>
            <Words
              size={boilPx > 60 ? 'figure' : 'head'}
              weight={800}
              tone="white"
              style={{ lineHeight: boilPx > 60 ? 40 : 22 }}
            >
              {load.minutes}
            </Words>
            {boilPx > 36 && (
              <Words size="label" weight={700} tone="white" numberOfLines={1}>
                {said.short}
              </Words>
            )}
          </View>
          <View
            className="justify-center"
            style={{ height: (rest.endMin - rest.startMin) * PX_PER_MIN, backgroundColor: COLOURS.rest }}
          >
            <View className="mx-2 h-[2px] bg-white" />
          </View>
          <View className="flex-row items-center gap-1 pt-[1px]">
            <HeatSign phase={done ? 'checked' : 'cooling'} size={14} />
            <Words size="note" tone="ink-2" numberOfLines={1}>
              {pinned ? 'pinned, ' : ''}
              {done ? 'done' : `${restMin} min rest, 12-24 h`}
            </Words>
          </View>
        </View>
      </RowLink>
      {pinned && (
        <View className="absolute left-[7px] right-0 top-0 h-[3px] bg-ink" style={{ pointerEvents: 'none' }} />
      )}
      {load.phase === 'planned' && !day.live && (
        <Tack day={day} load={load} number={number} minute={loading.startMin} />
      )}
    </View>
  );
}
