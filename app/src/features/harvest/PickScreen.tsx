import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { keepsUntil } from '@hoddle/core/harvest/keeping';
import { UNITS } from '@hoddle/core/measure/amount';
import { productsOf } from '@hoddle/core/handbook/products';
import { estimateJars } from '@hoddle/core/yields/estimateJars';
import { countJars } from '@hoddle/core/handbook/jars';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold, useNow } from '@/store/useHousehold';
import { Choice } from '@/ui/Choice';
import { clockTime, weekday } from '@/ui/clockWords';
import { COLOURS } from '@/ui/colours';
import { FigureField } from '@/ui/FigureField';
import { Key } from '@/ui/Key';
import { Keypad } from '@/ui/Keypad';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { CropKeys, recentCrops } from './CropKeys';
import { UnitKeys } from './UnitKeys';
import { type DraftReading, type PickDraft, pickFrom, readDraft, usePickEntry } from './usePickEntry';

/** "68 lb of paste tomatoes, picked today, 12 lb of it soft": one hand, in the garden. */
export function PickScreen() {
  const router = useRouter();
  const enter = useHouseholdStore((store) => store.enter);
  const { picks } = useHousehold();
  const now = useNow(30_000);
  const recent = recentCrops(picks);
  const { draft, change, field, setField, press } = usePickEntry(recent[0] ?? 'tomato-paste');
  const [asked, setAsked] = useState(false);
  const reading = readDraft(draft);
  const save = () => {
    setAsked(true);
    if (reading.kind !== 'ready') return;
    enter({ kind: 'pick', pick: pickFrom(draft, reading, uuidV7(), householdNow()) });
    router.replace({ pathname: '/harvest/makes', params: { crop: draft.crop } });
  };
  return (
    <Screen
      station="harvest"
      title="What came in?"
      backTo="/harvest"
      withoutStations
      headSide={<Words tone="ink-2">{`${weekday(now)} ${clockTime(now)}`}</Words>}
      foot={<PickFoot draft={draft} reading={reading} asked={asked} now={now} onSave={save} />}
    >
      <View className="max-w-[560px] gap-[10px]">
        <CropKeys first={recent} crop={draft.crop} onChoose={(crop) => change({ crop })} />
        <View className="flex-row gap-[10px]">
          <FigureField
            label="Picked"
            large
            typed={draft.amount}
            unitWords={UNITS[draft.unit].several}
            active={field === 'amount'}
            wrong={reading.kind === 'slip' && reading.field === 'amount'}
            onFocus={() => setField('amount')}
            onChange={(amount) => change({ amount })}
          />
          <FigureField
            label="of it soft"
            large={false}
            typed={draft.soft}
            unitWords={draft.unit === 'kg' ? 'kg' : draft.unit === 'lb' ? 'lb' : ''}
            active={field === 'soft'}
            wrong={reading.kind === 'slip' && reading.field === 'soft'}
            onFocus={() => setField('soft')}
            onChange={(soft) => change({ soft })}
          />
        </View>
        <Words size="label" tone="ink-2">
          <Words size="label" weight={700}>
            Soft
          </Words>{' '}
          is ripe and sound. Mould or rot: not for jars.
        </Words>
        <UnitKeys unit={draft.unit} onChoose={(unit) => change({ unit })} />
        <Keypad onPress={press} />
        <Choice
          label="Where it is kept"
          value={draft.place}
          onChoose={(place) => change({ place })}
          options={[
            { value: 'counter', words: 'counter' },
            { value: 'cool', words: 'cool room' },
            { value: 'refrigerator', words: 'refrigerator' },
          ]}
        />
        <Choice
          label="Picked when"
          value={String(draft.daysAgo)}
          onChoose={(days) => change({ daysAgo: Number(days) })}
          options={[
            { value: '0', words: 'today' },
            { value: '1', words: 'yesterday' },
            { value: '2', words: 'two days ago' },
          ]}
        />
      </View>
    </Screen>
  );
}

interface FootProps {
  draft: PickDraft;
  reading: DraftReading;
  asked: boolean;
  now: number;
  onSave: () => void;
}

/** What is wrong, or what it will be: how long it keeps and how many jars it likely makes. */
function PickFoot({ draft, reading, asked, now, onSave }: FootProps) {
  const slip =
    reading.kind === 'slip'
      ? reading.sentence
      : asked && reading.kind === 'empty'
        ? 'How much came in? Type an amount first.'
        : undefined;
  return (
    <View className="gap-2">
      {slip !== undefined && (
        <View role="alert" className="flex-row items-center gap-2">
          <TriangleAlert size={24} color={COLOURS.ink} strokeWidth={2.2} />
          <View className="flex-1">
            <Words weight={700}>{slip}</Words>
            <Words size="small" tone="ink-2">
              Nothing is saved yet; what was typed stays.
            </Words>
          </View>
        </View>
      )}
      {reading.kind === 'ready' && <Outlook draft={draft} reading={reading} now={now} />}
      <Key words="Picked" tall onPress={onSave} />
    </View>
  );
}

function Outlook({
  draft,
  reading,
  now,
}: {
  draft: PickDraft;
  reading: Extract<DraftReading, { kind: 'ready' }>;
  now: number;
}) {
  const pick = pickFrom(draft, reading, '', now);
  const { until } = keepsUntil(pick, pick.softKg > 0 ? 'soft' : 'sound');
  const product = productsOf(draft.crop)[0];
  const estimate = product && estimateJars(draft.crop, pick.massKg, product.product, 'quart');
  const start = pick.softKg > 0 ? 'Use the soft ones by' : 'Keeps to';
  return (
    <View>
      <Words weight={700}>
        {start} {now > until ? 'today' : weekday(until)}
      </Words>
      <Words>
        {estimate?.kind === 'estimate' && product
          ? `Likely ${countJars(estimate.jars.p50, 'quart')} ${product.name.toLowerCase()}`
          : 'No tested product for it in Hoddle yet.'}
      </Words>
    </View>
  );
}
