import { labelsPerSheet, STOCK_SHEETS } from '@hoddle/core/formats/labels/labelSheet';
import { View } from 'react-native';
import { Choice } from '@/ui/Choice';
import { CountStepper } from '@/ui/CountStepper';
import { RadioRow } from '@/ui/RadioRow';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';
import { MEASURES, readNudge, type ReadSheet, type SheetDraft } from './sheetDraft';

interface SheetPartProps {
  draft: SheetDraft;
  change: (part: Partial<SheetDraft>) => void;
  sheet: ReadSheet;
  startAt: number;
  onStart: (place: number) => void;
}

/** On what they are printed: sheets that are sold, or any size; and where the first one goes on a sheet that was begun. */
export function SheetPart({ draft, change, sheet, startAt, onStart }: SheetPartProps) {
  const isOwn = !STOCK_SHEETS.some(({ id }) => id === draft.sheet);
  const places = sheet.kind === 'sheet' ? labelsPerSheet(sheet.sheet) : undefined;
  return (
    <View className="gap-3">
      <Heading>On which sheet</Heading>
      <View role="radiogroup" aria-label="Sheet of labels" className="gap-2">
        {STOCK_SHEETS.map(({ id, words }) => (
          <RadioRow
            key={id}
            words={words}
            chosen={draft.sheet === id}
            onPress={() => {
              change({ sheet: id });
              onStart(1);
            }}
          />
        ))}
        <RadioRow words="Another size" chosen={isOwn} onPress={() => change({ sheet: 'own' })} />
      </View>
      {isOwn && <OwnSize draft={draft} change={change} sheet={sheet} />}
      {sheet.kind === 'slip' && (
        <Words role="alert" weight={700}>
          {sheet.sentence}
        </Words>
      )}
      {places !== undefined && places > 1 && (
        <View className="gap-1">
          <Words weight={600} size="label">
            A sheet that was begun: the first one goes to
          </Words>
          <CountStepper
            label="First label on the sheet"
            count={Math.min(startAt, places)}
            of={`of ${places}`}
            least={1}
            most={places}
            mostWhy="so many are on a sheet"
            onCount={onStart}
          />
        </View>
      )}
      <View className="flex-row gap-3">
        {(['nudgeX', 'nudgeY'] as const).map((field) => (
          <View key={field} className="flex-1">
            <TextField
              label={field === 'nudgeX' ? 'Move right, mm' : 'Move down, mm'}
              value={draft[field]}
              wrong={readNudge(draft[field]) === undefined}
              onChange={(typed) => change({ [field]: typed })}
            />
          </View>
        ))}
      </View>
      <Words size="label" tone="ink-2">
        Try it on plain paper first and hold it behind a sheet of labels against the light: printers differ by a
        millimetre. With a minus it goes left, or up; up to 10 mm.
      </Words>
    </View>
  );
}

function OwnSize({ draft, change, sheet }: Pick<SheetPartProps, 'draft' | 'change' | 'sheet'>) {
  const wrong = sheet.kind === 'slip' ? sheet.field : undefined;
  const isRound = draft.shape === 'round';
  return (
    <View className="gap-3">
      <Choice
        label="Shape"
        value={isRound ? 'round' : 'rect'}
        onChoose={(shape) => change({ shape })}
        options={[
          { value: 'rect', words: 'square-cut' },
          { value: 'round', words: 'round' },
        ]}
      />
      <Choice
        label="Paper"
        value={draft.page === 'a4' ? 'a4' : 'letter'}
        onChoose={(page) => change({ page })}
        options={[
          { value: 'letter', words: 'letter' },
          { value: 'a4', words: 'A4' },
        ]}
      />
      <Choice
        label="Measured in"
        value={draft.unit === 'mm' ? 'mm' : 'in'}
        onChoose={(unit) => change({ unit })}
        options={[
          { value: 'in', words: 'inches' },
          { value: 'mm', words: 'millimetres' },
        ]}
      />
      <View className="flex-row flex-wrap gap-3">
        {MEASURES.filter(([field]) => !(isRound && field === 'height')).map(([field, words]) => (
          <View key={field} className="w-[150px]">
            <TextField
              label={isRound && field === 'width' ? 'Across' : words}
              value={draft[field]}
              wrong={wrong === field}
              onChange={(typed) => change({ [field]: typed })}
              numeric
            />
          </View>
        ))}
        {(['columns', 'rows'] as const).map((field) => (
          <View key={field} className="w-[150px]">
            <TextField
              label={field === 'columns' ? 'Labels across' : 'Labels down'}
              value={draft[field]}
              wrong={wrong === field}
              onChange={(typed) => change({ [field]: typed })}
              numeric
            />
          </View>
        ))}
      </View>
    </View>
  );
}
