import { inZone } from '@/store/householdZone';
import { RecallReply } from '@hoddle/contract/recall';
import { productRow } from '@hoddle/core/handbook/products';
import { type JarLot, type Movement } from '@hoddle/core/pantry/jarLot';
import { type Recall, recallOf } from '@hoddle/core/pantry/recall';
import { disposalOf, TROUBLE_SIGNS, type TroubleSign } from '@hoddle/core/pantry/trouble';
import { placeOf } from '@hoddle/core/pantry/place';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import * as v from 'valibot';
import { ask } from '@/store/api';
import { useHousehold } from '@/store/useHousehold';
import { CheckRow } from '@/ui/CheckRow';
import { dayAndDate, longDay, monthAndYear } from '@/ui/clockWords';
import { Key } from '@/ui/Key';
import { NeverSign } from '@/ui/NeverSign';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { Heading, Words } from '@/ui/Words';
import { countOf, jarName, MOVED_WORDS } from '@/household/pantry/pantryWords';
import { useMoveJars } from './useMoveJars';

/** A jar that is not as it should be: not tasted, thrown away in the right way, and every other jar of its load found. */
export function TroubleScreen({ lotId }: { lotId: string }) {
  const { lots } = useHousehold();
  const [signs, setSigns] = useState<readonly TroubleSign[]>([]);
  const [thrown, setThrown] = useState<Movement>();
  const moves = useMoveJars();
  const { recall, whole } = useRecall(lotId);
  const lot = (lots as JarLot[]).find(({ id }) => id === lotId);
  if (!lot) {
    return (
      <Screen station="shelf" title="No such jars" backTo="/shelf">
        <Words>This page knows nothing of them. Go by the shelf.</Words>
      </Screen>
    );
  }
  const disposal = disposalOf(signs, productRow(lot.product).productClass);
  const words = TROUBLE_SIGNS.filter(({ sign }) => signs.includes(sign)).map(({ sign }) => sign);
  const here = recall?.loads.flatMap((load) => load.lots).find((each) => each.lot.id === lotId)?.jars ?? 0;
  return (
    <Screen
      station="shelf"
      title="Do not taste it"
      note={jarName(lot)}
      backTo="/shelf"
      foot={
        thrown ? (
          <View role="status" className="flex-row items-center gap-3">
            <Words weight={700} className="flex-1">
              Written down: 1 spoiled, thrown away
            </Words>
            <Key
              look="outline"
              words="Undo"
              onPress={() => {
                moves.undo(thrown);
                setThrown(undefined);
              }}
            />
          </View>
        ) : (
          signs.length > 0 &&
          here > 0 && (
            <Key
              tall
              words="It is thrown away: write it down"
              onPress={() => setThrown(moves.out(lot, 'spoiled', 1, words.join(', ')))}
            />
          )
        )
      }
    >
      <View className="max-w-[640px] gap-4">
        <View className="flex-row items-center gap-3">
          <NeverSign size={44} />
          <Words size="lead" weight={700} className="flex-1">
            Not even a little. The poison of botulism has no taste and no smell.
          </Words>
        </View>
        <Heading>What is it like?</Heading>
        {TROUBLE_SIGNS.map(({ sign, words: told }) => (
          <CheckRow
            key={sign}
            words={told}
            checked={signs.includes(sign)}
            onPress={() => setSigns(signs.includes(sign) ? signs.filter((each) => each !== sign) : [...signs, sign])}
          />
        ))}
        {signs.length > 0 && (
          <Plate className="gap-2">
            <Heading>Throw it away so</Heading>
            {disposal.steps.map((step, i) => (
              <Words key={step}>
                <Words weight={800}>{i + 1}. </Words>
                {step}
              </Words>
            ))}
            <Words size="label" tone="ink-2">
              {disposal.source} Ask your local extension office; if anybody ate of it and feels ill, see a doctor at
              once.
            </Words>
          </Plate>
        )}
        {recall && <RecallPart recall={recall} whole={whole} />}
      </View>
    </Screen>
  );
}

/** What this page knows at once; what the server knows of all years as soon as it answers. */
function useRecall(lotId: string): { recall: Recall | undefined; whole: boolean } {
  const { batches, lots, movements } = useHousehold();
  const [told, setTold] = useState<Recall>();
  useEffect(() => {
    let left = false;
    void ask(`/recalls/${lotId}`).then((reply) => {
      const read = v.safeParse(RecallReply, reply);
      if (!left && read.success) setTold(read.output);
    });
    return () => {
      left = true;
    };
  }, [lotId, movements]);
  const own = recallOf(lotId, { batches, lots: lots, movements: movements });
  return { recall: told ?? own, whole: told !== undefined };
}

function RecallPart({ recall, whole }: { recall: Recall; whole: boolean }) {
  const { household } = useHousehold();
  return (
    <View className="gap-3">
      <Heading>The other jars of it</Heading>
      <Words>
        {recall.batch
          ? `Made ${longDay(recall.batch.startAt)} ${inZone(recall.batch.startAt).getFullYear()} in ${recall.loads.length} ${recall.loads.length === 1 ? 'load' : 'loads'}: `
          : 'These jars were not made here in a load that is written down: '}
        <Words weight={700}>
          {recall.here} of {recall.made} still here.
        </Words>{' '}
        Look at every one; what is like it is not eaten.
      </Words>
      {!whole && <Words tone="ink-2">No signal: only what this phone knows is told.</Words>}
      {recall.loads.map(({ load, lots }, i) => (
        <View key={load?.id ?? i} className="gap-1 border-t border-hair pt-2">
          <Words weight={800}>{load ? `Load ${load.number}` : 'These jars'}</Words>
          {lots.length === 0 && <Words>No jar of it came to the shelf.</Words>}
          {lots.map(({ lot, jars, movements }) => (
            <View key={lot.id} className="pb-1">
              <Words>
                <Words weight={700}>{countOf(jars, lot)}</Words> here, {placeOf(household.places, lot.place).name}
                {lot.seal !== 'sealed' && `, ${lot.seal === 'cold' ? 'kept cold' : lot.seal}`}, made{' '}
                {monthAndYear(lot.madeAt)}
              </Words>
              {movements
                .filter(({ kind }) => kind !== 'stored')
                .map((movement) => (
                  <Words key={movement.id} size="label" tone="ink-2">
                    {dayAndDate(movement.at)} {inZone(movement.at).getFullYear()}: {movement.jars}{' '}
                    {MOVED_WORDS[movement.kind]}
                    {movement.note && ` (${movement.note})`}
                  </Words>
                ))}
            </View>
          ))}
        </View>
      ))}
    </View>
  );
}
