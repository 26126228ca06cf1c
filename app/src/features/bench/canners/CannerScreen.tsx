import { type Household } from '@hoddle/contract/household';
import { capacityOf } from '@hoddle/core/canner/capacity';
import { JARS, type JarSize } from '@hoddle/core/handbook/jars';
import { printFraction } from '@hoddle/core/measure/fraction';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { LoadMapDrawing } from '@/household/canner/LoadMapDrawing';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { COLOURS } from '@/ui/colours';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { CountStepper } from '@/ui/CountStepper';
import { Stepper } from '@/ui/Stepper';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';
import { HeatPart } from './HeatPart';
import { METHOD_NAMES } from './methodNames';
import { readInches } from './readInches';

type Canner = Household['canners'][number];

/** A rack may lie on the floor; a pot may not be flat. */
function inchesOf(typed: string, key: (typeof MEASURES)[number][0]): number | undefined {
  return key === 'rackHeightIn' ? readInches(typed, 0, 4) : readInches(typed, 0.5, 40);
}

/** Jars that are tried in a rack. */
const TRIED: readonly JarSize[] = ['quart', 'pint', 'half-pint'];

/** One canner: its measures, what its rack is declared for, and what has really been tried in it. */
export function CannerScreen({ cannerId }: { cannerId: string }) {
  const { household } = useHousehold();
  const canner = household.canners.find(({ id }) => id === cannerId);
  if (!canner) {
    return (
      <Screen station="bench" title="No such canner" backTo="/bench/canners">
        <Words>It may have been taken away on another screen.</Words>
      </Screen>
    );
  }
  return <CannerForm canner={canner} household={household} />;
}

const MEASURES = [
  ['insideDiameterIn', 'Inside width, in'],
  ['insideHeightIn', 'Inside depth, in'],
  ['rackHeightIn', 'Height of the rack, in'],
] as const;

const DECLARED = [
  ['declaredQuarts', 'quarts'],
  ['declaredPints', 'pints'],
  ['declaredHalfPints', 'half-pints'],
] as const;

function CannerForm({ canner, household }: { canner: Canner; household: Household }) {
  const router = useRouter();
  const wide = useIsWide();
  const enter = useHouseholdStore((store) => store.enter);
  const [draft, setDraft] = useState(canner);
  const [typed, setTyped] = useState(() =>
    Object.fromEntries(MEASURES.map(([key]) => [key, printFraction(canner[key])])),
  );
  const change = (part: Partial<Canner>) => setDraft((before) => ({ ...before, ...part }));
  const slip = MEASURES.find(([key]) => inchesOf(typed[key] ?? '', key) === undefined);
  const type = (key: (typeof MEASURES)[number][0], text: string) => {
    setTyped((before) => ({ ...before, [key]: text }));
    const inches = inchesOf(text, key);
    if (inches !== undefined) change({ [key]: inches });
  };
  const save = () => {
    if (slip) return;
    const canners = household.canners.map((other) => (other.id === canner.id ? draft : other));
    void enter({ kind: 'household', household: { ...household, canners } });
    router.navigate('/bench/canners');
  };
  return (
    <Screen
      station="bench"
      title={canner.name}
      note={METHOD_NAMES[draft.method]}
      backTo="/bench/canners"
      foot={<Key tall words="Save" disabled={slip !== undefined} onPress={save} />}
    >
      <View className={wide ? 'flex-row gap-10' : 'gap-6'}>
        <View className={`gap-3 ${wide ? 'flex-1' : ''}`}>
          <TextField label="Its name" value={draft.name} onChange={(name) => change({ name })} />
          {MEASURES.map(([key, label]) => (
            <TextField
              key={key}
              label={label}
              value={typed[key] ?? ''}
              onChange={(text) => type(key, text)}
              wrong={inchesOf(typed[key] ?? '', key) === undefined}
            />
          ))}
          {slip && (
            <Words role="alert" weight={700}>
              “{typed[slip[0]]}” is no measure of a pot. Try 13 1/4.
            </Words>
          )}
          <Words>Its rack is declared for:</Words>
          {DECLARED.map(([key, several]) => (
            <CountStepper
              key={key}
              label={several}
              count={draft[key]}
              of={several}
              most={40}
              onCount={(count) => change({ [key]: count })}
            />
          ))}
        </View>
        <View className={`gap-3 ${wide ? 'flex-1' : ''}`}>
          <Heading>What it takes</Heading>
          <Words tone="ink-2">A test fit rules over the declared number: stand your own jars in it, empty.</Words>
          {TRIED.map((jar) => (
            <TestFit key={jar} canner={draft} jar={jar} household={household} onKeep={change} />
          ))}
          <HeatPart canner={draft} onKeep={change} />
        </View>
      </View>
    </Screen>
  );
}

interface TestFitProps {
  canner: Canner;
  jar: JarSize;
  household: Household;
  onKeep: (part: Partial<Canner>) => void;
}

const LIMIT_WORDS = {
  rack: 'as the rack is declared',
  floor: 'as it was tried, or as they stand on the floor',
  depth: 'as deep as it is',
} as const;

/** How many of one jar a load takes and what binds; a number that was tried is set here. */
function TestFit({ canner, jar, household, onKeep }: TestFitProps) {
  const capacity = capacityOf(canner, jar, { ownJars: household.ownJars });
  const tried = canner.testFits.find((fit) => fit.jar === jar);
  const { several } = JARS[jar];
  if (capacity.kind === 'refusal') return <Words>{capacity.reason}</Words>;
  const set = (jars: number) =>
    onKeep({ testFits: [...canner.testFits.filter((fit) => fit.jar !== jar), { jar, jars }] });
  const inLayer = Math.ceil(capacity.jars / capacity.layers);
  return (
    <View className="flex-row items-center gap-3 border-t border-hair pt-2">
      <LoadMapDrawing
        canner={canner}
        jar={jar}
        jars={inLayer}
        places={inLayer}
        hue={COLOURS.hair}
        pxPerIn={96 / canner.insideDiameterIn}
      />
      <View className="flex-1 gap-1">
        <Words weight={700}>
          {capacity.jars} {several}
          {capacity.layers === 2 ? ' in two layers' : ''}
        </Words>
        <Words size="label" tone="ink-2">
          {LIMIT_WORDS[capacity.limitedBy]}
        </Words>
        <Stepper
          label={`Tried with ${several}`}
          words={tried ? `tried: ${tried.jars}` : 'not tried'}
          onLess={capacity.jars > 1 ? () => set(capacity.jars - 1) : undefined}
          onMore={capacity.jars < 40 ? () => set(capacity.jars + 1) : undefined}
        />
      </View>
    </View>
  );
}
