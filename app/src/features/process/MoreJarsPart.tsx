import { JARS, type JarSize, quartsPerJar } from '@hoddle/core/handbook/jars';
import { View } from 'react-native';
import { CheckRow } from '@/ui/CheckRow';
import { Choice } from '@/ui/Choice';
import { type Mark } from '@/ui/colours';
import { CountStepper } from '@/ui/CountStepper';
import { JarDrawing } from '@/ui/JarDrawing';
import { Key } from '@/ui/Key';
import { Heading, Words } from '@/ui/Words';
import { DosePart } from '@/ui/DosePart';
import { type MoreJarsDraft } from './useMoreJars';

const MOST = 60;

interface MoreJarsPartProps {
  draft: MoreJarsDraft;
  colours: { hue: string; mark: Mark };
  /** Of the first size: jars of its last load. */
  first: JarSize;
  lastLoad: number;
  /** So many of a size the fruit likely fills besides. */
  likely: (jar: JarSize) => number;
}

/** Part of the pot in jars of other sizes: loads of their own by their own time, or with the others at the longest. */
export function MoreJarsPart({ draft, colours, first, lastLoad, likely }: MoreJarsPartProps) {
  const { left, parts, add } = draft;
  const [next] = left;
  return (
    <>
      {parts.map((part) => (
        <OneSize key={part.jar} part={part} {...{ left, colours, first, lastLoad, likely }} />
      ))}
      {next !== undefined && (
        <Key
          look="quiet"
          words={parts.length === 0 ? 'Some in another size' : 'Some in one size more'}
          onPress={() => add(next, likely(next))}
        />
      )}
    </>
  );
}

interface OneSizeProps extends Omit<MoreJarsPartProps, 'draft'> {
  part: MoreJarsDraft['parts'][number];
  left: MoreJarsDraft['left'];
}

function OneSize({ part, left, colours, first, lastLoad, likely }: OneSizeProps) {
  const { jar, jars, loads, minutes, row } = part;
  const togetherMin = part.togetherMin(lastLoad);
  const { one, several } = JARS[jar];
  return (
    <View className="gap-3 border-t-2 border-hair pt-3">
      <Heading>From the same pot, in {several}</Heading>
      {left.length > 0 && (
        <Choice
          label={`Instead of ${several}`}
          value={jar}
          onChoose={(other) => other !== jar && part.setJar(other, likely(other) + asMany(jars, jar, other))}
          options={[jar, ...left].map((size) => ({
            value: size,
            words: JARS[size].several,
            drawing: <JarDrawing size={size} quartPx={28} look="planned" {...colours} />,
          }))}
        />
      )}
      <CountStepper
        label={`Besides, ${several} to fill`}
        count={jars}
        of={jars === 1 ? one : several}
        least={1}
        most={MOST}
        onCount={part.setJars}
      />
      <Words>{loadsWords(loads, minutes)}</Words>
      {togetherMin !== undefined && (
        <CheckRow
          words={`The last ${loads.at(-1)} with the last ${lastLoad} ${JARS[first].several}`}
          note={`one load less; all ${togetherMin} min, the longest time of all`}
          checked={part.isShared}
          onPress={part.flipShared}
        />
      )}
      {row.kind === 'testedRow' && <DosePart row={row} jar={jar} jars={jars} />}
      <Key look="quiet" words={`No ${several} after all`} onPress={part.drop} />
    </View>
  );
}

/** Full jars of another size that hold as much. */
function asMany(jars: number, of: JarSize, other: JarSize): number {
  return Math.floor((jars * quartsPerJar(of)) / quartsPerJar(other) + 1e-6);
}

function loadsWords(loads: readonly number[], minutes: number | undefined): string {
  if (loads.length === 0) return 'The canner does not take these jars.';
  const count = loads.length === 1 ? 'A load' : `${loads.length} loads`;
  return `${count} of their own: ${loads.join(', ')}${minutes === undefined ? '' : `, ${minutes} min`}.`;
}
