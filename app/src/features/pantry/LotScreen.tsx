import { inZone } from '@/store/householdZone';
import { JARS } from '@hoddle/core/handbook/jars';
import { type Movement } from '@hoddle/core/pantry/jarLot';
import { placeOf } from '@hoddle/core/pantry/place';
import { type StockedLot } from '@hoddle/core/pantry/shelf';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useHousehold, useNow } from '@/store/useHousehold';
import { dayAndDate, monthAndYear } from '@/ui/clockWords';
import { hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { RowLink } from '@/ui/RowLink';
import { Screen } from '@/ui/Screen';
import { CountStepper } from '@/ui/CountStepper';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';
import { AdviceLines } from './AdviceLines';
import { countOf, jarName, keepsWords, MOVED_WORDS } from '@/household/pantry/pantryWords';
import { type OutKind, useMoveJars } from './useMoveJars';
import { usePantry } from '@/household/pantry/usePantry';

const WAYS: readonly { kind: OutKind; words: string }[] = [
  { kind: 'given', words: 'Given away' },
  { kind: 'sold', words: 'Sold' },
  { kind: 'broken', words: 'Broken' },
];

/** Jars of one load in one place: take, open, give, set aside, carry, and what to do where one looks wrong. */
export function LotScreen({ lotId }: { lotId: string }) {
  const now = useNow(60_000);
  const router = useRouter();
  const { household } = useHousehold();
  const { stocked, codeOf } = usePantry();
  const moves = useMoveJars();
  const [asked, setAsked] = useState(1);
  const [note, setNote] = useState('');
  const [last, setLast] = useState<{ movement: Movement; words: string }>();
  const lot = stocked.find(({ id }) => id === lotId);
  const undo = () => {
    if (last) moves.undo(last.movement);
    setLast(undefined);
  };
  const foot = last && (
    <View role="status" className="flex-row items-center gap-3">
      <Words weight={700} className="flex-1">
        {last.words}
      </Words>
      <Key look="outline" words="Undo" onPress={undo} />
    </View>
  );
  if (!lot) {
    return (
      <Screen station="shelf" title="None of these are left" backTo="/shelf" foot={foot}>
        <Words>The last jar is gone, or it stands somewhere else now.</Words>
        <Key look="outline" words="To the shelf" onPress={() => router.navigate('/shelf')} />
      </Screen>
    );
  }
  const jars = Math.min(asked, lot.jars);
  const done = (movement: Movement, words: string) => {
    setLast({ movement, words });
    setAsked(1);
    setNote('');
  };
  const several = countOf(jars, lot);
  const out = (kind: OutKind, words: string) =>
    done(moves.out(lot, kind, jars, note.trim() || undefined), `${words}: ${several}`);
  return (
    <Screen station="shelf" title={jarName(lot)} note={`code ${codeOf(lot)}`} backTo="/shelf" foot={foot}>
      <View className="max-w-[640px] gap-4">
        <View className="flex-row items-center gap-4">
          <JarDrawing size={lot.jar} quartPx={84} look="here" {...hueOfProduct(lot.product)} />
          <View className="flex-1">
            <Words size="lead" weight={700}>
              {countOf(lot.jars, lot)}
            </Words>
            <Words>
              made {dayAndDate(lot.madeAt)} {inZone(lot.madeAt).getFullYear()}
            </Words>
            <Words>{placeOf(household.places, lot.place).name}</Words>
            <Words tone="ink-2">{keepsWords(lot, now)}</Words>
          </View>
        </View>
        <AdviceLines lot={lot} now={now} />
        {lot.jars > 1 && (
          <CountStepper
            label="Jars"
            count={jars}
            of={jars === 1 ? JARS[lot.jar].one : JARS[lot.jar].several}
            least={1}
            most={lot.jars}
            mostWhy="so many stand there"
            onCount={setAsked}
          />
        )}
        <View className="flex-row gap-3">
          <Key className="flex-1" words={`Take ${jars}`} onPress={() => out('taken', 'Took')} />
          {lot.seal !== 'opened' && (
            <Key
              className="flex-1"
              look="outline"
              words="Open one, keep cold"
              onPress={() => done(moves.open(lot), `Opened: ${countOf(1, lot)}, in the refrigerator`)}
            />
          )}
        </View>
        <Plate className="gap-3">
          <Heading>Gone another way</Heading>
          <TextField label="To whom, or why (may stay empty)" value={note} onChange={setNote} />
          <View className="flex-row flex-wrap gap-2">
            {WAYS.map(({ kind, words }) => (
              <Key key={kind} look="outline" words={words} onPress={() => out(kind, words)} />
            ))}
            <Key look="outline" words="Thrown away" onPress={() => out('discarded', 'Thrown away')} />
            {lot.seal === 'sealed' && (
              <Key
                look="outline"
                words={`${jars} came back`}
                onPress={() => done(moves.back(lot, jars), `Back here: ${several}`)}
              />
            )}
          </View>
          <Words size="small" tone="ink-2">
            Selling is governed by your local cottage-food law; ask the extension office.
          </Words>
        </Plate>
        <CarryPart lot={lot} jars={jars} onDone={done} />
        <RowLink
          href={{ pathname: '/shelf/trouble/[lotId]', params: { lotId: lot.id } }}
          className="min-h-[56px] justify-center border-t-2 border-ink py-2"
        >
          <Words weight={800}>Bulging, leaking, mould, off smell?</Words>
          <Words tone="ink-2">Do not taste it. What to do, and every other jar of its load.</Words>
        </RowLink>
        <Key
          look="outline"
          words="Labels for these jars"
          onPress={() => router.navigate({ pathname: '/shelf/labels', params: { lots: lot.id } })}
        />
        <BatchNote lot={lot} />
        <History lot={lot} />
      </View>
    </Screen>
  );
}

/** To another shelf, into the cold, or set aside; what may not go there says why. */
function CarryPart({
  lot,
  jars,
  onDone,
}: {
  lot: StockedLot;
  jars: number;
  onDone: (movement: Movement, words: string) => void;
}) {
  const { household } = useHousehold();
  const moves = useMoveJars();
  const [refused, setRefused] = useState<string>();
  const places = household.places.filter(({ id }) => id !== lot.place);
  return (
    <View className="gap-2">
      <Heading>Carry {jars === 1 ? 'it' : `${jars}`} to</Heading>
      <View className="flex-row flex-wrap gap-2">
        {places.map((place) => (
          <Key
            key={place.id}
            look="outline"
            words={place.name}
            label={place.kind === 'aside' ? `Set aside for ${place.name}` : `Carry to ${place.name}`}
            onPress={() => {
              const reason = moves.refusal(lot, place.id);
              setRefused(reason);
              if (reason === undefined) {
                const said = place.kind === 'aside' ? 'Set aside for' : 'Carried to';
                onDone(moves.carry(lot, jars, place.id), `${said} ${place.name}: ${countOf(jars, lot)}`);
              }
            }}
          />
        ))}
      </View>
      {refused !== undefined && (
        <Words role="alert" weight={700}>
          {refused}
        </Words>
      )}
      {places.some(({ kind }) => kind === 'freezer') && (
        <Words size="small" tone="ink-2">
          Into the freezer only in straight jars with an inch of room: full glass with shoulders cracks.
        </Words>
      )}
      <RowLink href="/shelf/places" className="min-h-[48px] justify-center">
        <Words weight={700} tone="cobalt">
          Another place, or set aside for something
        </Words>
      </RowLink>
    </View>
  );
}

/** What was written down when the batch was made. */
function BatchNote({ lot }: { lot: StockedLot }) {
  const { batches, batchRecords } = useHousehold();
  const batch = batches.find(({ loads }) => loads.some(({ id }) => id === lot.loadId));
  const note = batchRecords.find(({ batchId }) => batch !== undefined && batchId === batch.id)?.note;
  if (!note) return null;
  return (
    <View>
      <Heading>Written for the batch</Heading>
      <Words>{note}</Words>
    </View>
  );
}

function History({ lot }: { lot: StockedLot }) {
  const { movements } = useHousehold();
  const undone = new Set(movements.flatMap(({ undoes }) => undoes ?? []));
  const own = movements
    .filter(
      ({ lotId, intoLotId, id, kind }) =>
        (lotId === lot.id || intoLotId === lot.id) && kind !== 'undone' && !undone.has(id),
    )
    .reverse();
  if (own.length === 0) return null;
  return (
    <View>
      <Heading>Of late</Heading>
      {own.slice(0, 12).map((movement) => (
        <Words key={movement.id}>
          {dayAndDate(movement.at)}: {movement.jars} {MOVED_WORDS[movement.kind]}
          {movement.note && ` (${movement.note})`}
        </Words>
      ))}
      <Words size="label" tone="ink-2">
        made {monthAndYear(lot.madeAt)}
      </Words>
    </View>
  );
}
