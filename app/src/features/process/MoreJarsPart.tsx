import { JARS, type JarSize } from '@hoddle/core/handbook/jars';
import { View } from 'react-native';
import { CheckRow } from '@/ui/CheckRow';
import { Choice } from '@/ui/Choice';
import { type Mark } from '@/ui/colours';
import { CountStepper } from '@/ui/CountStepper';
import { JarDrawing } from '@/ui/JarDrawing';
import { Key } from '@/ui/Key';
import { Heading, Words } from '@/ui/Words';
import { DosePart } from './DosePart';
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

/** Part of the pot in jars of another size: loads of their own by their own time, or with the others at the longest. */
export function MoreJarsPart({ draft, colours, first, lastLoad, likely }: MoreJarsPartProps) {
  const { offered, wanted, loads, minutes, row } = draft;
  const [next] = offered;
  if (next === undefined) return null;
  if (!wanted) {
    const begin = () => draft.choose({ jar: next, jars: Math.max(1, likely(next)) });
    return <Key look="quiet" words="Some in another size" onPress={begin} />;
  }
  const togetherMin = draft.togetherMin(lastLoad);
  const { one, several } = JARS[wanted.jar];
  return (
    <View className="gap-3 border-t-2 border-hair pt-3">
      <Heading>From the same pot, in another size</Heading>
      {offered.length > 1 && (
        <Choice
          label="The other jar"
          value={wanted.jar}
          onChoose={(jar) => draft.choose({ jar, jars: Math.max(1, likely(jar)) })}
          options={offered.map((size) => ({
            value: size,
            words: JARS[size].several,
            drawing: <JarDrawing size={size} quartPx={28} look="planned" {...colours} />,
          }))}
        />
      )}
      <CountStepper
        label={`Besides, ${several} to fill`}
        count={wanted.jars}
        of={wanted.jars === 1 ? one : several}
        least={1}
        most={MOST}
        onCount={(jars) => draft.choose({ ...wanted, jars })}
      />
      <Words>{loadsWords(loads, minutes)}</Words>
      {togetherMin !== undefined && (
        <CheckRow
          words={`The last ${loads.at(-1)} with the last ${lastLoad} ${JARS[first].several}`}
          note={`one load less; all ${togetherMin} min, the longest time of both`}
          checked={draft.isShared}
          onPress={draft.flipShared}
        />
      )}
      {row?.kind === 'testedRow' && <DosePart row={row} jar={wanted.jar} jars={wanted.jars} />}
      <Key look="quiet" words="All in one size after all" onPress={() => draft.choose(undefined)} />
    </View>
  );
}

function loadsWords(loads: readonly number[], minutes: number | undefined): string {
  if (loads.length === 0) return 'The canner does not take these jars.';
  const count = loads.length === 1 ? 'A load' : `${loads.length} loads`;
  return `${count} of their own: ${loads.join(', ')}${minutes === undefined ? '' : `, ${minutes} min`}.`;
}
