import { nameOf, jarsWords } from '@hoddle/core/day/batch';
import { countJars, JARS } from '@hoddle/core/handbook/jars';
import { KEEP_UNSEALED_MS, loadClock } from '@hoddle/core/kitchen/loadClock';
import { refrigeratedUseBy } from '@hoddle/core/pantry/keepsUntil';
import { mayKeepUnsealed } from '@hoddle/core/pantry/sealCheck';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { type RunningLoad, useLoads } from '@/household/kitchen/useLoad';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useNow } from '@/store/useHousehold';
import { clockTime, dayAndDate, duration, weekday } from '@/ui/clockWords';
import { hueOfProduct } from '@/ui/colours';
import { Choice } from '@/ui/Choice';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { LidDrawing, SealLid, type SealMark } from './SealLid';
import { ShelfQuestion, useHeldFromShelf } from './ShelfQuestion';
import { useReprocess } from './useReprocess';

const NEXT: Readonly<Record<SealMark, SealMark>> = { press: 'sealed', sealed: 'unsealed', unsealed: 'press' };

/** Press each lid of a batch: what sealed goes to the shelf, what did not to the refrigerator. */
export function SealsScreen({ batchId }: { batchId: string }) {
  const loads = useLoads().filter(({ batch }) => batch.id === batchId);
  const now = useNow(30_000);
  const cooling = loads.filter(({ state }) => state.phase === 'cooling');
  const first = loads[0];
  if (!first || cooling.length === 0) {
    return (
      <Screen station="shelf" title="No lids to press" backTo="/shelf">
        <Words>The jars of this batch are checked, or not out of the canner yet.</Words>
      </Screen>
    );
  }
  const due = cooling.filter(({ order, state }) => dueClock(order, state, now).checkDue);
  const waiting = cooling.filter((load) => !due.includes(load));
  return <Tray due={due} waiting={waiting} now={now} />;
}

function dueClock(...args: Parameters<typeof loadClock>) {
  const clock = loadClock(...args);
  return clock.kind === 'cooling' ? clock : { checkDue: false, sinceMs: 0, checkFrom: 0 };
}

function Tray({ due, waiting, now }: { due: RunningLoad[]; waiting: RunningLoad[]; now: number }) {
  const router = useRouter();
  const enter = useHouseholdStore((store) => store.enter);
  const [marks, setMarks] = useState<Readonly<Record<string, SealMark>>>({});
  const [boiled, setBoiled] = useState<Readonly<Record<string, boolean>>>({});
  const heldBy = useHeldFromShelf();
  const isAsked = due.some((load) => heldBy(load)?.kind === 'short' && boiled[load.load.id] === undefined);
  const goesToShelf = (load: RunningLoad) => {
    const held = heldBy(load);
    return !held || (held.kind === 'short' && boiled[load.load.id] === true);
  };
  const [unsealedGo, setUnsealedGo] = useState<'refrigerator' | 'reprocess'>('refrigerator');
  const reprocess = useReprocess();
  const batch = (due[0] ?? waiting[0])?.batch;
  if (!batch) return null;
  const markOf = (load: RunningLoad, i: number) => marks[`${load.load.id} ${i}`] ?? 'press';
  const all = due.flatMap((load) => Array.from({ length: load.state.jars }, (_, i) => markOf(load, i)));
  const sealedOf = (load: RunningLoad) =>
    Array.from({ length: load.state.jars }, (_, i) => i).filter((i) => markOf(load, i) === 'sealed');
  const count = (mark: SealMark) => all.filter((other) => other === mark).length;
  const { hue } = hueOfProduct(batch.product);
  const sealRest = () =>
    setMarks(
      Object.fromEntries(
        due.flatMap((load) =>
          Array.from(
            { length: load.state.jars },
            (_, i) => [`${load.load.id} ${i}`, markOf(load, i) === 'unsealed' ? 'unsealed' : 'sealed'] as const,
          ),
        ),
      ),
    );
  const store = () => {
    for (const load of due) {
      const mayGo = goesToShelf(load);
      const sealed = Array.from({ length: load.state.jars }, (_, i) => mayGo && markOf(load, i) === 'sealed');
      const open = sealed.filter((each) => !each).length;
      const again = unsealedGo === 'reprocess' && open > 0 && mayKeepUnsealed(load.state.heatOffAt ?? now, now);
      void enter({
        kind: 'event',
        event: {
          id: uuidV7(),
          loadId: load.load.id,
          at: householdNow(),
          type: 'seal-checked',
          sealed,
          sealedLotId: uuidV7(),
          unsealedLotId: uuidV7(),
          ...(mayGo && heldBy(load) && { curveSeen: true as const }),
          ...(again && { unsealed: 'reprocess' as const }),
        },
      });
      if (again) reprocess(load.batch, open);
    }
    router.navigate(unsealedGo === 'reprocess' ? '/plan' : '/shelf');
  };
  const reusable = (due[0] ?? waiting[0])?.state.lids === 'reusable';
  // With nothing due yet the jars that still cool are meant.
  const shown = due.length > 0 ? due : waiting;
  const jars = jarsWords({ jar: batch.jar, loads: shown.map(({ load, state }) => ({ ...load, jars: state.jars })) });
  return (
    <Screen
      station="shelf"
      title={
        due.length > 0
          ? reusable
            ? 'Band off, lift each lid: does it hold?'
            : 'Press each lid: does it stay?'
          : 'Leave them undisturbed'
      }
      note={`${jars} ${nameOf(batch).toLowerCase()}, ${weekday(now)} ${clockTime(now)}`}
      backTo="/shelf"
      foot={
        due.length > 0 &&
        (count('press') > 0 ? (
          <Key tall look="outline" words={`The other ${count('press')} are sealed`} onPress={sealRest} />
        ) : (
          <Key
            tall
            words={storeWords(due.filter(goesToShelf).flatMap(sealedOf).length)}
            disabled={isAsked}
            onPress={store}
          />
        ))
      }
    >
      <View className="max-w-[560px] gap-3">
        {due.length > 0 && (
          <View className="flex-row gap-4" aria-live="polite">
            {(['sealed', 'unsealed', 'press'] as const).map((mark) => (
              <View key={mark} className="flex-row items-center gap-2">
                <LidDrawing mark={mark} hue={hue} size={26} />
                <Words>
                  <Words weight={800}>{count(mark)}</Words>{' '}
                  {mark === 'press' ? 'to press' : mark === 'sealed' ? 'sealed' : 'not sealed'}
                </Words>
              </View>
            ))}
          </View>
        )}
        {due.map((load) => (
          <ShelfQuestion
            key={load.load.id}
            running={load}
            boiled={boiled[load.load.id]}
            onBoiled={(is) => setBoiled({ ...boiled, [load.load.id]: is })}
          />
        ))}
        {due.map((load) => (
          <Plate key={load.load.id} className="px-2 py-3">
            <Words weight={700} className="px-2 pb-2">
              Load {load.load.number}: {countJars(load.state.jars, load.batch.jar)}, cooled{' '}
              {duration(dueClock(load.order, load.state, now).sinceMs)}
            </Words>
            <View className="flex-row flex-wrap">
              {Array.from({ length: load.state.jars }, (_, i) => (
                <SealLid
                  key={i}
                  number={i + 1}
                  mark={markOf(load, i)}
                  hue={hue}
                  onPress={() => setMarks({ ...marks, [`${load.load.id} ${i}`]: NEXT[markOf(load, i)] })}
                />
              ))}
            </View>
          </Plate>
        ))}
        {due.some((load) =>
          Array.from({ length: load.state.jars }, (_, i) => markOf(load, i)).includes('unsealed'),
        ) && (
          <Unsealed
            due={due.filter((load) =>
              Array.from({ length: load.state.jars }, (_, i) => markOf(load, i)).includes('unsealed'),
            )}
            now={now}
            go={unsealedGo}
            onGo={setUnsealedGo}
          />
        )}
        {waiting.map(({ batch: own, load, order, state }) => (
          <Words key={load.id}>
            <Words weight={700}>
              Load {load.number}: {countJars(state.jars, own.jar)}.
            </Words>{' '}
            Lids need 12 to 24 h: press them from {weekday(dueClock(order, state, now).checkFrom)}{' '}
            {clockTime(dueClock(order, state, now).checkFrom)}.
          </Words>
        ))}
        <Words tone="ink-2">
          {reusable
            ? 'Reusable lids: band off, lift by the lid; one that holds has sealed.'
            : 'A lid that stays down has sealed.'}{' '}
          A seal alone does not prove safety: the tested time and the acid do.{' '}
          {JARS[batch.jar].several === 'quarts' ? 'Quarts' : 'Jars'} found unsealed later are discarded.
        </Words>
      </View>
    </Screen>
  );
}

function storeWords(sealed: number): string {
  if (sealed === 0) return 'Write it down: none sealed';
  return sealed === 1 ? 'Put the sealed one on the shelf' : `Put the ${sealed} sealed on the shelf`;
}

function processedAt({ heatOffAt, outAt }: RunningLoad['state'], now: number): number {
  return heatOffAt ?? outAt ?? now;
}

function clockTimeOn(at: number): string {
  return `${weekday(at)} ${clockTime(at)}`;
}

/** What happens to jars that did not seal: the refrigerator within 24 h of processing, away after that. */
function Unsealed({
  due,
  now,
  go,
  onGo,
}: {
  due: RunningLoad[];
  now: number;
  go: 'refrigerator' | 'reprocess';
  onGo: (go: 'refrigerator' | 'reprocess') => void;
}) {
  const inTime = due.some(({ state }) => mayKeepUnsealed(state.heatOffAt ?? now, now));
  return (
    <View role="alert" className="gap-2">
      {inTime && (
        <Choice
          label="Where those that did not seal go"
          value={go}
          onChoose={onGo}
          options={[
            { value: 'refrigerator', words: 'to the refrigerator' },
            { value: 'reprocess', words: 'into the canner again' },
          ]}
        />
      )}
      {due.map(({ batch, load, order, state }) => {
        const keep = mayKeepUnsealed(processedAt(state, now), now);
        return (
          <Words key={load.id}>
            <Words weight={700}>Load {load.number}: </Words>
            {keep && go === 'reprocess'
              ? `by ${clockTimeOn(processedAt(state, now) + KEEP_UNSEALED_MS)}: heat the contents again, into clean hot jars with new lids, and the full ${order.processMinutes} min. Then it is planned as a load of its own.`
              : keep
                ? `what did not seal goes to the refrigerator; use it first, by ${dayAndDate(refrigeratedUseBy(batch.product, now))}.`
                : 'more than 24 h since the canner. What did not seal is not kept: throw it away, contents and lid, without tasting.'}
          </Words>
        );
      })}
    </View>
  );
}
