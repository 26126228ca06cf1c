import { countJars } from '@hoddle/core/handbook/jars';
import { boilsUnseen } from '@hoddle/core/canner/canner';
import { type LoadClock } from '@hoddle/core/kitchen/loadClock';
import { useRouter } from 'expo-router';
import { type ReactNode } from 'react';
import { View } from 'react-native';
import { TableNote } from '@/ui/TableNote';
import { clockTime, clockTimeFrom, countdown, duration, weekday } from '@/ui/clockWords';
import { COLOURS } from '@/ui/colours';
import { HeatSign } from '@/ui/HeatSign';
import { useIsWide } from '@/ui/StationBar';
import { useHousehold } from '@/store/useHousehold';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { MachinePart } from './MachinePart';
import { methodWords } from '@/household/kitchen/methodWords';
import { type FollowingLoad } from '@/household/kitchen/nextSteps';
import { Pot } from './Pot';
import { type RunningLoad } from '@/household/kitchen/useLoad';
import { type LoadTaps } from '@/household/kitchen/useLoadTaps';
import { insideWords } from '@/household/kitchen/insideWords';

interface PhasePartProps {
  running: RunningLoad;
  clock: LoadClock;
  now: number;
  /** The load that goes in next on this day, whatever batch it is of. */
  following?: FollowingLoad;
  taps: LoadTaps;
  canner: {
    /** It starts and times itself. */
    readonly timesItself: boolean;
    readonly lidLocks: boolean;
  };
}

/** The pot of one phase, and the one thing that can be done now. */
export function PhasePart({ running, clock, now, following, taps, canner }: PhasePartProps) {
  const { units } = useHousehold().household;
  const { order, batch, state } = running;
  const { tap } = taps;
  const said = methodWords({ ...batch, processMinutes: order.processMinutes }, units);
  const tallPx = useIsWide() ? 290 : 262;
  switch (clock.kind) {
    case 'planned':
      return <PlannedPart running={running} />;
    case 'heating':
      return <HeatingPart running={running} clock={clock} taps={taps} canner={canner} />;
    case 'venting':
      return (
        <>
          <Pot heightPx={tallPx} rim={COLOURS.heatDark} alarm={clock.timeIsUp}>
            <Numerals dark={clock.timeIsUp}>{countdown(clock.leftMs)}</Numerals>
            <Line dark={clock.timeIsUp}>{clock.timeIsUp ? 'Vented 10 min' : said.vent?.left}</Line>
            <Line dark={clock.timeIsUp}>
              {clock.timeIsUp ? said.vent?.over : `weight on at ${clockTimeFrom(clock.endsAt, now)}`}
            </Line>
          </Pot>
          <KitchenKey
            look={clock.timeIsUp ? 'amber' : 'outline'}
            words={said.start}
            onPress={() => tap({ type: 'boil-reached' })}
          />
        </>
      );
    case 'boiling': {
      if (clock.timeIsUp) {
        return (
          <>
            <Pot heightPx={tallPx} rim={COLOURS.milk} alarm>
              <Numerals dark>0:00</Numerals>
              <Line dark size="figure">
                Time is up
              </Line>
              <Line dark>
                {said.done}, {countdown(now - clock.endsAt)} ago
              </Line>
            </Pot>
            {state.unseen && <LookKey taps={taps} />}
            <KitchenKey look="milk" words={said.heatOff} onPress={() => tap({ type: 'heat-off' })} />
          </>
        );
      }
      return (
        <>
          <Pot heightPx={tallPx} rim={COLOURS.rimDark} level={clock.leftMs / clock.wholeMs}>
            <Numerals>{countdown(clock.leftMs)}</Numerals>
            <Line>{state.machineMinutes === undefined ? said.left : 'min left, machine running'}</Line>
            <Line>heat off at {clockTimeFrom(clock.endsAt, now)}</Line>
          </Pot>
          {state.unseen && <LookKey taps={taps} />}
          <KitchenKey
            look="outline"
            words={said.loseKey}
            note={`start again\n${order.processMinutes}:00 min`}
            drawing={<HeatSign phase="lost" size={46} dark />}
            onPress={() => tap({ type: 'boil-lost' })}
          />
        </>
      );
    }
    case 'falling':
      return (
        <>
          <Pot heightPx={216} rim={COLOURS.restDark}>
            <HeatSign phase="resting" size={56} dark />
            <Line size="figure">Coming down</Line>
            <Line>{said.vent?.falling}</Line>
            <Line>likely at 0 psi by {clockTimeFrom(clock.endsAt, now)}</Line>
          </Pot>
          <KitchenKey look="milk" words={said.vent?.zero ?? ''} onPress={() => tap({ type: 'pressure-down' })} />
        </>
      );
    case 'resting':
      return (
        <>
          <Pot heightPx={tallPx} rim={COLOURS.restDark} alarm={clock.timeIsUp}>
            <Numerals dark={clock.timeIsUp}>{countdown(clock.leftMs)}</Numerals>
            <Line dark={clock.timeIsUp}>
              {clock.timeIsUp ? `Lift out ${insideWords(state.jars, running)}, straight up` : said.resting}
            </Line>
            <Line dark={clock.timeIsUp}>
              {clock.timeIsUp ? said.liftOutNote : `jars out at ${clockTimeFrom(clock.endsAt, now)}`}
            </Line>
          </Pot>
          <KitchenKey
            look="milk"
            words="Jars are out"
            disabled={!clock.mayLiftOut}
            onPress={() => tap({ type: 'jars-out' })}
          />
        </>
      );
    case 'cooling':
    case 'checked':
      return <OutPart running={running} clock={clock} following={following} />;
  }
}

/** A probe began this clock: somebody is to look. Without it the jars go to no shelf. */
function LookKey({ taps }: { taps: LoadTaps }) {
  return (
    <>
      <Words size="lead" weight={700} tone="milk">
        A probe began this clock. Look into the pot: does it boil?
      </Words>
      <KitchenKey look="amber" words="I looked: it boils" onPress={() => taps.tap({ type: 'boil-seen' })} />
    </>
  );
}

/** Until the clock may start: by the eye, by the gauge, or by the machine itself. */
function HeatingPart({
  running,
  clock,
  taps,
  canner,
}: Pick<PhasePartProps, 'running' | 'taps' | 'canner'> & { clock: Extract<LoadClock, { kind: 'heating' }> }) {
  const { order, batch } = running;
  const { units } = useHousehold().household;
  const said = methodWords({ ...batch, processMinutes: order.processMinutes }, units);
  const again = clock.timesLost > 0;
  const { timesItself } = canner;
  const isUnseen = boilsUnseen(canner);
  const vents = said.vent !== undefined && !again ? said.vent : undefined;
  return (
    <>
      <Pot heightPx={216} rim={COLOURS.heatDark}>
        <HeatSign phase={again ? 'lost' : 'heating'} size={62} dark />
        <Line size="figure">Heating, {duration(clock.sinceMs)}</Line>
        <Line>
          {again ? `${said.lost}: the full ${order.processMinutes} min start again` : (vents?.wait ?? said.wait)}
        </Line>
      </Pot>
      <TableNote batch={batch} tone="milk" />
      {isUnseen && (
        <Words role="alert" size="lead" weight={700} tone="milk">
          Its lid is locked and nobody sees the boil: no time can be counted here. Put these jars into another pot.
        </Words>
      )}
      {order.untested === undefined && timesItself && !again && <MachinePart running={running} taps={taps} />}
      {order.untested !== undefined || isUnseen || (canner.lidLocks && !again) ? null : vents ? (
        <KitchenKey look="amber" words={vents.start} onPress={() => taps.tap({ type: 'venting-started' })} />
      ) : (
        <KitchenKey
          look={timesItself && !again ? 'outline' : 'amber'}
          words={again ? said.startAgain : said.start}
          onPress={() => taps.tap({ type: 'boil-reached' })}
        />
      )}
    </>
  );
}

function PlannedPart({ running }: { running: RunningLoad }) {
  const router = useRouter();
  return (
    <>
      <Pot heightPx={216} rim={COLOURS.restDark}>
        <HeatSign phase="planned" size={56} dark />
        <Line size="figure">Not in yet</Line>
        <Line>{countJars(running.load.jars, running.batch.jar)} to load</Line>
      </Pot>
      <KitchenKey
        look="milk"
        words="Open the load"
        onPress={() => router.navigate({ pathname: '/plan/load/[loadId]', params: { loadId: running.load.id } })}
      />
    </>
  );
}

/** The jars are out: how long they have cooled, and on to the next load or to the lids. */
function OutPart({
  running,
  clock,
  following,
}: {
  running: RunningLoad;
  following?: FollowingLoad;
  clock: Extract<LoadClock, { kind: 'cooling' | 'checked' }>;
}) {
  const router = useRouter();
  const { batch, state } = running;
  const toSeals = () => router.navigate({ pathname: '/shelf/seals/[batchId]', params: { batchId: batch.id } });
  return (
    <>
      <Pot heightPx={216} rim={COLOURS.coolDark}>
        <HeatSign phase={clock.kind} size={54} dark />
        <Line size="figure">{clock.kind === 'cooling' ? `Cooling, ${duration(clock.sinceMs)}` : 'On the shelf'}</Line>
        {state.lids === 'reusable' && clock.kind === 'cooling' && clock.sinceMs < 20 * 60_000 && (
          <Line>Reusable lids: tighten the bands now</Line>
        )}
        <Line>
          {clock.kind === 'checked'
            ? `${state.sealed?.filter(Boolean).length ?? 0} of ${state.jars} sealed`
            : clock.checkDue
              ? 'Press the lids now'
              : `Leave alone; press lids ${weekday(clock.checkFrom)} ${clockTime(clock.checkFrom)}`}
        </Line>
      </Pot>
      <View className="gap-3">
        {following && (
          <KitchenKey
            look="amber"
            words={`Next: load ${following.number}`}
            onPress={() => router.navigate({ pathname: '/plan/load/[loadId]', params: { loadId: following.id } })}
          />
        )}
        {clock.kind === 'cooling' && clock.checkDue && (
          <KitchenKey look="milk" words="Press the lids" onPress={toSeals} />
        )}
        {!following && <KitchenKey look="outline" words="To Today" onPress={() => router.navigate('/')} />}
      </View>
    </>
  );
}

/** The main figures: 108 px on a phone, larger on a wide screen, always in the same place. */
function Numerals({ children, dark }: { children: ReactNode; dark?: boolean }) {
  const fontSize = useIsWide() ? 130 : 108;
  return (
    <Words role="timer" weight={800} tone={dark ? 'granite' : 'milk'} style={{ fontSize, lineHeight: fontSize * 1.04 }}>
      {children}
    </Words>
  );
}

function Line({ children, dark, size = 'head' }: { children: ReactNode; dark?: boolean; size?: 'head' | 'figure' }) {
  return (
    <Words
      size={size}
      weight={700}
      tone={dark ? 'granite' : 'milk'}
      className="text-center"
      style={size === 'figure' ? { fontSize: 32, lineHeight: 38 } : undefined}
    >
      {children}
    </Words>
  );
}
