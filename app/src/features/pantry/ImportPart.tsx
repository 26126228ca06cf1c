import { type CsvFault, JAR_COLUMNS, type JarColumn, type JarsFile, readJarsCsv } from '@hoddle/core/formats/jarsCsv';
import { type ProductId, productRow } from '@hoddle/core/handbook/products';
import { useMemo, useState } from 'react';
import { TextInput, View } from 'react-native';
import { useHousehold, useNow } from '@/store/useHousehold';
import { useProductSearch } from '@/store/useProductSearch';
import { ChipRadio } from '@/ui/ChipRadio';
import { COLOURS } from '@/ui/colours';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { SmallKey } from '@/ui/SmallKey';
import { Heading, Words } from '@/ui/Words';
import { type ChosenFile, readFile } from './files';
import { countOf } from './pantryWords';
import { idOfWords, useJarsIn } from './useJarsIn';

const COLUMN_WORDS: Readonly<Record<JarColumn, string>> = {
  product: 'what is in it',
  size: 'the size of jar',
  jars: 'how many',
  made: 'when made',
  place: 'where it stands',
  seal: 'sealed or opened',
  lot: 'the lot',
  card: 'the recipe card',
  crop: 'the crop',
};

const MOST_SHOWN = 8;

/** Jars of a shelf that is full already, from a table: looked at first, then all of them or none. */
export function ImportPart() {
  const [file, setFile] = useState<ChosenFile>();
  const [pasting, setPasting] = useState(false);
  const [pasted, setPasted] = useState('');
  return (
    <View className="gap-3">
      <Heading>In: the jars you have, from a table</Heading>
      <Words tone="ink-2">
        A row a lot, with what is in it, the size of jar, how many and when made; the place if you like. Commas,
        semicolons or tabs. Nothing is saved before you have seen it.
      </Words>
      {!file && (
        <>
          <Key words="Choose a CSV file" onPress={() => void readFile('.csv,.tsv,.txt,text/csv').then(setFile)} />
          <Key look="outline" words="Paste rows instead" onPress={() => setPasting(true)} />
        </>
      )}
      {pasting && !file && (
        <View className="gap-2">
          <TextInput
            aria-label="Rows of jars"
            multiline
            value={pasted}
            onChangeText={setPasted}
            placeholder={'product,size,jars,made\nCrushed tomatoes,quart,12,2025-09'}
            placeholderTextColor={COLOURS.ink2}
            className="min-h-[140px] rounded-key border-2 border-key-edge bg-plate p-3 font-body text-body text-ink"
          />
          <Key
            look="outline"
            words="Look at them"
            disabled={pasted.trim() === ''}
            onPress={() => setFile({ name: 'What was pasted', text: pasted })}
          />
        </View>
      )}
      {file && <Preview key={file.text.length} file={file} onLeave={() => setFile(undefined)} />}
    </View>
  );
}

function Preview({ file, onLeave }: { file: ChosenFile; onLeave: () => void }) {
  const now = useNow(3_600_000);
  const { household, lots } = useHousehold();
  const putIn = useJarsIn();
  const [columns, setColumns] = useState<Partial<Record<JarColumn, number>>>({});
  const [products, setProducts] = useState<Readonly<Record<string, ProductId>>>({});
  const [done, setDone] = useState<number>();
  const { search } = useProductSearch();
  const read = useMemo(
    () =>
      readJarsCsv(file.text, {
        places: household.places,
        now,
        dayFirst: household.units === 'metric',
        timeZone: household.kitchen.timeZone,
        columns,
        products,
        idOf: idOfWords,
        search,
      }),
    [file.text, household.places, household.units, household.kitchen.timeZone, now, columns, products, search],
  );
  if (done !== undefined) {
    return (
      <Plate className="gap-2">
        <Words role="status" weight={700}>
          {done} {done === 1 ? 'jar is' : 'jars are'} on the shelf now.
        </Words>
        <Key look="outline" words="Another file" onPress={onLeave} />
      </Plate>
    );
  }
  return (
    <Plate className="gap-3">
      <Words weight={700}>{file.name}</Words>
      {read.kind === 'refused' && (
        <Words role="alert" weight={700}>
          {read.reason}
        </Words>
      )}
      {read.kind === 'columns' && <AskColumns read={read} columns={columns} onChoose={setColumns} />}
      {read.kind === 'read' && (
        <Found
          read={read}
          known={read.rows.filter(({ lot }) => lots.some(({ id }) => id === lot.id)).length}
          onMean={(typed, product) => setProducts({ ...products, [typed]: product })}
          onPut={() => {
            putIn(read.rows);
            setDone(read.rows.reduce((sum, { jars }) => sum + jars, 0));
          }}
        />
      )}
      <Key look="quiet" words="Leave it" onPress={onLeave} />
    </Plate>
  );
}

function AskColumns({
  read,
  columns,
  onChoose,
}: {
  read: Extract<JarsFile, { kind: 'columns' }>;
  columns: Partial<Record<JarColumn, number>>;
  onChoose: (columns: Partial<Record<JarColumn, number>>) => void;
}) {
  const missing = JAR_COLUMNS.find((column) => read.missing.includes(column));
  if (!missing) return null;
  const taken = new Set(Object.values(read.known));
  return (
    <View className="gap-2" role="radiogroup" aria-label={`Which column tells ${COLUMN_WORDS[missing]}?`}>
      <Words weight={700}>Which column tells {COLUMN_WORDS[missing]}?</Words>
      <View className="flex-row flex-wrap gap-2">
        {read.header.map((name, i) =>
          taken.has(i) ? null : (
            <ChipRadio
              key={i}
              words={name || `column ${i + 1}`}
              chosen={false}
              onPress={() => onChoose({ ...columns, [missing]: i })}
            />
          ),
        )}
      </View>
      <Words tone="ink-2">If none does, add it to the file: the first line names the columns.</Words>
    </View>
  );
}

function Found({
  read,
  known,
  onMean,
  onPut,
}: {
  read: Extract<JarsFile, { kind: 'read' }>;
  known: number;
  onMean: (typed: string, product: ProductId) => void;
  onPut: () => void;
}) {
  const { rows, faults } = read;
  const jars = rows.reduce((sum, row) => sum + row.jars, 0);
  const faulty = new Set(faults.map(({ line }) => line)).size;
  const fresh = rows.length - known;
  return (
    <>
      <Words role="status">
        <Words weight={800}>
          {rows.length} {rows.length === 1 ? 'row' : 'rows'}, {jars} jars
        </Words>{' '}
        can be read
        {known > 0 &&
          `; ${known} of them ${known === 1 ? 'is' : 'are'} here already and stay${known === 1 ? 's' : ''} as ${known === 1 ? 'it is' : 'they are'}`}
        .
      </Words>
      {rows.slice(0, MOST_SHOWN).map(({ lot, jars: count }) => (
        <Words key={lot.id} size="label">
          {countOf(count, lot)}, made{' '}
          {new Date(lot.madeAt).toLocaleDateString('en', { month: 'short', year: 'numeric' })}
        </Words>
      ))}
      {rows.length > MOST_SHOWN && <Words size="label">and {rows.length - MOST_SHOWN} more rows</Words>}
      {faulty > 0 && <Faults faults={faults} faulty={faulty} onMean={onMean} />}
      <Key
        words={fresh === 0 ? 'All of it is here already' : `Put ${fresh} ${fresh === 1 ? 'row' : 'rows'} on the shelf`}
        disabled={fresh === 0 || faulty > 0}
        onPress={onPut}
      />
      {faulty > 0 && (
        <Words tone="ink-2">All of them or none: mend the file, or say what is meant, then it can go in.</Words>
      )}
    </>
  );
}

function Faults({
  faults,
  faulty,
  onMean,
}: {
  faults: readonly CsvFault[];
  faulty: number;
  onMean: (typed: string, product: ProductId) => void;
}) {
  // A name that is not known is asked about once, however many rows have it.
  const shown = faults.filter(
    (fault, i) =>
      faults.findIndex(
        ({ column, typed, says }) => column === fault.column && typed === fault.typed && says === fault.says,
      ) === i,
  );
  return (
    <View role="alert" className="gap-2">
      <Words weight={700}>
        {faulty} {faulty === 1 ? 'row' : 'rows'} cannot be read:
      </Words>
      {shown.slice(0, 12).map((fault) => (
        <View key={`${fault.line} ${fault.column}`} className="items-start gap-1">
          <Words>
            Line {fault.line}: {COLUMN_WORDS[fault.column]}
            {fault.typed === '' ? '' : `, "${fault.typed.slice(0, 60)}",`} {fault.says}.
          </Words>
          {fault.meant && (
            <SmallKey
              words={`It is ${productRow(fault.meant).name.toLowerCase()}`}
              onPress={() => fault.meant && onMean(fault.typed, fault.meant)}
            />
          )}
        </View>
      ))}
      {shown.length > 12 && <Words>and {shown.length - 12} more</Words>}
    </View>
  );
}
