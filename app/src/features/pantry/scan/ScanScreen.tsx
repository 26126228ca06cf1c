import { readCode } from '@hoddle/core/pantry/jarCode';
import { type Movement } from '@hoddle/core/pantry/jarLot';
import { placeOf } from '@hoddle/core/pantry/place';
import { inTakingOrder, type StockedLot } from '@hoddle/core/pantry/shelf';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useHousehold } from '@/store/useHousehold';
import { monthAndYear } from '@/ui/clockWords';
import { Choice } from '@/ui/Choice';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { SmallKey } from '@/ui/SmallKey';
import { Words } from '@/ui/Words';
import { FoundJar } from '../FoundJar';
import { countOf, jarName } from '@/household/pantry/pantryWords';
import { useMoveJars } from '../useMoveJars';
import { usePantry } from '@/household/pantry/usePantry';
import { useScanTally } from './scanTally';
import { useCamera } from './useCamera';
import { useScan } from './useScan';

export type ScanPurpose = 'look' | 'take' | 'count';

/** What a hand feels when a jar was read. */
const SHAKE_MS = 60;

/** The camera finds jars by their labels: to look at one, to take several, to count a place. Typing the code always works. */
export function ScanScreen({ purpose: asked, place }: { purpose: ScanPurpose; place: string }) {
  const router = useRouter();
  const { mark, household } = useHousehold();
  const { stocked, codeOf } = usePantry();
  const moves = useMoveJars();
  const [purpose, setPurpose] = useState(asked);
  const [shown, setShown] = useState<string>();
  const [taken, setTaken] = useState<readonly { lot: StockedLot; movement: Movement }[]>([]);
  const [said, setSaid] = useState<{ words: string; odd?: true }>();
  const tally = useScanTally();
  const { begin } = tally;
  useEffect(() => {
    if (asked === 'count') begin(place);
  }, [asked, place, begin]);
  const { video, state, light } = useCamera();
  const lotsOf = (code: string) => stocked.filter((lot) => codeOf(lot) === code).sort(inTakingOrder);
  const take = (lot: StockedLot) => {
    const movement = moves.out(lot, 'taken');
    setTaken((before) => [{ lot, movement }, ...before]);
    setSaid({ words: `Took ${countOf(1, lot)}, made ${monthAndYear(lot.madeAt)}.` });
  };
  useScan(video, state.kind === 'on', (read) => {
    const code = 'code' in read ? readCode(read.code, mark) : undefined;
    if (code?.kind !== 'code') return setSaid({ words: 'That is no jar of this household.', odd: true });
    navigator.vibrate?.(SHAKE_MS);
    const lots = lotsOf(code.code);
    const first = purpose === 'count' ? lots.find((lot) => lot.place === place) : lots[0];
    if (!first) {
      const elsewhere = lots[0] && placeOf(household.places, lots[0].place).name;
      const words = elsewhere
        ? `Written as standing in ${elsewhere}: carry it there, or carry it here on its page.`
        : `No jar with the code ${code.code} is left, as far as is written.`;
      return setSaid({ words, odd: true });
    }
    if (purpose === 'look') {
      setShown(code.code);
      return setSaid({ words: jarName(first) });
    }
    if (purpose === 'take') return take(first);
    tally.add(first.id, 1);
    setSaid({ words: `${jarName(first)}: ${(tally.jars[first.id] ?? 0) + 1}` });
  });
  const title = purpose === 'count' ? `Count ${placeOf(household.places, place).name}` : 'Scan a label';
  const back = purpose === 'count' ? '/shelf/count' : '/shelf/code';
  return (
    <Screen
      station="shelf"
      title={title}
      backTo={back}
      withoutStations
      foot={
        <Key
          tall
          words={purpose === 'count' ? 'To the count' : 'Done'}
          onPress={() => router.navigate(purpose === 'count' ? back : '/shelf')}
        />
      }
    >
      <View className="max-w-[560px] gap-4">
        {state.kind === 'without' ? (
          <View role="alert" className="gap-3">
            <Words weight={700}>{state.why}</Words>
            <Key words="Type the code" onPress={() => router.navigate('/shelf/code')} />
          </View>
        ) : (
          <video
            ref={video}
            muted
            playsInline
            aria-label="What the camera sees"
            style={{ width: '100%', aspectRatio: '4 / 3', objectFit: 'cover', borderRadius: 14, background: '#1E2A3C' }}
          />
        )}
        {state.kind === 'on' && (
          <View className="flex-row flex-wrap items-center gap-3">
            {state.torch !== undefined && (
              <Key look="outline" words={state.torch ? 'Lamp off' : 'Lamp on'} onPress={() => light(!state.torch)} />
            )}
            {purpose === 'count' && (
              <Words tone="ink-2">Each jar once; the next one of a load after a moment out of sight.</Words>
            )}
          </View>
        )}
        {asked !== 'count' && state.kind !== 'without' && (
          <Choice
            label="What scanning does"
            value={purpose === 'take' ? 'take' : 'look'}
            onChoose={setPurpose}
            options={[
              { value: 'look', words: 'show the jar' },
              { value: 'take', words: 'take each jar' },
            ]}
          />
        )}
        <View role="status" aria-live="polite">
          {said && (
            <Words size="lead" weight={700}>
              {said.words}
            </Words>
          )}
        </View>
        {purpose === 'look' &&
          shown !== undefined &&
          lotsOf(shown).map((lot) => (
            <FoundJar key={lot.id} lot={lot} onTook={() => setSaid({ words: `Took ${countOf(1, lot)}.` })} />
          ))}
        {purpose === 'take' &&
          taken.map(({ lot, movement }) => (
            <View key={movement.id} className="flex-row items-center gap-3 border-b border-hair pb-2">
              <Words className="flex-1">{countOf(1, lot)}</Words>
              <SmallKey
                words="Undo"
                label={`Undo: ${countOf(1, lot)}`}
                onPress={() => {
                  moves.undo(movement);
                  setTaken(taken.filter((each) => each.movement.id !== movement.id));
                }}
              />
            </View>
          ))}
        {purpose === 'count' && <Tally />}
      </View>
    </Screen>
  );
}

/** What was counted so far; a jar too many is taken off. */
function Tally() {
  const { stocked } = usePantry();
  const tally = useScanTally();
  const lots = stocked.filter(({ id }) => (tally.jars[id] ?? 0) > 0);
  return (
    <View role="list" aria-label="Counted so far" className="gap-2">
      {lots.map((lot) => (
        <View key={lot.id} role="listitem" className="flex-row items-center gap-3 border-b border-hair pb-2">
          <View className="flex-1">
            <Words weight={700}>{jarName(lot)}</Words>
            <Words size="label" tone="ink-2">
              made {monthAndYear(lot.madeAt)}; {tally.jars[lot.id]} seen, {lot.jars} written
            </Words>
          </View>
          <SmallKey words="One less" label={`One less: ${jarName(lot)}`} onPress={() => tally.add(lot.id, -1)} />
        </View>
      ))}
    </View>
  );
}
