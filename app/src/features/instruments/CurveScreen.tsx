import { nameOf } from '@hoddle/core/day/batch';
import { type BoilRun, boilRuns } from '@hoddle/core/kitchen/boilRuns';
import { curveVerdict, type LoadCurve } from '@hoddle/core/kitchen/loadCurve';
import { METHOD_WORDS } from '@hoddle/core/process/method';
import { View } from 'react-native';
import { saveText } from '@/household/paper/files';
import { type RunningLoad, useLoad } from '@/household/kitchen/useLoad';
import { useHousehold, useNow } from '@/store/useHousehold';
import { altitudeWords, temperatureWords, type Units } from '@/ui/amountWords';
import { clockTime, dayAndDate } from '@/ui/clockWords';
import { COLOURS } from '@/ui/colours';
import { HeatSign } from '@/ui/HeatSign';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { CurveDrawing } from './CurveDrawing';

const MINUTE_MS = 60_000;

/** What was read of one load, drawn with what was tested: each time its clock was begun, and whether it held. */
export function CurveScreen({ loadId }: { loadId: string }) {
  const running = useLoad(loadId);
  const { curves } = useHousehold();
  const curve = curves.find(({ id }) => id === running?.load.id);
  if (!running || !curve) {
    return (
      <Screen station="plan" title="No curve" backTo="/kitchen">
        <Words>No probe told anything of this load.</Words>
      </Screen>
    );
  }
  return <Curve running={running} curve={curve} />;
}

function Curve({ running, curve }: { running: RunningLoad; curve: LoadCurve }) {
  const { household, events } = useHousehold();
  const now = useNow(30_000);
  const { batch, load, order, state } = running;
  const { units, canners } = household;
  const canner = canners.find(({ id }) => id === (state.cannerId ?? batch.cannerId))?.name ?? 'canner';
  const runs = boilRuns(
    order,
    events.filter(({ loadId }) => loadId === load.id),
  );
  const verdict = curveVerdict(curve, order, state);
  const asked = order.processMinutes;
  return (
    <Screen
      station="plan"
      title={nameOf(batch)}
      note={`Load ${load.number}, ${canner}, in at ${clockTime(state.startedAt ?? curve.startAt)}, ${dayAndDate(curve.startAt)}`}
      backTo={`/kitchen/${load.id}`}
    >
      <View className="max-w-[640px] gap-4">
        <Plate className="gap-3 px-2">
          <Words weight={700} tone="cobalt" className="px-2 text-right">
            {curve.measures === 'psi'
              ? `${curve.wants} psi asked`
              : order.method === 'low-temperature-bath'
                ? `${temperatureWords(curve.wants, units)} and more asked`
                : `Boils here at ${temperatureWords(curve.wants, units)}, ${altitudeWords(batch.altitudeFt, units)}`}
          </Words>
          <CurveDrawing curve={curve} runs={runs} units={units} now={now} label={spoken(runs, asked)} />
          {runs.map((run, i) => (
            <RunRow key={run.from} run={run} asked={asked} isLast={i === runs.length - 1} now={now} number={i + 1} />
          ))}
        </Plate>
        {verdict && (
          <Words role={verdict.short ? 'alert' : 'status'} weight={700} size="lead">
            {verdict.short
              ? `It fell short: ${verdict.short.minutes} of ${asked} min under what is tested, down to ${readWords(curve, verdict.short.lowest, units)}. These jars go to no shelf unasked.`
              : `${verdict.readMinutes} of ${asked} tested min were read, none of them short.`}
          </Words>
        )}
        <Words tone="ink-2">
          A point every 30 s, {METHOD_WORDS[order.method as keyof typeof METHOD_WORDS] ?? 'in the canner'}. What was not
          read is not said to have boiled.
        </Words>
        <Key
          look="outline"
          words="Save it as a table"
          onPress={() => saveText(csvOf(curve), `curve-load-${load.number}.csv`)}
        />
      </View>
    </Screen>
  );
}

/** One time that the clock ran, true to scale of what is tested. */
function RunRow({
  run: { from, to = 0, held, byProbe },
  asked,
  isLast,
  now,
  number,
}: {
  run: BoilRun;
  asked: number;
  isLast: boolean;
  now: number;
  number: number;
}) {
  const minutes = Math.floor(((to || now) - from) / MINUTE_MS);
  const words = held
    ? `${asked} min held`
    : isLast && to === 0
      ? `${minutes} of ${asked} min`
      : `${minutes} of ${asked}, starts again`;
  return (
    <View className="gap-1 px-2">
      <View className="flex-row items-center gap-2">
        <HeatSign phase={held ? 'checked' : to === 0 ? 'boiling' : 'lost'} size={22} />
        <Words weight={700} className="flex-1">
          {number}: {clockTime(from)}, {words}
        </Words>
        <Words tone="ink-2">{byProbe ? 'begun by the probe' : 'begun by a tap'}</Words>
      </View>
      <View className="h-[14px] rounded-chip border-2 border-ink">
        <View
          className="h-full"
          style={{
            width: `${Math.min(100, (100 * minutes) / asked)}%`,
            backgroundColor: held ? COLOURS.ink : COLOURS.edge,
          }}
        />
      </View>
    </View>
  );
}

function readWords({ measures }: LoadCurve, value: number, units: Units): string {
  return measures === 'psi' ? `${value.toFixed(1)} psi` : temperatureWords(value, units);
}

function spoken(runs: readonly BoilRun[], asked: number): string {
  const told = runs.map(({ from, to, held }) =>
    held
      ? `boiled from ${clockTime(from)} for the ${asked} tested minutes`
      : to === undefined
        ? `boils since ${clockTime(from)}`
        : `boiled from ${clockTime(from)}, lost at ${clockTime(to)}`,
  );
  return `The curve of this load: ${told.length === 0 ? 'not at the boil yet' : told.join('; ')}`;
}

/** Times in seconds from the first point, values as they were read. */
function csvOf({ points, measures, startAt }: LoadCurve): string {
  const rows = points.map(([seconds, tenths]) => {
    const at = new Date(startAt + seconds * 1_000).toISOString();
    return `${at},${seconds},${tenths / 10}`;
  });
  return [`time,seconds,${measures}`, ...rows, ''].join('\r\n');
}
