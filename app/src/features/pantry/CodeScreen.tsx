import { readCode } from '@hoddle/core/pantry/jarCode';
import { inTakingOrder, type StockedLot } from '@hoddle/core/pantry/shelf';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useHousehold } from '@/store/useHousehold';
import { monthAndYear } from '@/ui/clockWords';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { TextField } from '@/ui/TextField';
import { Words } from '@/ui/Words';
import { FoundJar } from './FoundJar';
import { countOf } from '@/household/pantry/pantryWords';
import { usePantry } from '@/household/pantry/usePantry';

/** A jar in the hand: its code says which it is, and whether another one should go first. */
export function CodeScreen({ code }: { code?: string }) {
  const router = useRouter();
  const { mark } = useHousehold();
  const { stocked, codeOf } = usePantry();
  const [typed, setTyped] = useState(code ?? '');
  const [done, setDone] = useState<string>();
  const read = readCode(typed, mark);
  const lots = read.kind === 'code' ? stocked.filter((lot) => codeOf(lot) === read.code).sort(inTakingOrder) : [];
  const took = (lot: StockedLot) => {
    setDone(`Took ${countOf(1, lot)}, made ${monthAndYear(lot.madeAt)}.`);
    setTyped('');
  };
  return (
    <Screen station="shelf" title="The code on the lid" backTo="/shelf">
      <View className="max-w-[560px] gap-4">
        <TextField
          label="Five signs, as written on the lid"
          value={typed}
          onChange={(next) => {
            setTyped(next);
            setDone(undefined);
          }}
          wrong={read.kind === 'foreign'}
        />
        <View role="status" aria-live="polite" className="gap-3">
          {done !== undefined && <Words weight={700}>{done}</Words>}
          {typed !== '' && read.kind === 'short' && <Words tone="ink-2">{read.missing} more.</Words>}
          {read.kind === 'foreign' && (
            <Words weight={700}>
              This is not a code of this household: read it again, or the jar came from somebody else.
            </Words>
          )}
          {read.kind === 'code' && lots.length === 0 && (
            <Words weight={700}>No jar with this code is left here. Count the shelf if you hold one.</Words>
          )}
        </View>
        {lots.map((lot) => (
          <FoundJar key={lot.id} lot={lot} onTook={() => took(lot)} />
        ))}
        {typed === '' && (
          <Key
            look="outline"
            words="Scan it with the camera"
            onPress={() => router.navigate({ pathname: '/shelf/scan', params: { for: 'look' } })}
          />
        )}
        {typed === '' && (
          <Words tone="ink-2">
            Every load has a code; its jars’ page shows it, to be written on the lids. Large or small letters, O or 0:
            all the same.
          </Words>
        )}
      </View>
    </Screen>
  );
}
