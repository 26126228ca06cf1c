import { readCode } from '@hoddle/core/pantry/jarCode';
import { placeOf } from '@hoddle/core/pantry/place';
import { inTakingOrder, type StockedLot } from '@hoddle/core/pantry/shelf';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useHousehold, useNow } from '@/store/useHousehold';
import { monthAndYear } from '@/ui/clockWords';
import { hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { TextField } from '@/ui/TextField';
import { Words } from '@/ui/Words';
import { AdviceLines } from './AdviceLines';
import { countOf, keepsWords } from './pantryWords';
import { useMoveJars } from './useMoveJars';
import { usePantry } from './usePantry';

/** A jar in the hand: its code says which it is, and whether another one should go first. */
export function CodeScreen() {
  const { mark } = useHousehold();
  const { stocked, codeOf } = usePantry();
  const [typed, setTyped] = useState('');
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
          <Found key={lot.id} lot={lot} onTook={() => took(lot)} />
        ))}
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

function Found({ lot, onTook }: { lot: StockedLot; onTook: () => void }) {
  const router = useRouter();
  const now = useNow(60_000);
  const { household } = useHousehold();
  const moves = useMoveJars();
  return (
    <Plate className="gap-3">
      <View className="flex-row items-center gap-3">
        <JarDrawing size={lot.jar} quartPx={72} look="here" {...hueOfProduct(lot.product)} />
        <View className="flex-1">
          <Words size="lead" weight={700}>
            {countOf(lot.jars, lot)}
          </Words>
          <Words>
            made {monthAndYear(lot.madeAt)}, {placeOf(household.places, lot.place).name}
          </Words>
          <Words tone="ink-2">{keepsWords(lot, now)}</Words>
        </View>
      </View>
      <AdviceLines lot={lot} now={now} />
      <View className="flex-row gap-3">
        <Key
          className="flex-1"
          words="Take it"
          onPress={() => {
            moves.out(lot, 'taken');
            onTook();
          }}
        />
        <Key
          className="flex-1"
          look="outline"
          words="Another way"
          onPress={() => router.navigate({ pathname: '/shelf/lot/[lotId]', params: { lotId: lot.id } })}
        />
      </View>
    </Plate>
  );
}
