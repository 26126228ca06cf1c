import { formsOf } from '@hoddle/core/handbook/forms';
import { type ProduceId, produceRow } from '@hoddle/core/handbook/produce';
import { convertProduce } from '@hoddle/core/harvest/produceFigures';
import { type Unit, unitWords } from '@hoddle/core/measure/amount';
import { printFraction } from '@hoddle/core/measure/fraction';
import { memo } from 'react';
import { View } from 'react-native';
import { Heading, Words } from '@/ui/Words';
import { AnswerPlate } from '../instrument/AnswerPlate';
import { Jug } from '../instrument/Jug';
import { inEveryMeasure } from './inEveryMeasure';

/** The largest jug that is still drawn, in cups. */
const MOST_DRAWN_CUPS = 64;
/** With fewer answers than this something is not published, and it is said what. */
const FEW = 4;

interface ConvertAnswerProps {
  crop: ProduceId;
  form: string | undefined;
  value: number;
  unit: Unit;
}

/** The amount in every other measure, with a jug filled to it. */
export const ConvertAnswer = memo(function ConvertAnswer({ crop, form, value, unit }: ConvertAnswerProps) {
  const amount = { value, unit };
  const measures = inEveryMeasure(amount, crop, form);
  const refusal = measures.length < FEW ? convertProduce(amount, unit === 'lb' ? 'cup' : 'lb', crop, form) : undefined;
  const cups = convertProduce(amount, 'cup', crop, form);
  const name = `${produceRow(crop).name.toLowerCase()}${form === undefined ? '' : `, ${form}`}`;
  const asked = `${printFraction(value)} ${unitWords(value, unit)}`;
  const told = measures.map((measure) => `${measure.figure} ${measure.unitWords}`);
  return (
    <AnswerPlate text={`${asked} of ${name}: ${told.join(', ')}.`}>
      <Heading>{asked} is</Heading>
      <View className="flex-row items-start gap-4">
        {cups.kind === 'converted' && cups.value <= MOST_DRAWN_CUPS && <Jug waterCups={cups.value} />}
        <View role="list" className="flex-1">
          {measures.map((measure) => (
            <View key={measure.unit} role="listitem" className="flex-row items-baseline gap-2">
              <Words size="lead" weight={800} className="w-[64px] text-right">
                {measure.figure}
              </Words>
              <Words className="flex-1">{measure.unitWords}</Words>
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
  );
});
