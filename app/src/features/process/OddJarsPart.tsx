import { inZone } from '@/store/householdZone';
import { type Canner } from '@hoddle/core/canner/canner';
import { heatUpMinutes } from '@hoddle/core/canner/heatUp';
import { type OddJarsChoice, oddJars, type OpenLoad } from '@hoddle/core/canner/oddJars';
import { waterLitres } from '@hoddle/core/canner/waterLitres';
import { capacityOf } from '@hoddle/core/canner/capacity';
import { inLayers } from '@hoddle/core/canner/layers';
import { restMinutes } from '@hoddle/core/canner/restMinutes';
import { isCanned } from '@hoddle/core/day/batch';
import { countJars, type JarSize } from '@hoddle/core/handbook/jars';
import { CANNER_STEPS } from '@hoddle/core/handbook/steps';
import { type Method } from '@hoddle/core/process/method';
import { isSameDay } from 'date-fns/isSameDay';
import { View } from 'react-native';
import { useDay } from '@/household/day/useDay';
import { useHousehold } from '@/store/useHousehold';
import { duration } from '@/ui/clockWords';
import { CheckRow } from '@/ui/CheckRow';
import { Words } from '@/ui/Words';

const MINUTE_MS = 60_000;

interface OddJarsPartProps {
  canner: Canner;
  jar: JarSize;
  pack: 'hot' | 'raw';
  method: Method;
  /** Jars of the last load, and places of the rack. */
  jars: number;
  places: number;
  layers: 1 | 2;
  processMinutes: number;
  pressurePsi?: number;
  altitudeFt: number;
  /** Days the produce keeps uncut. */
  keepsDays: number;
  /** Days the product keeps in the refrigerator, where it has such a class. */
  refrigeratorDays?: number;
  /** When the batch begins: only loads of that day can be shared. */
  startAt: number;
  /** The load they go in with, where the cook has asked for it. */
  sharedId?: string;
  onShare: (loadId: string | undefined) => void;
}

/** The odd jars of the last load: each way out with what it costs, the least canner time first. */
export function OddJarsPart(props: OddJarsPartProps) {
  const { canner, jar, jars, layers, pack, method, altitudeFt, keepsDays, refrigeratorDays } = props;
  const { processMinutes, pressurePsi, startAt, sharedId, onShare } = props;
  // Only layers that are begun are set in.
  const places = inLayers(jars, props.places, layers).reduce((sum, layer) => sum + layer.places, 0);
  const day = useDay();
  const { ownJars } = useHousehold().household;
  const heating = heatUpMinutes({ canner, jar, jars, pack, method, processMinutes, altitudeFt });
  const aroundMin = Math.round(
    mid(CANNER_STEPS.load) + heating.p50 + mid(restMinutes(method, jar)) + mid(CANNER_STEPS.unload),
  );
  // Only beside jars of their own size: what a rack takes of two sizes at once is tried by hand.
  const open = (day?.loads ?? []).flatMap(({ id, batch, jars: own, guests, minutes, phase }): OpenLoad[] => {
    if (!isCanned(batch)) return [];
    const capacity = capacityOf(canner, jar, { method: batch.method, ownJars });
    if (phase !== 'planned' || batch.jar !== jar || capacity.kind === 'refusal') return [];
    if (!isSameDay(inZone(batch.startAt), inZone(startAt))) return [];
    const { pressurePsi: psi } = batch;
    const free = capacity.jars - guests.reduce((sum, { load }) => sum + load.jars, own);
    return [{ loadId: id, method: batch.method, minutes, free, ...(psi !== undefined && { pressurePsi: psi }) }];
  });
  const waterL = waterLitres(canner, { jar, jars: places, processMinutes, method }) ?? 0;
  const odd = {
    jars,
    places,
    method,
    minutes: processMinutes,
    aroundMin,
    waterL,
    keepsDays,
    ...(pressurePsi !== undefined && { pressurePsi }),
  };
  const choices = oddJars({ ...odd, ...(refrigeratorDays !== undefined && { refrigeratorDays }) }, open);
  const loadWords = (id: string) => `load ${(day?.loads.findIndex((load) => load.id === id) ?? 0) + 1}`;
  return (
    <View className="gap-1">
      <Words weight={700}>The last {countJars(jars, jar)}</Words>
      <View role="list">
        {choices.map((choice) => (
          <View key={keyOf(choice)} role="listitem" className="border-t border-hair py-1">
            {choice.kind === 'share' ? (
              <CheckRow
                words={choiceWords(choice, loadWords)}
                note={choice.note}
                checked={choice.withLoadId === sharedId}
                onPress={() => onShare(choice.withLoadId === sharedId ? undefined : choice.withLoadId)}
              />
            ) : (
              <Words size="label">{choiceWords(choice, loadWords)}</Words>
            )}
          </View>
        ))}
      </View>
    </View>
  );
}

function keyOf(choice: OddJarsChoice): string {
  return choice.kind === 'share' ? `share ${choice.withLoadId}` : choice.kind;
}

function choiceWords(choice: OddJarsChoice, loadWords: (id: string) => string): string {
  const hours = (minutes: number) => duration(minutes * MINUTE_MS);
  switch (choice.kind) {
    case 'runShort':
      return `Run it short: ${hours(choice.occupiedMin)} of the canner, ${Math.round(choice.waterL)} litres of water, ${choice.spacers} spacers.`;
    case 'share':
      return `Share ${loadWords(choice.withLoadId)}, all at ${choice.minutes} min: saves ${hours(choice.savedMin)}.`;
    case 'hold':
      return `Hold the produce, uncut: it keeps ${choice.days} ${choice.days === 1 ? 'day' : 'days'} more. Saves ${hours(choice.savedMin)} today.`;
    case 'refrigerate':
      return `Refrigerate what is cooked and eat it within ${choice.days} days. Saves ${hours(choice.savedMin)}.`;
  }
}

function mid([low, high]: readonly [number, number]): number {
  return (low + high) / 2;
}
