import { JARS } from '@hoddle/core/handbook/jars';
import { type HouseholdPages, processAt, type TestedProcess } from '@hoddle/core/process/findProcess';
import { altitudeBand } from '@hoddle/core/process/altitudeBand';
import { type TestedRow } from '@hoddle/core/process/testedRow';
import { bandsOf } from '@hoddle/core/process/withOwnSource';
import { useRouter } from 'expo-router';
import { type ReactNode } from 'react';
import { View } from 'react-native';
import { AltitudeBands } from '@/ui/AltitudeBands';
import { Key } from '@/ui/Key';
import { Words } from '@/ui/Words';
import { bandCells } from './bandCells';
import { SourcePart } from '@/ui/SourcePart';

interface ProcessPartProps {
  row: TestedRow;
  altitudeFt: number | null;
  checkedRows?: HouseholdPages['checkedRows'];
  /** Beside the source line: the household's mark. */
  mark?: ReactNode;
}

/** The tested time, large, with its band, its source and what it holds for. Without an altitude: the whole strip. */
export function ProcessPart({ row, altitudeFt, checkedRows, mark }: ProcessPartProps) {
  if (altitudeFt === null) return <StripAlone row={row} mark={mark} />;
  const answer = processAt(row, altitudeFt, checkedRows);
  const band = altitudeBand(altitudeFt, bandsOf(row.method));
  const strip = (
    <AltitudeBands
      cells={bandCells(row)}
      chosen={band.index}
      chosenWords={row.bands.length > 1 ? `${altitudeFt.toLocaleString('en-US')} ft` : undefined}
    />
  );
  if (answer.kind === 'refusal') {
    return (
      <View className="gap-2">
        <View className="flex-row">{strip}</View>
        <Words weight={700}>{answer.reason}</Words>
      </View>
    );
  }
  return (
    <View className="gap-2">
      <View className="flex-row items-end gap-3">
        <View>
          <Words>
            <Words size="huge" weight={800}>
              {answer.minutes}
            </Words>
            <Words size="lead" weight={700}>
              {' '}
              min
            </Words>
          </Words>
          <Words tone="ink-2">{heldAt(answer)}</Words>
        </View>
        {strip}
      </View>
      <Words>
        <Words weight={700}>Tested time</Words> for {JARS[row.jar].several}, {row.pack} pack, {band.words}.
      </Words>
      <Besides answer={answer} />
      <SourcePart row={row} answer={answer} mark={mark} />
    </View>
  );
}

function StripAlone({ row, mark }: Pick<ProcessPartProps, 'row' | 'mark'>) {
  const router = useRouter();
  return (
    <View className="gap-2">
      <View className="flex-row">
        <AltitudeBands cells={bandCells(row)} large />
      </View>
      <Words>
        <Words weight={700}>Which band is your kitchen in?</Words>{' '}
        {row.method.startsWith('pressure')
          ? `${minutesOf(row)} min; the pressure in psi goes by altitude, in feet.`
          : 'The minutes go by altitude, in feet.'}{' '}
        Without it there is no single number.
      </Words>
      <Key words="Set the altitude" onPress={() => router.navigate('/bench/household')} />
      <SourcePart row={row} mark={mark} />
    </View>
  );
}

function minutesOf(row: TestedRow): number | undefined {
  const first = row.bands.find((band) => band.kind === 'tested');
  return first?.kind === 'tested' ? first.minutes : undefined;
}

/** What the minutes are held at: the boil, a pressure, a temperature. */
function heldAt({ method, pressurePsi, bathF, steamF }: TestedProcess): string {
  if (pressurePsi !== undefined) return `at ${pressurePsi} psi`;
  if (bathF) return `at ${bathF.low} to ${bathF.high} F`;
  return method === 'steam' && steamF !== undefined ? `steam at ${steamF} F` : 'at the boil';
}

/** What must be done besides, and the other published ways. */
function Besides({ answer }: { answer: TestedProcess }) {
  const { sterilizeJars, ventMinutes, alternatives } = answer;
  return (
    <View className="gap-1">
      {ventMinutes !== undefined && (
        <Words>
          Vent the canner <Words weight={700}>{ventMinutes} min</Words> first; the clock starts at pressure.
        </Words>
      )}
      {sterilizeJars && (
        <Words>
          Sterilise the jars first: boil them <Words weight={700}>{sterilizeJars.minutes} min</Words>.
        </Words>
      )}
      {alternatives.map(({ minutes, pressurePsi, sterilizeJars: empty }) => (
        <Words key={`${minutes} ${pressurePsi}`}>
          Or <Words weight={700}>{minutes} min</Words>{' '}
          {pressurePsi === undefined ? 'in clean hot jars, which plans go by' : `at ${pressurePsi} psi`}
          {empty ? `, jars boiled ${empty.minutes} min first` : ''}.
        </Words>
      ))}
    </View>
  );
}
