import { countJars, type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { productRow } from '@hoddle/core/handbook/products';
import { takesSoft } from '@hoddle/core/harvest/divideLots';
import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { readNumber } from '@hoddle/core/measure/readNumber';
import { spanWords } from '@hoddle/core/yields/spanWords';
import { useState } from 'react';
import { View } from 'react-native';
import { useMassWords, useUnits } from '@/store/useUnits';
import { ChipRadio } from '@/ui/ChipRadio';
import { duration } from '@/ui/clockWords';
import { CountStepper } from '@/ui/CountStepper';
import { TextField } from '@/ui/TextField';
import { TextKey } from '@/ui/TextKey';
import { Heading, Words } from '@/ui/Words';
import { givenWords } from '../ProductPart';
import { type Part } from './useDivision';

const MINUTE_MS = 60_000;
const MOST = 200;

interface PartRowProps {
  number: number;
  part: Part;
  sizes: readonly JarSize[];
  /** "fills 12 of 24 wanted". */
  goal: string | undefined;
  onMass: (massKg: number) => void;
  onJars: (jars: number) => void;
  onJar: (jar: JarSize) => void;
  onRemove: () => void;
}

/** One product of a lot: its pounds or its jars, typed; its loads, the work of it, and what it fills of what is wanted. */
export function PartRow({ number, part, sizes, goal, onMass, onJars, onJar, onRemove }: PartRowProps) {
  const mass = useMassWords();
  const isMetric = useUnits() === 'metric';
  const { name, jar, jars, massKg, divided, batch } = part;
  const perUnit = isMetric ? 1 : KG_PER_LB;
  const [typed, setTyped] = useState<string>();
  const shown = String(Math.round((massKg / perUnit) * 10) / 10);
  const type = (text: string) => {
    setTyped(text);
    const reading = readNumber(text);
    if (reading.kind === 'number') onMass(reading.value * perUnit);
  };
  const isTold = part.toldJars !== undefined;
  const span = isTold ? undefined : spanWords(jars);
  const isUnread = typed !== undefined && typed.trim() !== '' && readNumber(typed).kind === 'unreadable';
  return (
    <View role="group" aria-label={`Part ${number}, ${name}`} className="gap-2 border-t-2 border-hair py-3">
      <View className="flex-row items-center justify-between gap-2">
        <Heading size="lead" className="flex-1">
          {number}. {name}
        </Heading>
        <TextKey words="Take out" label={`Take out ${name}, part ${number}`} onPress={onRemove} />
      </View>
      {sizes.length > 1 && (
        <View role="radiogroup" aria-label={`Jar of part ${number}`} className="flex-row flex-wrap gap-2">
          {sizes.map((size) => (
            <ChipRadio key={size} words={JARS[size].several} chosen={size === jar} onPress={() => onJar(size)} />
          ))}
        </View>
      )}
      <View className="flex-row items-end gap-3">
        <View className="w-[110px]" onBlur={() => setTyped(undefined)}>
          <TextField
            label={isMetric ? 'Kilograms' : 'Pounds'}
            spokenLabel={`${isMetric ? 'Kilograms' : 'Pounds'} of part ${number}`}
            numeric
            value={typed ?? shown}
            onChange={type}
            wrong={isUnread}
          />
        </View>
        <View className="flex-1">
          <CountStepper
            label={`Jars of part ${number}`}
            count={part.toldJars ?? jars.p50}
            of={(part.toldJars ?? jars.p50) === 1 ? JARS[jar].one : JARS[jar].several}
            most={MOST}
            onCount={(count) => {
              setTyped(undefined);
              onJars(count);
            }}
          />
        </View>
      </View>
      <Words>
        {[
          span === undefined ? countJars(jars.p50, jar) : `${span} ${JARS[jar].several}, likely ${jars.p50}`,
          ...(isTold ? ['no yield is published for it: tell how many jars, the pot is measured'] : []),
          ...(batch ? [loadsWords(part)] : []),
          ...(goal === undefined ? [] : [goal]),
        ].join('; ')}
        .
      </Words>
      {divided.softKg > 0.05 && (
        <Words size="label" tone="ink-2">
          {mass(divided.softKg)} of it soft
          {takesSoft(part.product) ? ', which is as good here' : ': there is not enough sound fruit for all of it'}.
        </Words>
      )}
      {part.falls.map((falls) => {
        const given = givenWords(falls, mass);
        return given === undefined ? null : (
          <Words key={falls.kind} size="label" tone="ink-2">
            Leaves {given} of {falls.kind}: good for {productRow(falls.feeds).name.toLowerCase()}.
          </Words>
        );
      })}
      {!batch && massKg > 0.05 && !(isTold && part.toldJars === 0) && (
        <Words weight={700}>
          {jars.p50 < 1 ? `Not enough for a full ${JARS[jar].one}.` : 'No canner, or no tested time here: not planned.'}
        </Words>
      )}
    </View>
  );
}

/** "2 loads of 45 min, 1 h 20 min of work". */
function loadsWords({ batch, handsMin = 0 }: Part): string {
  if (!batch) return '';
  const { length } = batch.loads;
  return `${length} ${length === 1 ? 'load' : 'loads'} of ${batch.processMinutes} min, ${duration(handsMin * MINUTE_MS)} of work`;
}
