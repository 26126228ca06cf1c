import { type Household } from '@hoddle/contract/household';
import { handbookCanner } from '@hoddle/core/canner/handbookCanner';
import { CANNERS, type CannerRow } from '@hoddle/core/handbook/canners';
import { printFraction } from '@hoddle/core/measure/fraction';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { Key } from '@/ui/Key';
import { RowLink } from '@/ui/RowLink';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { TextKey } from '@/ui/TextKey';
import { Heading, Words } from '@/ui/Words';
import { CannerDraft } from './CannerDraft';
import { KitchenPart } from './KitchenPart';
import { METHOD_NAMES } from './methodNames';
import { OwnJarsPart } from './OwnJarsPart';

/** The canners of the household, and what its kitchen has for a preserving day. */
export function CannersScreen() {
  const wide = useIsWide();
  const { household } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const keep = (part: Partial<Household>) => enter({ kind: 'household', household: { ...household, ...part } });
  return (
    <Screen station="bench" title="Canners and the day" backTo="/bench">
      <View className={wide ? 'flex-row gap-10' : 'gap-8'}>
        <View className={`gap-4 ${wide ? 'flex-1' : ''}`}>
          <Canners canners={household.canners} onKeep={(canners) => keep({ canners })} />
          <OwnJarsPart household={household} onKeep={keep} />
        </View>
        <View className={`gap-4 ${wide ? 'flex-1' : ''}`}>
          <KitchenPart household={household} onKeep={keep} />
        </View>
      </View>
    </Screen>
  );
}

type CannersOf = Household['canners'];

function Canners({ canners, onKeep }: { canners: CannersOf; onKeep: (canners: CannersOf) => void }) {
  const [gone, setGone] = useState<{ canner: CannersOf[number]; at: number }>();
  const [adding, setAdding] = useState(false);
  const takeAway = (canner: CannersOf[number]) => {
    setGone({ canner, at: canners.indexOf(canner) });
    onKeep(canners.filter((other) => other !== canner));
  };
  const bringBack = () => {
    if (!gone) return;
    onKeep([...canners.slice(0, gone.at), gone.canner, ...canners.slice(gone.at)]);
    setGone(undefined);
  };
  const add = (row: CannerRow, name: string) => {
    const canner = handbookCanner(row, { id: uuidV7(), name });
    onKeep([...canners, { ...canner, testFits: [] }]);
    setAdding(false);
  };
  return (
    <>
      <View role="list" aria-label="Canners">
        {canners.map((canner) => (
          <View key={canner.id} role="listitem" className="flex-row items-center gap-2 border-t border-hair">
            <RowLink
              href={{ pathname: '/bench/canner/[cannerId]', params: { cannerId: canner.id } }}
              className="min-h-[64px] flex-1 justify-center py-2"
            >
              <Words weight={700}>{canner.name}</Words>
              <Words size="label" tone="ink-2">
                {METHOD_NAMES[canner.method]}, {printFraction(canner.insideDiameterIn)} in wide,{' '}
                {printFraction(canner.insideHeightIn)} in deep; {canner.declaredQuarts} quarts or {canner.declaredPints}{' '}
                pints
              </Words>
            </RowLink>
            <TextKey words="Take away" label={`Take away ${canner.name}`} onPress={() => takeAway(canner)} />
          </View>
        ))}
        {canners.length === 0 && <Words>No canner is written down. Loads follow from the canner.</Words>}
      </View>
      {gone && (
        <View className="flex-row items-center gap-3" role="status">
          <Words className="flex-1">{gone.canner.name} is away. Days are laid out without it.</Words>
          <TextKey words="Bring it back" label={`Bring back ${gone.canner.name}`} onPress={bringBack} />
        </View>
      )}
      {adding ? (
        <View className="gap-3">
          <Heading>A new canner</Heading>
          <CannerDraft rows={CANNERS} onKeep={add} />
        </View>
      ) : (
        <Key look="outline" words="Add a canner" onPress={() => setAdding(true)} />
      )}
    </>
  );
}
