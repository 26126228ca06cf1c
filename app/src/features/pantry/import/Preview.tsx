import { type CellFault, type TableFile } from '@hoddle/core/formats/tablesIn/readTable';
import { findProduce } from '@hoddle/core/handbook/produce';
import { findProduct } from '@hoddle/core/handbook/products';
import { type JarsRow } from '@hoddle/core/formats/tablesIn/jarsIn';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useDateStyle } from '@/household/paper/useDateStyle';
import { askTo } from '@/store/api';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { useProductSearch } from '@/store/useProductSearch';
import { ChipRadio } from '@/ui/ChipRadio';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { SmallKey } from '@/ui/SmallKey';
import { Words } from '@/ui/Words';
import { type ChosenText } from '@/household/paper/files';
import { idOfWords, useJarsIn } from '@/household/pantry/useJarsIn';
import { BROUGHT_TABLES, type Brought, type BroughtGround } from './broughtTables';
import { useTableFile } from './useTableFile';

const MOST_SHOWN = 8;

type Read = Extract<TableFile<string, unknown>, { kind: 'read' }>;

/** What stands in a table, before any of it is saved: what can be read, what is asked, what cannot be read and why. */
export function Preview({ table, file, onLeave }: { table: Brought; file: ChosenText; onLeave: () => void }) {
  const { household, lots } = useHousehold();
  const dates = useDateStyle();
  const { search } = useProductSearch();
  const putJarsIn = useJarsIn();
  const sync = useHouseholdStore((store) => store.sync);
  const [now] = useState(() => householdNow());
  const [columns, setColumns] = useState<Readonly<Record<string, number>>>({});
  const [dayFirst, setDayFirst] = useState<boolean>();
  const [meant, setMeant] = useState<Readonly<Record<string, string>>>({});
  const [done, setDone] = useState<string>();
  const [said, setSaid] = useState<string>();
  const { columns: columnWords, spec: specOf, shown, sent } = BROUGHT_TABLES[table];
  const ground: BroughtGround = useMemo(
    () => ({ now, units: household.units, dates, places: household.places, meant, search }),
    [now, household.units, dates, household.places, meant, search],
  );
  const spec = useMemo(() => specOf(ground), [specOf, ground]);
  const choices = useMemo(
    () => ({ columns, idOf: idOfWords, ...(dayFirst !== undefined && { dayFirst }) }),
    [columns, dayFirst],
  );
  const reading = useTableFile(file.text, spec, choices);
  if (done !== undefined) {
    return (
      <Plate className="gap-2">
        <Words role="status" weight={700}>
          {done}
        </Words>
        <Key look="outline" words="Another file" onPress={onLeave} />
      </Plate>
    );
  }
  const put = async ({ rows }: Read) => {
    if (!sent) {
      const jars = rows.map(({ id, row }) => ({ jars: (row as JarsRow).jars, lot: { id, ...(row as JarsRow).lot } }));
      putJarsIn(jars);
      const all = jars.reduce((sum, each) => sum + each.jars, 0);
      return setDone(`${all} ${all === 1 ? 'jar is' : 'jars are'} on the shelf now.`);
    }
    const answer = await askTo('POST', '/rows-in', sent(rows, now));
    if (answer.kind !== 'done') return setSaid(`${answer.message} Nothing was saved; it stands here still.`);
    const { added = 0, known = 0 } = (answer.body ?? {}) as { added?: number; known?: number };
    await sync();
    setDone(
      `${rowsOf(added)} saved${known > 0 ? `; ${rowsOf(known)} ${known === 1 ? 'was' : 'were'} here already` : ''}.`,
    );
  };
  const read = reading.kind === 'done' ? reading.file : undefined;
  const jarsKnown =
    table === 'jars' && read?.kind === 'read'
      ? read.rows.filter(({ id }) => lots.some((lot) => lot.id === id)).length
      : 0;
  return (
    <Plate className="gap-3">
      <Words weight={700}>{file.name}</Words>
      {reading.kind === 'reading' && (
        <Words role="progressbar" aria-valuenow={Math.round(reading.part * 100)} aria-valuemin={0} aria-valuemax={100}>
          Read so far: {Math.round(reading.part * 100)} %
        </Words>
      )}
      {read?.kind === 'refused' && (
        <Words role="alert" weight={700}>
          {read.reason}
        </Words>
      )}
      {read?.kind === 'columns' && (
        <AskColumn
          read={read}
          words={columnWords}
          onChoose={(column, at) => setColumns({ ...columns, [column]: at })}
        />
      )}
      {read?.kind === 'dates' && (
        <View className="gap-2" role="group" aria-label="Day or month first">
          <Words weight={700}>Which comes first in {read.typed[0]}: the day or the month?</Words>
          <View className="flex-row gap-2">
            <Key className="flex-1" look="outline" words="The day" onPress={() => setDayFirst(true)} />
            <Key className="flex-1" look="outline" words="The month" onPress={() => setDayFirst(false)} />
          </View>
        </View>
      )}
      {read?.kind === 'read' && (
        <Found
          read={read}
          known={jarsKnown}
          isJars={table === 'jars'}
          words={columnWords}
          rowWords={(row) => shown(row, ground)}
          onMean={(typed, what) => setMeant({ ...meant, [typed]: what })}
          onPut={() => void put(read)}
        />
      )}
      {said !== undefined && (
        <Words role="alert" weight={700}>
          {said}
        </Words>
      )}
      <Key look="quiet" words="Leave it" onPress={onLeave} />
    </Plate>
  );
}

function AskColumn({
  read,
  words,
  onChoose,
}: {
  read: Extract<TableFile<string, unknown>, { kind: 'columns' }>;
  words: Readonly<Record<string, string>>;
  onChoose: (column: string, at: number) => void;
}) {
  const missing = read.missing[0];
  if (missing === undefined) return null;
  const taken = new Set(Object.values(read.known));
  return (
    <View className="gap-2" role="radiogroup" aria-label={`Which column tells ${words[missing]}?`}>
      <Words weight={700}>Which column tells {words[missing]}?</Words>
      <View className="flex-row flex-wrap gap-2">
        {read.header.map((name, i) =>
          taken.has(i) ? null : (
            <ChipRadio key={i} words={name || `column ${i + 1}`} chosen={false} onPress={() => onChoose(missing, i)} />
          ),
        )}
      </View>
      <Words tone="ink-2">If none does, add it to the file: its first lines name the columns.</Words>
    </View>
  );
}

interface FoundProps {
  read: Read;
  known: number;
  isJars: boolean;
  words: Readonly<Record<string, string>>;
  rowWords: (row: unknown) => string;
  onMean: (typed: string, meant: string) => void;
  onPut: () => void;
}

function Found({ read, known, isJars, words, rowWords, onMean, onPut }: FoundProps) {
  const { rows, faults } = read;
  const faulty = new Set(faults.map(({ line }) => line)).size;
  const fresh = rows.length - known;
  const jars = isJars ? `, ${rows.reduce((sum, { row }) => sum + (row as JarsRow).jars, 0)} jars` : '';
  return (
    <>
      <Words role="status">
        <Words weight={800}>
          {rowsOf(rows.length)}
          {jars}
        </Words>{' '}
        can be read
        {known > 0 &&
          `; ${known} of them ${known === 1 ? 'is' : 'are'} here already and ${known === 1 ? 'stays as it is' : 'stay as they are'}`}
        .
      </Words>
      {rows.slice(0, MOST_SHOWN).map(({ id, row }) => (
        <Words key={id} size="label">
          {rowWords(row)}
        </Words>
      ))}
      {rows.length > MOST_SHOWN && <Words size="label">and {rows.length - MOST_SHOWN} more rows</Words>}
      {faulty > 0 && <Faults faults={faults} faulty={faulty} words={words} onMean={onMean} />}
      <Key
        words={
          fresh === 0
            ? 'All of it is here already'
            : isJars
              ? `Put ${rowsOf(fresh)} on the shelf`
              : `Save ${rowsOf(fresh)}`
        }
        disabled={fresh === 0 || faulty > 0}
        onPress={onPut}
      />
      {faulty > 0 && (
        <>
          <Words tone="ink-2">
            Mend the file, or say what is meant, then all of it goes in. What goes in now is known when the mended file
            comes.
          </Words>
          {fresh > 0 && <Key look="outline" words={`Only the ${rowsOf(fresh)} that can be read`} onPress={onPut} />}
        </>
      )}
    </>
  );
}

/** Rows that cannot be read, each with its line, what was typed and what is wrong with it; what may be meant is a tap. */
function Faults({
  faults,
  faulty,
  words,
  onMean,
}: {
  faults: readonly CellFault<string>[];
  faulty: number;
  words: Readonly<Record<string, string>>;
  onMean: (typed: string, meant: string) => void;
}) {
  const [all, setAll] = useState(false);
  // What is not known is asked about once, however many rows have it.
  const once = [
    ...new Map([...faults].reverse().map((fault) => [`${fault.column} ${fault.typed} ${fault.says}`, fault])).values(),
  ].sort((a, b) => a.line - b.line);
  const shown = all ? once : once.slice(0, MOST_FAULTS);
  return (
    <View role="alert" className="gap-2">
      <Words weight={700}>{rowsOf(faulty)} cannot be read:</Words>
      {shown.map(({ line, column, typed, says, meant }) => {
        const name = meant === undefined ? undefined : (findProduct(meant)?.name ?? findProduce(meant)?.name);
        return (
          <View key={`${line} ${column}`} className="items-start gap-1">
            <Words>
              Line {line}: {words[column]}
              {typed === '' ? '' : `, "${typed.slice(0, 60)}",`} {says}.
            </Words>
            {meant !== undefined && name !== undefined && (
              <SmallKey words={`It is ${name.toLowerCase()}`} onPress={() => onMean(typed, meant)} />
            )}
          </View>
        );
      })}
      {shown.length < once.length && <SmallKey words={`All ${once.length} of them`} onPress={() => setAll(true)} />}
    </View>
  );
}

const MOST_FAULTS = 12;

function rowsOf(count: number): string {
  return `${count.toLocaleString('en')} ${count === 1 ? 'row' : 'rows'}`;
}
