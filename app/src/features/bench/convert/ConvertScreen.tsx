import { formsOf } from '@hoddle/core/handbook/forms';
import { findProduce, type ProduceId, produceRow } from '@hoddle/core/handbook/produce';
import { convertProduce } from '@hoddle/core/harvest/produceFigures';
import { type Unit, UNIT_IDS, UNITS } from '@hoddle/core/measure/amount';
import { printFraction } from '@hoddle/core/measure/fraction';
import { readAmount } from '@hoddle/core/measure/readAmount';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { CropKeys, recentCrops } from '@/features/harvest/CropKeys';
import { useHousehold } from '@/store/useHousehold';
import { FigureField } from '@/ui/FigureField';
import { typedAfter } from '@/ui/Keypad';
import { SmallKey } from '@/ui/SmallKey';
import { Heading, Words } from '@/ui/Words';
import { AnswerPlate } from '../instrument/AnswerPlate';
import { Instrument } from '../instrument/Instrument';
import { Jug } from '../instrument/Jug';
import { Slip } from '../instrument/Slip';
import { useRemembered } from '../instrument/useRemembered';

const FIRST = { crop: 'strawberry', form: 'crushed', amount: '5', unit: 'cup' };

/** The measures asked most; a key opens the others. */
const USUAL: readonly Unit[] = ['cup', 'lb', 'quart', 'bushel', 'gallon-bag', 'quart-box'];

/** Answers that nobody measures with are left out: a bushel in teaspoons, a cup in bushels. */
const [LEAST, MOST] = [1 / 16, 400];

/** One amount of a crop in every other measure at once: "5 cups of crushed strawberries is how many quart boxes?" */
export function ConvertScreen() {
  const { picks } = useHousehold();
  const [allUnits, setAllUnits] = useState(false);
  const { values, change } = useRemembered('convert', FIRST);
  const crop: ProduceId = findProduce(values.crop)?.crop ?? 'strawberry';
  const forms = formsOf(crop).map(({ form }) => form);
  const form = forms.includes(values.form) ? values.form : forms[0];
  const typedUnit = (UNIT_IDS as readonly string[]).includes(values.unit) ? (values.unit as Unit) : 'lb';
  const reading = readAmount(values.amount, typedUnit);
  const amount = reading.kind === 'amount' ? reading.amount : undefined;
  const answers = amount
    ? UNIT_IDS.filter((unit) => unit !== amount.unit).flatMap((unit) => {
        const said = convertProduce(amount, unit, crop, form);
        return said.kind === 'converted' && said.value >= LEAST && said.value <= MOST
          ? [{ unit, value: said.value }]
          : [];
      })
    : [];
  const refusal =
    amount && answers.length < 4 ? convertProduce(amount, amount.unit === 'lb' ? 'cup' : 'lb', crop, form) : undefined;
  const cups = amount && convertProduce(amount, 'cup', crop, form);
  const name = `${produceRow(crop).name.toLowerCase()}${form === undefined ? '' : `, ${form}`}`;
  const told = answers.map(({ unit, value }) => `${figure(value)} ${words(value, unit)}`);
  const usual = answers.filter(({ unit }) => USUAL.includes(unit)).slice(0, 3);
  const glance = amount && usual.map(({ unit, value }) => `${figure(value)} ${words(value, unit)}`).join(', ');
  const asked = amount ? `${printFraction(amount.value)} ${words(amount.value, amount.unit)}` : '';
  return (
    <Instrument
      title="Convert"
      note={name}
      glance={glance}
      onKey={(key) => change({ amount: typedAfter(values.amount, key) })}
    >
      <CropKeys first={recentCrops(picks)} crop={crop} onChoose={(next) => change({ crop: next, form: '' })} />
      {forms.length > 0 && (
        <View role="radiogroup" aria-label="How it is cut" className="flex-row flex-wrap gap-2">
          {forms.map((each) => (
            <Chip key={each} words={each} chosen={each === form} onPress={() => change({ form: each })} />
          ))}
        </View>
      )}
      <View className="flex-row">
        <FigureField
          label="Amount"
          typed={values.amount}
          unitWords={UNITS[typedUnit].several}
          active
          large
          wrong={reading.kind === 'unreadable' && reading.why !== 'empty'}
          onFocus={() => undefined}
          onChange={(typed) => change({ amount: typed })}
        />
      </View>
      <View role="radiogroup" aria-label="Measure" className="flex-row flex-wrap gap-2">
        {(allUnits ? UNIT_IDS : [...new Set<Unit>([...USUAL, typedUnit])]).map((unit) => (
          <Chip key={unit} words={UNITS[unit].one} chosen={unit === typedUnit} onPress={() => change({ unit })} />
        ))}
        {!allUnits && <SmallKey words="More measures" onPress={() => setAllUnits(true)} />}
      </View>
      {reading.kind === 'unreadable' && reading.why !== 'empty' && (
        <Slip
          sentence={
            reading.why === 'negative'
              ? 'Less than nothing cannot be measured.'
              : `"${values.amount}" is not an amount. Try 1 1/2 or ½ bushel.`
          }
        />
      )}
      {amount && (
        <AnswerPlate text={`${asked} of ${name}: ${told.join(', ')}.`}>
          <Heading>{asked} is</Heading>
          <View className="flex-row items-start gap-4">
            {cups?.kind === 'converted' && cups.value <= 64 && <Jug waterCups={cups.value} />}
            <View role="list" className="flex-1">
              {answers.map(({ unit, value }) => (
                <View key={unit} role="listitem" className="flex-row items-baseline gap-2">
                  <Words size="lead" weight={800} className="w-[64px] text-right">
                    {figure(value)}
                  </Words>
                  <Words className="flex-1">{words(value, unit)}</Words>
                </View>
              ))}
            </View>
          </View>
          {refusal?.kind === 'refusal' && <Words weight={600}>{refusal.reason}</Words>}
          <Words size="label" tone="ink-2">
            Weight is as picked, volume as cut. Bushels as the handbook gives them; cups a pound are{' '}
            {formsOf(crop).find((row) => row.form === form)?.basis ?? 'not published'}.
          </Words>
        </AnswerPlate>
      )}
    </Instrument>
  );
}

function words(value: number, unit: Unit): string {
  return value > 0 && value <= 1 ? UNITS[unit].one : UNITS[unit].several;
}

/** To the eighth below 20, whole above: nobody weighs an ounce of a bushel. */
function figure(value: number): string {
  if (value >= 20) return Math.round(value).toLocaleString('en-US');
  return printFraction(value, value < 1 ? 16 : 8);
}

function Chip({ words: label, chosen, onPress }: { words: string; chosen: boolean; onPress: () => void }) {
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      onPress={onPress}
      className={`min-h-[48px] justify-center rounded-key px-3 ${chosen ? 'bg-plate' : ''}`}
      style={{ boxShadow: chosen ? 'inset 0 0 0 3px #1D3F8F' : 'inset 0 0 0 2px #6C7A8C' }}
    >
      <Words weight={chosen ? 700 : 500}>{label}</Words>
    </Pressable>
  );
}
