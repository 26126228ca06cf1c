import { EXPORT_TABLES, type ExportTable } from '@hoddle/core/formats/tablesOut/householdTables';
import { RestoreReply } from '@hoddle/contract/backup';
import { useState } from 'react';
import { View } from 'react-native';
import * as v from 'valibot';
import { post } from '@/store/api';
import { useHouseholdStore } from '@/store/householdStore';
import { Choice } from '@/ui/Choice';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { Heading, Words } from '@/ui/Words';
import { ImportPart } from './import/ImportPart';
import { BackupsPart } from './BackupsPart';
import { type ChosenFile, readFile, saveFrom } from '@/household/paper/files';

const TABLE_WORDS: Readonly<Record<ExportTable, string>> = {
  ...{ picks: 'Picks', 'on-hand': 'On hand', garden: 'Garden', batches: 'Batches', jars: 'Jars' },
  ...{ movements: 'Movements', supplies: 'Jars and lids', goals: 'Wanted', season: 'Season', shopping: 'Shopping' },
};

/** What goes out and comes in as files: tables for a spreadsheet, jars of a full shelf, the whole household. */
export function FilesScreen() {
  return (
    <Screen station="shelf" title="Files" backTo="/shelf">
      <View className="max-w-[640px] gap-5">
        <ImportPart />
        <OutPart />
        <BackupPart />
      </View>
    </Screen>
  );
}

/** Every list as a file for a spreadsheet, and all of it for other programs. */
function OutPart() {
  const [format, setFormat] = useState<'csv' | 'xlsx'>('csv');
  const save = (table: ExportTable | 'all', ending: 'csv' | 'xlsx') =>
    saveFrom(`/api/export?table=${table}&format=${ending}`, `hoddle-${table}.${ending}`);
  return (
    <View className="gap-2">
      <Heading>Out, for any spreadsheet</Heading>
      <Choice
        label="Kind of file"
        value={format}
        onChoose={setFormat}
        options={[
          { value: 'csv', words: 'CSV' },
          { value: 'xlsx', words: 'XLSX' },
        ]}
      />
      <View className="flex-row flex-wrap gap-2">
        {EXPORT_TABLES.map((table) => (
          <Key
            key={table}
            look="outline"
            words={TABLE_WORDS[table]}
            label={`${TABLE_WORDS[table]} as ${format.toUpperCase()}`}
            onPress={() => save(table, format)}
          />
        ))}
      </View>
      <Key look="outline" words="All lists in one workbook (XLSX)" onPress={() => save('all', 'xlsx')} />
      <Key
        look="outline"
        words="Everything for other programs (JSON)"
        onPress={() => saveFrom('/api/everything', 'hoddle-everything.json')}
      />
    </View>
  );
}

/** Everything in one file, and back. What is here now is kept beside the household's file before it is replaced. */
function BackupPart() {
  const sync = useHouseholdStore((store) => store.sync);
  const waiting = useHouseholdStore((store) => store.waiting.length);
  const [chosen, setChosen] = useState<ChosenFile>();
  const [said, setSaid] = useState<{ words: string; good: boolean }>();
  const [busy, setBusy] = useState(false);
  const restore = async (path: string, file?: string | Blob) => {
    setBusy(true);
    const reply = await post(path, file);
    setBusy(false);
    if (reply.kind === 'refused') return setSaid({ words: reply.message, good: false });
    if (reply.kind === 'noSignal') return setSaid({ words: `${reply.message} Nothing was changed.`, good: false });
    const done = v.safeParse(RestoreReply, reply.body);
    setChosen(undefined);
    setSaid({
      words: done.success
        ? `Restored: ${done.output.lots} lots and ${done.output.movements} movements. What was here before is in ${done.output.keptBefore}`
        : 'Restored.',
      good: true,
    });
    await sync();
  };
  return (
    <Plate className="gap-3">
      <BackupsPart
        key={said?.words}
        busy={busy}
        onGoOn={() => void restore('/without-damaged')}
        onBringBack={(name) => void restore(`/backups/${encodeURIComponent(name)}/restore`)}
      />
      <Heading>Everything, in one file</Heading>
      <Key look="outline" words="Save a backup" onPress={() => saveFrom('/api/backup', 'hoddle-backup.json')} />
      <Key
        look="outline"
        words="Restore from a backup"
        disabled={busy}
        onPress={() =>
          void readFile('.json,.gz,application/json,application/gzip').then((file) => {
            setSaid(undefined);
            setChosen(file);
          })
        }
      />
      {chosen && (
        <View role="alert" className="gap-2">
          <Words weight={700}>
            {chosen.name} takes the place of everything here. What is here now is kept in a file beside the backups.
            {waiting > 0 && ` ${waiting} things wait to be sent from this phone: they are sent into it.`}
          </Words>
          <Key
            words={busy ? 'Restoring' : 'Restore it'}
            disabled={busy}
            onPress={() => void restore('/restore', chosen.zipped ?? chosen.text)}
          />
          <Key look="quiet" words="Leave it" onPress={() => setChosen(undefined)} />
        </View>
      )}
      {said && (
        <Words role={said.good ? 'status' : 'alert'} weight={700}>
          {said.words}
        </Words>
      )}
    </Plate>
  );
}
