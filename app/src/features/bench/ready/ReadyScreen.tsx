import { inZone } from '@/store/householdZone';
import { findProduct, type ProductRow } from '@hoddle/core/handbook/products';
import { readyBy, readyFrom, type TimedStep } from '@hoddle/core/day/readyTimes';
import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { findTestedRow, processAt } from '@hoddle/core/process/findProcess';
import { plannedProcess } from '@hoddle/core/process/plannedProcess';
import { isSameDay } from 'date-fns/isSameDay';
import { memo, useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { bandCells } from '@/household/process/bandCells';
import { usePages } from '@/household/process/usePages';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { AltitudeBands } from '@/ui/AltitudeBands';
import { Choice } from '@/ui/Choice';
import { clockTime, dayAndDate, duration } from '@/ui/clockWords';
import { COLOURS } from '@/ui/colours';
import { FigureField } from '@/ui/FigureField';
import { typedAfter } from '@/ui/Keypad';
import { Stepper } from '@/ui/Stepper';
import { Words } from '@/ui/Words';
import { AnswerPlate } from '../instrument/AnswerPlate';
import { Instrument } from '../instrument/Instrument';
import { readMeasure } from '../instrument/readCount';
import { Slip } from '@/ui/Slip';
import { useRemembered } from '@/ui/useRemembered';
import { firstQuestion } from '../tested/useTestedQuestion';

const HOUR_MS = 60 * 60_000;
const HALF_HOUR_MS = HOUR_MS / 2;

/** Back from the time it is to be ready, or forwards from now: when each step begins. */
export function ReadyScreen({ product: id }: { product: string }) {
  const product = findProduct(id);
  if (product) return <Ready product={product} />;
  return (
    <Instrument title="Ready times" backTo="/bench/ready">
      <Words>The handbook does not have it.</Words>
    </Instrument>
  );
}

function Ready({ product }: { product: ProductRow }) {
  const { altitudeFt, units } = useHousehold().household;
  const pages = usePages();
  const { values, change } = useRemembered(`ready ${product.product}`, { way: 'by', pounds: '14' });
  const [now] = useState(householdNow);
  const [readyAt, setReadyAt] = useState(() => Math.ceil((now + 36 * HOUR_MS) / HALF_HOUR_MS) * HALF_HOUR_MS);
  const pounds = readMeasure(values.pounds, units === 'metric' ? 'kilograms' : 'pounds', 400);
  const row = findTestedRow({ ...firstQuestion(product), product: product.product }, pages);
  const answer = row.kind === 'testedRow' && altitudeFt !== null ? processAt(row, altitudeFt) : undefined;
  const backwards = values.way === 'by';
  const minutes = answer?.kind === 'tested' ? plannedProcess(answer).minutes : undefined;
  // The figure shows at once; the steps follow as soon as there is time, even on an old phone.
  const settledPounds = useDeferredValue(
    pounds.kind === 'count' ? pounds.value / (units === 'metric' ? KG_PER_LB : 1) : 0,
  );
  return (
    <Instrument
      title="Ready times"
      note={product.name}
      backTo="/bench/ready"
      glance={
        minutes !== undefined && settledPounds > 0
          ? beginWords({ product, pounds: settledPounds, processMinutes: minutes, backwards, readyAt, now })
          : undefined
      }
      onKey={(key) => change({ pounds: typedAfter(values.pounds, key) })}
    >
      <Choice
        label="Which way"
        value={values.way as 'by' | 'now'}
        onChoose={(way) => change({ way })}
        options={[
          { value: 'by', words: 'ready by' },
          { value: 'now', words: 'from now' },
        ]}
      />
      {backwards && (
        <>
          <Stepper
            label="Ready, day"
            words={dayAndDate(readyAt)}
            onLess={() => setReadyAt(readyAt - 24 * HOUR_MS)}
            onMore={() => setReadyAt(readyAt + 24 * HOUR_MS)}
          />
          <Stepper
            label="Ready, time"
            words={clockTime(readyAt)}
            onLess={() => setReadyAt(readyAt - HALF_HOUR_MS)}
            onMore={() => setReadyAt(readyAt + HALF_HOUR_MS)}
          />
        </>
      )}
      <View className="flex-row">
        <FigureField
          label="Produce"
          typed={values.pounds}
          unitWords={units === 'metric' ? 'kg' : 'lb'}
          active
          large={false}
          wrong={pounds.kind === 'slip'}
          onFocus={() => undefined}
          onChange={(typed) => change({ pounds: typed })}
        />
      </View>
      {pounds.kind === 'slip' && <Slip sentence={pounds.sentence} />}
      {altitudeFt === null && row.kind === 'testedRow' && (
        <>
          <View className="flex-row">
            <AltitudeBands cells={bandCells(row)} />
          </View>
          <Words weight={700}>Set the altitude first: the tested minutes go by it.</Words>
        </>
      )}
      {answer?.kind === 'refusal' && <Words weight={700}>{answer.reason}</Words>}
      {row.kind === 'refusal' && <Words weight={700}>{row.reason}</Words>}
      {minutes !== undefined && pounds.kind === 'count' && settledPounds > 0 && (
        <ReadyAnswer
          product={product}
          pounds={settledPounds}
          processMinutes={minutes}
          backwards={backwards}
          readyAt={readyAt}
          now={now}
        />
      )}
    </Instrument>
  );
}

interface ReadyAnswerProps {
  product: ProductRow;
  pounds: number;
  processMinutes: number;
  backwards: boolean;
  readyAt: number;
  now: number;
}

/** "Begin Sunday 30 Aug 8:46 am, ready 8:00 pm", for a glance. */
function beginWords({ product, pounds, processMinutes, backwards, readyAt, now }: ReadyAnswerProps): string {
  const steps = timed(product, pounds, processMinutes, backwards, backwards ? readyAt : now);
  return `Begin ${when(steps[0]?.startAt ?? now, now)}, ready ${when(steps.at(-1)?.endAt ?? now, now)}`;
}

/** Every step with its time, hands solid and waits hollow. */
const ReadyAnswer = memo(function ReadyAnswer(question: ReadyAnswerProps) {
  const { product, pounds, processMinutes, backwards, readyAt, now } = question;
  const steps = timed(product, pounds, processMinutes, backwards, backwards ? readyAt : now);
  const first = steps[0];
  if (!first) return null;
  const late = backwards && first.startAt < now;
  return (
    <AnswerPlate
      text={`${product.name}: ${steps.map((step) => `${when(step.startAt, now)} ${step.words}`).join('; ')}.`}
    >
      <Words>
        Begin{' '}
        <Words size="head" weight={800}>
          {when(first.startAt, now)}
        </Words>
      </Words>
      {late && <Words weight={700}>That is past: choose a later time, or begin now.</Words>}
      <View role="list">
        {steps.map((step) => (
          <StepLine key={`${step.startAt} ${step.words}`} step={step} now={now} />
        ))}
      </View>
      <Words>
        Ready <Words weight={800}>{when(steps.at(-1)?.endAt ?? now, now)}</Words>, jars cooled.
      </Words>
      <Words size="label" tone="ink-2">
        One batch, one load. Every step at the middle of its usual time, common practice; the process time is the tested
        one.
      </Words>
    </AnswerPlate>
  );
});

function timed(
  product: ProductRow,
  pounds: number,
  processMinutes: number,
  backwards: boolean,
  at: number,
): TimedStep[] {
  const question = { product, massKg: pounds * KG_PER_LB, processMinutes };
  return backwards ? readyBy(question, at) : readyFrom(question, at);
}

function when(at: number, now: number): string {
  return isSameDay(inZone(at), inZone(now)) ? clockTime(at) : `${dayAndDate(at)} ${clockTime(at)}`;
}

/** Longest bar, and the wait it stands for: longer ones end in a notch. */
const BAR_PX = 90;
const BAR_MS = 6 * HOUR_MS;

function StepLine({ step, now }: { step: TimedStep; now: number }) {
  const length = step.endAt - step.startAt;
  const px = Math.max(4, Math.min(1, length / BAR_MS) * BAR_PX);
  return (
    <View role="listitem" className="flex-row items-center gap-3 border-t border-hair py-1">
      <View className="flex-1">
        <Words weight={step.hands ? 700 : 500}>{step.words}</Words>
        <Words size="small" tone="ink-2">
          {when(step.startAt, now)}, {duration(length)}
        </Words>
      </View>
      <View style={{ width: BAR_PX }}>
        <View
          style={{
            width: px,
            height: 12,
            backgroundColor: step.hands ? COLOURS.ink : 'transparent',
            boxShadow: step.hands ? undefined : `inset 0 0 0 2px ${COLOURS.ink}`,
            borderTopRightRadius: length > BAR_MS ? 6 : 0,
            borderBottomRightRadius: length > BAR_MS ? 6 : 0,
          }}
        />
      </View>
    </View>
  );
}
