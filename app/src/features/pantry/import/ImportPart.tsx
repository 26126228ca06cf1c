import { useState } from 'react';
import { TextInput, View } from 'react-native';
import { ChipRadio } from '@/ui/ChipRadio';
import { COLOURS } from '@/ui/colours';
import { Key } from '@/ui/Key';
import { Heading, Words } from '@/ui/Words';
import { readTextFile, type ChosenText } from '@/household/paper/files';
import { BROUGHT, BROUGHT_TABLES, type Brought } from './broughtTables';
import { Preview } from './Preview';

/** What a household has in tables already: looked at first, then all of it or none. */
export function ImportPart() {
  const [table, setTable] = useState<Brought>('jars');
  const [file, setFile] = useState<ChosenText>();
  const [pasting, setPasting] = useState(false);
  const [pasted, setPasted] = useState('');
  const { hint, example } = BROUGHT_TABLES[table];
  return (
    <View className="gap-3">
      <Heading>In, from a table you have</Heading>
      <View role="radiogroup" aria-label="What is in the table" className="flex-row flex-wrap gap-2">
        {BROUGHT.map((each) => (
          <ChipRadio
            key={each}
            words={BROUGHT_TABLES[each].words}
            chosen={each === table}
            onPress={() => setTable(each)}
          />
        ))}
      </View>
      <Words tone="ink-2">
        {hint} Commas, semicolons or tabs; in any letters. Nothing is saved before you have seen it.
      </Words>
      {!file && (
        <>
          <Key words="Choose a CSV file" onPress={() => void readTextFile('.csv,.tsv,.txt,text/csv').then(setFile)} />
          <Key look="outline" words="Paste rows instead" onPress={() => setPasting(true)} />
        </>
      )}
      {pasting && !file && (
        <View className="gap-2">
          <TextInput
            aria-label="Rows of the table"
            multiline
            value={pasted}
            onChangeText={setPasted}
            placeholder={example}
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
      {file && (
        <Preview key={`${table} ${file.text.length}`} table={table} file={file} onLeave={() => setFile(undefined)} />
      )}
    </View>
  );
}
