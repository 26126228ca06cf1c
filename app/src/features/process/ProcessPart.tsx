import { type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { sourceLine } from '@hoddle/core/handbook/source';
import { altitudeBand } from '@hoddle/core/process/altitudeBand';
import { findProcess, type TestedRow } from '@hoddle/core/process/findProcess';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { AltitudeBands } from '@/ui/AltitudeBands';
import { Key } from '@/ui/Key';
import { Words } from '@/ui/Words';

interface ProcessPartProps {
  row: TestedRow;
  jar: JarSize;
  altitudeFt: number | null;
}

/** The tested time, large, with its band, its source and what it holds for. Without an altitude: the whole strip. */
export function ProcessPart({ row, jar, altitudeFt }: ProcessPartProps) {
  const router = useRouter();
  if (altitudeFt === null) {
    return (
      <View className="gap-2">
        <View className="flex-row">
          <AltitudeBands minutes={row.bandMinutes} />
        </View>
        <Words>
          <Words weight={700}>Which band is your kitchen in?</Words> The minutes go by altitude, in feet. Without it
          there is no single number.
        </Words>
        <Key words="Set the altitude" onPress={() => router.navigate('/bench/household')} />
        <SourcePart row={row} />
      </View>
    );
  }
  const band = altitudeBand(altitudeFt);
  const answer = findProcess({
    product: row.product.product,
    pack: row.product.pack,
    jar,
    method: 'boiling-water',
    altitudeFt,
  });
  return (
    <View className="gap-2">
      <View className="flex-row items-end gap-3">
        <View>
          <Words>
            <Words size="huge" weight={800}>
              {row.bandMinutes[band.index]}
            </Words>
            <Words size="lead" weight={700}>
              {' '}
              min
            </Words>
          </Words>
          <Words tone="ink-2">at the boil</Words>
        </View>
        <AltitudeBands
          minutes={row.bandMinutes}
          chosen={band.index}
          chosenWords={`${altitudeFt.toLocaleString('en-US')} ft`}
        />
      </View>
      <Words>
        <Words weight={700}>Tested time</Words> for {JARS[jar].several}, {row.product.pack} pack, {band.words}.
      </Words>
      {answer.kind === 'tested' && answer.sterilizeJars && (
        <Words>Sterilise the jars first: boil them {answer.sterilizeJars.minutes} min.</Words>
      )}
      <SourcePart row={row} />
    </View>
  );
}

function SourcePart({ row }: { row: TestedRow }) {
  return (
    <View>
      <Words size="label" tone="ink-2">
        {sourceLine(row)}.
      </Words>
      <Words size="label" tone="ink-2">
        Holds for:{' '}
        {row.conditions.map((condition) => condition.charAt(0).toLowerCase() + condition.slice(1)).join('; ')}.
      </Words>
    </View>
  );
}
