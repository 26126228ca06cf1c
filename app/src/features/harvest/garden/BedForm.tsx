import { inZone } from '@/store/householdZone';
import { harvestYieldRow, type PlantingUnit } from '@hoddle/core/handbook/harvestYields';
import { type ProduceId, produceRow } from '@hoddle/core/handbook/produce';
import { type Planting, usualKg } from '@hoddle/core/harvest/planting';
import { readHarvest } from '@hoddle/core/harvest/readHarvest';
import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { readNumber } from '@hoddle/core/measure/readNumber';
import { useState } from 'react';
import { View } from 'react-native';
import { Slip } from '@/ui/Slip';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { useMassWords, useUnits } from '@/store/useUnits';
import { Choice } from '@/ui/Choice';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { Stepper } from '@/ui/Stepper';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';
import { CropKeys, recentCrops } from '@/ui/CropKeys';
import { weekWords } from '@/household/harvest/bedWords';

export interface BedDraft {
  readonly crop: ProduceId;
  readonly name: string;
  readonly count: string;
  readonly unit: PlantingUnit;
  readonly firstWeek: number;
  readonly peakWeek: number;
  readonly lastWeek: number;
  /** In the household's unit; empty where the common figure stands. */
  readonly usual: string;
}

interface BedFormProps {
  title: string;
  first: BedDraft;
  backTo: string;
  onSave: (planting: Omit<Planting, 'id'>) => void;
  /** Only for a bed that is there. */
  onStrikeOut?: () => void;
}

const UNIT_WORDS: readonly { value: PlantingUnit; words: string }[] = [
  { value: 'plants', words: 'plants' },
  { value: 'row-feet', words: 'row-feet' },
  { value: 'trees', words: 'trees' },
];

/** A bed, its crop, how much of it, and when it is picked. */
export function BedForm({ title, first, backTo, onSave, onStrikeOut }: BedFormProps) {
  const { picks } = useHousehold();
  const mass = useMassWords();
  const unit = useUnits() === 'metric' ? 'kg' : 'lb';
  const [draft, setDraft] = useState(first);
  const [asked, setAsked] = useState(false);
  const change = (part: Partial<BedDraft>) => setDraft((before) => ({ ...before, ...part }));
  const reading = readBed(draft, unit);
  const slip = asked && reading.kind === 'slip' ? reading : undefined;
  const save = () => {
    setAsked(true);
    if (reading.kind === 'bed') onSave(reading.bed);
  };
  const year = inZone(householdNow()).getFullYear();
  const expected =
    reading.kind === 'bed' ? `${mass(usualKg({ ...reading.bed, id: '' }))} in a usual year` : 'How many are there?';
  const setWeek = (which: 'firstWeek' | 'peakWeek' | 'lastWeek', by: number) =>
    setDraft((before) => pushed({ ...before, [which]: before[which] + by }, which));
  return (
    <Screen
      station="harvest"
      title={title}
      backTo={backTo}
      withoutStations
      foot={
        <View className="gap-2">
          {slip && <Slip sentence={slip.sentence} />}
          <Words weight={700}>{expected}</Words>
          <Key tall words="Save" onPress={save} />
        </View>
      }
    >
      <View className="max-w-[560px] gap-4">
        <CropKeys
          first={recentCrops(picks)}
          crop={draft.crop}
          onChoose={(crop) => change({ crop, unit: harvestYieldRow(crop).usual })}
        />
        <TextField
          label="What you call it"
          value={draft.name}
          onChange={(name) => change({ name })}
          wrong={slip?.field === 'name'}
        />
        <TextField
          label="How many"
          numeric
          value={draft.count}
          onChange={(count) => change({ count })}
          wrong={slip?.field === 'count'}
        />
        <Choice
          label="Counted in"
          value={draft.unit}
          onChoose={(next) => change({ unit: next })}
          options={UNIT_WORDS}
        />
        <View className="gap-2">
          <Heading>Picked</Heading>
          {(['firstWeek', 'peakWeek', 'lastWeek'] as const).map((which) => (
            <Stepper
              key={which}
              label={WEEK_LABELS[which]}
              words={`${WEEK_LABELS[which]}: ${weekWords(year, draft[which])}`}
              onLess={draft[which] > 1 ? () => setWeek(which, -1) : undefined}
              onMore={draft[which] < 52 ? () => setWeek(which, 1) : undefined}
            />
          ))}
        </View>
        <TextField
          label={`What it gives in a usual year, in ${unit}, if you know`}
          spokenLabel="What it gives in a usual year"
          numeric
          value={draft.usual}
          onChange={(usual) => change({ usual })}
          wrong={slip?.field === 'usual'}
        />
        <Words tone="ink-2">
          {draft.usual === ''
            ? `Else ${produceRow(draft.crop).name.toLowerCase()} go by ${harvestYieldRow(draft.crop).lbEach} lb each, common practice; your picks correct it.`
            : 'Your picks correct it from year to year.'}
        </Words>
        {onStrikeOut && <Key look="quiet" words="Strike out this bed; its picks stay" onPress={onStrikeOut} />}
      </View>
    </Screen>
  );
}

const WEEK_LABELS = { firstWeek: 'First', peakWeek: 'Fullest', lastWeek: 'Last' } as const;

/** First, fullest and last stay in order: one that is moved pushes the others. */
function pushed(draft: BedDraft, moved: 'firstWeek' | 'peakWeek' | 'lastWeek'): BedDraft {
  const { firstWeek, peakWeek, lastWeek } = draft;
  if (moved === 'firstWeek') {
    const peak = Math.max(firstWeek, peakWeek);
    return { ...draft, peakWeek: peak, lastWeek: Math.max(peak, lastWeek) };
  }
  if (moved === 'lastWeek') {
    const peak = Math.min(lastWeek, peakWeek);
    return { ...draft, peakWeek: peak, firstWeek: Math.min(peak, firstWeek) };
  }
  return { ...draft, firstWeek: Math.min(firstWeek, peakWeek), lastWeek: Math.max(lastWeek, peakWeek) };
}

type BedReading =
  { kind: 'bed'; bed: Omit<Planting, 'id'> } | { kind: 'slip'; field: 'name' | 'count' | 'usual'; sentence: string };

const MOST_PLANTS = 10_000;

function readBed({ name, count, usual, ...rest }: BedDraft, unit: 'lb' | 'kg'): BedReading {
  if (name.trim() === '') return { kind: 'slip', field: 'name', sentence: 'What do you call it? "South bed" will do.' };
  const number = readNumber(count);
  if (number.kind === 'unreadable' || !(number.value > 0) || number.value > MOST_PLANTS) {
    const sentence =
      count.trim() === '' ? 'How many are there?' : `"${count}" is not a number of plants, trees or feet.`;
    return { kind: 'slip', field: 'count', sentence };
  }
  const given = readHarvest(usual, rest.crop, unit);
  if ('sentence' in given) return { kind: 'slip', field: 'usual', sentence: given.sentence };
  const own = given.kind === 'mass' ? given.massKg : null;
  return { kind: 'bed', bed: { ...rest, name: name.trim(), count: number.value, usualKg: own } };
}

/** The draft of a bed that is there. */
export function draftOfBed({ usualKg: own, count, ...bed }: Planting, unit: 'lb' | 'kg'): BedDraft {
  const { crop, name, unit: counted, firstWeek, peakWeek, lastWeek } = bed;
  const usual = own === null ? '' : String(Math.round((unit === 'kg' ? own : own / KG_PER_LB) * 10) / 10);
  return { crop, name, count: String(count), unit: counted, firstWeek, peakWeek, lastWeek, usual };
}
