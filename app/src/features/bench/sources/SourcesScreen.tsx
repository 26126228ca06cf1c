import { JARS } from '@hoddle/core/handbook/jars';
import { findProduct } from '@hoddle/core/handbook/products';
import { type HouseholdSource } from '@hoddle/core/process/householdSource';
import { bandsOf } from '@hoddle/core/process/withOwnSource';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { METHOD_NAMES } from '@/household/process/methodNames';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { SmallKey } from '@/ui/SmallKey';
import { Heading, Words } from '@/ui/Words';
import { KIND_WORDS } from '@/household/process/kindWords';

/** The tested pages that the household has from elsewhere. */
export function SourcesScreen() {
  const router = useRouter();
  const { sources } = useHousehold();
  return (
    <Screen
      station="bench"
      title="Our own sources"
      backTo="/bench"
      foot={<Key tall words="Write down a page" onPress={() => router.navigate('/bench/sources/new')} />}
    >
      <View className="max-w-[640px] gap-4">
        <Words>
          A time that an extension service, a government or a tested canning book has printed, and the handbook here has
          not. It is shown as yours. Films, blogs and family habit are no tests.
        </Words>
        {sources.length === 0 && <Words weight={700}>No page yet.</Words>}
        {(sources as HouseholdSource[]).map((source) => (
          <SourcePlate key={source.id} source={source} />
        ))}
      </View>
    </Screen>
  );
}

function SourcePlate({ source }: { source: HouseholdSource }) {
  const enter = useHouseholdStore((store) => store.enter);
  const [asked, setAsked] = useState(false);
  const { title, kind, page, product, pack, jar, method, bands } = source;
  const name = findProduct(product)?.name ?? product;
  return (
    <Plate className="gap-2">
      <View>
        <Heading>{title}</Heading>
        <Words tone="ink-2">
          {KIND_WORDS[kind]}, p. {page}
        </Words>
      </View>
      <Words>
        <Words weight={700}>{name}</Words>, {JARS[jar].several}, {pack} pack, {METHOD_NAMES[method]}
      </Words>
      <View role="list" aria-label="Altitude bands">
        {bandsOf(method).map((band) => {
          const given = bands.find(({ upToFt }) => (upToFt ?? Infinity) === band.upToFt);
          return (
            <View key={band.words} role="listitem" className="flex-row border-t border-hair py-1">
              <Words className="flex-1">{band.words}</Words>
              <Words weight={given ? 800 : 400} tone={given ? 'ink' : 'ink-2'}>
                {given
                  ? `${given.minutes} min${given.pressurePsi === undefined ? '' : ` at ${given.pressurePsi} psi`}`
                  : 'not given: refused'}
              </Words>
            </View>
          );
        })}
      </View>
      {asked ? (
        <View className="flex-row items-center gap-3">
          <Words className="flex-1">Strike it out? Batches already planned stay.</Words>
          <SmallKey words="Strike out" onPress={() => enter({ kind: 'source-struck', sourceId: source.id })} />
          <SmallKey words="Keep" onPress={() => setAsked(false)} />
        </View>
      ) : (
        <View className="items-start">
          <SmallKey words="Strike out" onPress={() => setAsked(true)} />
        </View>
      )}
    </Plate>
  );
}
