import { placeOf } from '@hoddle/core/pantry/place';
import { type StockedLot } from '@hoddle/core/pantry/shelf';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useHousehold, useNow } from '@/store/useHousehold';
import { monthAndYear } from '@/ui/clockWords';
import { hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Words } from '@/ui/Words';
import { AdviceLines } from './AdviceLines';
import { countOf, keepsWords } from '@/household/pantry/pantryWords';
import { useMoveJars } from './useMoveJars';

/** A jar in the hand: what it is, whether another one should go first, and the tap that takes it. */
export function FoundJar({ lot, onTook }: { lot: StockedLot; onTook: () => void }) {
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
