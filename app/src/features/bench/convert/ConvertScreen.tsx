import { formsOf } from '@hoddle/core/handbook/forms';
import { findProduce, type ProduceId, produceRow } from '@hoddle/core/handbook/produce';
import { type Unit, UNIT_IDS, UNITS } from '@hoddle/core/measure/amount';
import { readAmount } from '@hoddle/core/measure/readAmount';
import { useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { CropKeys, recentCrops } from '@/ui/CropKeys';
import { useHousehold } from '@/store/useHousehold';
import { ChipRadio } from '@/ui/ChipRadio';
import { FigureField } from '@/ui/FigureField';
import { typedAfter } from '@/ui/Keypad';
import { SmallKey } from '@/ui/SmallKey';
import { Instrument } from '../instrument/Instrument';
import { Slip } from '@/ui/Slip';
import { useRemembered } from '@/ui/useRemembered';
import { ConvertAnswer } from './ConvertAnswer';
import { inEveryMeasure, USUAL_UNITS } from './inEveryMeasure';

const FIRST = { crop: 'strawberry', form: 'crushed', amount: '5', unit: 'cup' };

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
  // The figure shows at once; the answers follow as soon as there is time, even on an old phone.
  const settled = useDeferredValue(amount?.value ?? 0);
  const name = `${produceRow(crop).name.toLowerCase()}${form === undefined ? '' : `, ${form}`}`;
  const glance =
    amount &&
    inEveryMeasure(amount, crop, form)
      .filter(({ unit }) => USUAL_UNITS.includes(unit))
      .slice(0, 3)
      .map((measure) => `${measure.figure} ${measure.unitWords}`)
      .join(', ');
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
            <ChipRadio key={each} words={each} chosen={each === form} onPress={() => change({ form: each })} />
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
        {(allUnits ? UNIT_IDS : [...new Set<Unit>([...USUAL_UNITS, typedUnit])]).map((unit) => (
          <ChipRadio key={unit} words={UNITS[unit].one} chosen={unit === typedUnit} onPress={() => change({ unit })} />
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
      {amount && settled > 0 && <ConvertAnswer crop={crop} form={form} value={settled} unit={amount.unit} />}
    </Instrument>
  );
}
