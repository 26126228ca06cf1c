import { type Household } from '@hoddle/contract/household';
import { measuresOf } from '@hoddle/core/canner/capacity';
import { JAR_SIZES, type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { printFraction } from '@hoddle/core/measure/fraction';
import { useState } from 'react';
import { View } from 'react-native';
import { ChipRadio } from '@/ui/ChipRadio';
import { Key } from '@/ui/Key';
import { TextField } from '@/ui/TextField';
import { TextKey } from '@/ui/TextKey';
import { Heading, Words } from '@/ui/Words';
import { readInches } from './readInches';

interface OwnJarsPartProps {
  household: Household;
  onKeep: (part: Partial<Household>) => void;
}

/** Jars of the household that differ from the printed measures: loads are packed and drawn by what was measured. */
export function OwnJarsPart({ household: { ownJars }, onKeep }: OwnJarsPartProps) {
  const [adding, setAdding] = useState(false);
  return (
    <>
      <Heading>Your own jars</Heading>
      <Words tone="ink-2">
        Measured outside, at the widest. A rack’s declared number no longer counts for a jar that is wider.
      </Words>
      <View role="list" aria-label="Jars measured here">
        {ownJars.map(({ size, diameterIn, heightIn }) => (
          <View key={size} role="listitem" className="flex-row items-center border-t border-hair py-1">
            <Words className="flex-1">
              <Words weight={700}>{JARS[size].several}</Words>: {printFraction(diameterIn)} in wide,{' '}
              {printFraction(heightIn)} in high
            </Words>
            <TextKey
              words="Strike out"
              label={`Strike out the measured ${JARS[size].several}`}
              onPress={() => onKeep({ ownJars: ownJars.filter((other) => other.size !== size) })}
            />
          </View>
        ))}
      </View>
      {adding ? (
        <OwnJarDraft
          onKeep={(jar) => {
            onKeep({ ownJars: [...ownJars.filter(({ size }) => size !== jar.size), jar] });
            setAdding(false);
          }}
        />
      ) : (
        <Key look="outline" words="Measure a jar" onPress={() => setAdding(true)} />
      )}
    </>
  );
}

type OwnJar = Household['ownJars'][number];

/** No jar is wider or higher than this, nor smaller. */
const LEAST_IN = 1;
const MOST_IN = 12;

function OwnJarDraft({ onKeep }: { onKeep: (jar: OwnJar) => void }) {
  const [size, setSize] = useState<JarSize>('quart');
  const [typed, setTyped] = useState({ wide: '', high: '' });
  const printed = measuresOf(size);
  const [diameterIn, heightIn] = [readInches(typed.wide, LEAST_IN, MOST_IN), readInches(typed.high, LEAST_IN, MOST_IN)];
  const slip = [typed.wide, typed.high].find(
    (text) => text !== '' && readInches(text, LEAST_IN, MOST_IN) === undefined,
  );
  return (
    <View className="gap-3">
      <View role="radiogroup" aria-label="Which jar" className="flex-row flex-wrap gap-2">
        {JAR_SIZES.map((jar) => (
          <ChipRadio key={jar} words={JARS[jar].several} chosen={jar === size} onPress={() => setSize(jar)} />
        ))}
      </View>
      <Words size="label" tone="ink-2">
        As printed: {printFraction(printed.diameterIn)} in wide, {printFraction(printed.heightIn)} in high.
      </Words>
      <TextField
        label="Outside width, in"
        value={typed.wide}
        onChange={(wide) => setTyped({ ...typed, wide })}
        wrong={slip !== undefined && slip === typed.wide}
      />
      <TextField
        label="Height with its lid, in"
        value={typed.high}
        onChange={(high) => setTyped({ ...typed, high })}
        wrong={slip !== undefined && slip === typed.high}
      />
      {slip !== undefined && (
        <Words role="alert" weight={700}>
          “{slip}” is no measure of a jar. Try 4 1/2.
        </Words>
      )}
      <Key
        words="Keep this jar"
        disabled={diameterIn === undefined || heightIn === undefined}
        onPress={() => diameterIn !== undefined && heightIn !== undefined && onKeep({ size, diameterIn, heightIn })}
      />
    </View>
  );
}
