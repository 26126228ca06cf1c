import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { CARDS } from '@hoddle/core/handbook/cards';
import { countJars } from '@hoddle/core/handbook/jars';
import { keepsDays, placesFor } from '@hoddle/core/harvest/keeping';
import { type Pick as HarvestPick } from '@hoddle/core/harvest/pick';
import { endsBare, mayGoOn } from '@hoddle/core/harvest/sumOfMeasures';
import { UNITS } from '@hoddle/core/measure/amount';
import { estimateJars, productsFrom } from '@hoddle/core/yields/estimateJars';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { weightFigure } from '@/household/instruments/readingWords';
import { ScalePart } from '@/household/instruments/ScalePart';
import { useLearned } from '@/household/yields/useLearned';
import { useHousehold, useNow } from '@/store/useHousehold';
import { Choice } from '@/ui/Choice';
import { clockTime, dayAndDate, weekday } from '@/ui/clockWords';
import { COLOURS, hueOfCrop } from '@/ui/colours';
import { FigureField } from '@/ui/FigureField';
import { Key } from '@/ui/Key';
import { Keypad } from '@/ui/Keypad';
import { RipenessGlyph } from '@/ui/RipenessGlyph';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { AskMeasure } from './AskMeasure';
import { CropKeys, recentCrops } from '@/ui/CropKeys';
import { PLACE_NAMES } from '@/household/harvest/keepingWords';
import { MorePick } from './MorePick';
import { OtherMeasures } from './OtherMeasures';
import { UnitKeys } from '@/ui/UnitKeys';
import { type DraftReading, type PickDraft, pickFrom, readDraft, usePickEntry, withAnd } from './usePickEntry';

interface PickFormProps {
  title: string;
  first: PickDraft;
  keyWords: string;
  backTo: string;
  /** With no id of its own yet. */
  onSave: (pick: HarvestPick) => void;
}

/** One basket: crop, amount, ripeness, place; when and from where behind one line. */
export function PickForm({ title, first, keyWords, backTo, onSave }: PickFormProps) {
  const { picks, plantings, ownMeasures, household } = useHousehold();
  const { units } = household;
  const now = useNow(30_000);
  const { draft, change, field, setField, press } = usePickEntry(first);
  const [asked, setAsked] = useState(false);
  const reading = readDraft(draft, ownMeasures, now);
  const { hue } = hueOfCrop(draft.crop);
  const wrong = reading.kind === 'slip' ? reading.field : undefined;
  const weighed = useCallback(
    (grams: number, step: number) => {
      const unit = units === 'metric' ? 'kg' : 'lb';
      change({ amount: weightFigure(grams, step, unit), unit, vessel: '' });
    },
    [change, units],
  );
  const save = () => {
    setAsked(true);
    if (reading.kind === 'ready') onSave(pickFrom(draft, reading, ''));
  };
  return (
    <Screen
      station="harvest"
      title={title}
      backTo={backTo}
      withoutStations
      headSide={<Words tone="ink-2">{`${weekday(now)} ${clockTime(now)}`}</Words>}
      foot={
        <PickFoot
          {...{ draft, reading, asked, now, keyWords }}
          onSave={save}
          onWay={(of, way) => change({ [of]: way })}
        />
      }
    >
      <View className="max-w-[560px] gap-[10px]">
        <CropKeys
          first={recentCrops(picks)}
          crop={draft.crop}
          onChoose={(crop) =>
            change({ crop, plantingId: null, place: placesFor(crop).includes(draft.place) ? draft.place : 'counter' })
          }
        />
        <View className="flex-row gap-[10px]">
          <FigureField
            label="Picked"
            large
            typed={draft.amount}
            unitWords={isWorded(draft.amount) ? '' : draft.vessel || UNITS[draft.unit].several}
            active={field === 'amount'}
            wrong={wrong === 'amount'}
            onFocus={() => setField('amount')}
            onChange={(amount) => change({ amount })}
          />
          {draft.ripeness !== 'soft' && (
            <FigureField
              label="of it soft"
              large={false}
              typed={draft.soft}
              unitWords={
                draft.vessel !== '' || isWorded(draft.soft)
                  ? ''
                  : draft.unit === 'kg'
                    ? 'kg'
                    : draft.unit === 'lb'
                      ? 'lb'
                      : ''
              }
              active={field === 'soft'}
              wrong={wrong === 'soft'}
              onFocus={() => setField('soft')}
              onChange={(soft) => change({ soft })}
            />
          )}
        </View>
        <ScalePart first="hanging-scale" onWeighed={weighed} />
        <UnitKeys
          unit={draft.vessel === '' ? draft.unit : undefined}
          onChoose={(unit) => change({ unit, vessel: '' })}
        />
        <OtherMeasures
          vessel={draft.vessel}
          ownMeasures={ownMeasures.filter(({ crop }) => crop === draft.crop)}
          onChoose={(vessel) => change({ vessel })}
          onAnd={mayGoOn(draft[field]) ? () => change(withAnd(draft, field)) : undefined}
        />
        <Keypad onPress={press} />
        <Choice
          label="Ripeness"
          value={draft.ripeness}
          onChoose={(ripeness) => {
            change({ ripeness });
            if (ripeness === 'soft') setField('amount');
          }}
          options={ripenessesOf(draft.crop).map((ripeness) => ({
            value: ripeness,
            words: ripeness,
            drawing: <RipenessGlyph ripeness={ripeness} hue={hue} />,
          }))}
        />
        <Choice
          label="Where it is kept"
          value={draft.place}
          onChoose={(place) => change({ place })}
          options={placesFor(draft.crop).map((place) => ({ value: place, words: PLACE_NAMES[place] }))}
        />
        <MorePick
          draft={draft}
          plantings={plantings.filter(({ crop }) => crop === draft.crop)}
          ownMeasures={ownMeasures.filter(({ crop }) => crop === draft.crop)}
          onChange={change}
          dayIsWrong={wrong === 'day'}
        />
        <Words size="label" tone="ink-2">
          <Words size="label" weight={700}>
            Soft
          </Words>{' '}
          is ripe and sound. Mould or rot: not for jars.
        </Words>
      </View>
    </Screen>
  );
}

interface FootProps {
  draft: PickDraft;
  reading: DraftReading;
  asked: boolean;
  now: number;
  keyWords: string;
  onSave: () => void;
  /** One of the ways to read a measure of something prepared. */
  onWay: (field: 'amount' | 'soft', way: string) => void;
}

/** What is wrong or still to be told, or what it will be: how long it keeps and how many jars it likely makes. */
function PickFoot({ draft, reading, asked, now, keyWords, onSave, onWay }: FootProps) {
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
      {reading.kind === 'form' && (
        <View role="alert" className="gap-2">
          <Words weight={700}>{reading.sentence}</Words>
          <View className="gap-2">
            {reading.ways.map((way) => (
              <Key key={way} look="outline" words={way} onPress={() => onWay(reading.field, way)} />
            ))}
          </View>
        </View>
      )}
      {reading.kind === 'ask' && <AskMeasure crop={draft.crop} {...reading} />}
      {reading.kind === 'ready' && <Outlook draft={draft} reading={reading} now={now} />}
      <Key words={keyWords} tall onPress={onSave} />
    </View>
  );
}

const DAY_MS = 24 * 60 * 60_000;

function Outlook({
  draft,
  reading,
  now,
}: {
  draft: PickDraft;
  reading: Extract<DraftReading, { kind: 'ready' }>;
  now: number;
}) {
  const learned = useLearned();
  const ripeness = reading.softKg > 0 ? 'soft' : draft.ripeness;
  const days = keepsDays(draft.crop, ripeness, draft.place);
  const until = reading.pickedAt + days * DAY_MS;
  const product = productsFrom(draft.crop)[0];
  const estimate = product && estimateJars(draft.crop, reading.massKg, product.product, 'quart', learned);
  const start = ripeness === 'soft' && draft.place !== 'freezer' ? 'Use the soft ones by' : 'Keeps to';
  return (
    <View>
      <Words weight={700}>
        {start} {now > until ? 'today' : days > 6 ? dayAndDate(until) : weekday(until)}
      </Words>
      <Words>
        {estimate?.kind === 'estimate' && product
          ? `Likely ${countJars(estimate.jars.p50, 'quart')} ${product.name.toLowerCase()}`
          : 'No tested product for it in Hoddle yet.'}
      </Words>
    </View>
  );
}

/** A sum of several measures says its own; the key that is down stands for a bare figure. */
function isWorded(typed: string): boolean {
  return typed.trim() !== '' && !endsBare(typed);
}

/** Tomatoes are picked green too, before the frost; they are made into what has a recipe for green ones. */
function ripenessesOf(crop: PickDraft['crop']): readonly PickDraft['ripeness'][] {
  const hasGreenCard = CARDS.some((card) =>
    card.ingredients.some(({ state, crops }) => state === 'green' && crops.includes(crop)),
  );
  return hasGreenCard ? ['green', 'firm', 'ripe', 'soft'] : ['firm', 'ripe', 'soft'];
}
