import { countJars, isJarSize, JARS, type JarSize } from '@hoddle/core/handbook/jars';
import { findProduce, type ProduceId, produceRow } from '@hoddle/core/handbook/produce';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { massOf } from '@hoddle/core/harvest/massOf';
import { type HarvestUnit, HARVEST_UNITS, UNITS } from '@hoddle/core/measure/amount';
import { readAmount } from '@hoddle/core/measure/readAmount';
import { estimateJars, massForJarsKg, productsFrom } from '@hoddle/core/yields/estimateJars';
import { type LearnedYields } from '@hoddle/core/yields/yieldModel';
import { likelyWords, spanWords } from '@hoddle/core/yields/spanWords';
import { basisWords, yieldRange } from '@hoddle/core/yields/yieldRange';
import { memo, useDeferredValue } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { CropKeys, recentCrops } from '@/ui/CropKeys';
import { UnitKeys } from '@/ui/UnitKeys';
import { RangeJars, rangeWidth } from '@/ui/RangeJars';
import { useLearned } from '@/household/yields/useLearned';
import { useHousehold } from '@/store/useHousehold';
import { useMassWords, useUnits } from '@/store/useUnits';
import { Choice } from '@/ui/Choice';
import { hueOfCrop } from '@/ui/colours';
import { FigureField } from '@/ui/FigureField';
import { typedAfter } from '@/ui/Keypad';
import { Words } from '@/ui/Words';
import { AnswerPlate } from '../instrument/AnswerPlate';
import { Instrument } from '../instrument/Instrument';
import { OneOf } from '@/ui/OneOf';
import { readJars } from '../instrument/readCount';
import { Slip } from '@/ui/Slip';
import { useRemembered } from '@/ui/useRemembered';

const FIRST = { way: 'jars', crop: 'tomato-paste', product: '', jar: 'quart', amount: '68', unit: 'lb', jars: '21' };
/** A rack's usual number, for setting the drawn jars apart. Common practice. */
const PER_LOAD = { quart: 7, pint: 9 } as const;

/** How many jars does this make, or how much must be picked for so many; with what to have ready. */
export function JarsScreen() {
  const { picks } = useHousehold();
  const { values, change } = useRemembered('jars', FIRST);
  const crop: ProduceId = findProduce(values.crop)?.crop ?? 'tomato-paste';
  const learned = useLearned();
  const products = productsFrom(crop);
  const product = products.find((row) => row.product === values.product) ?? products[0];
  const jar: 'quart' | 'pint' = values.jar === 'pint' ? 'pint' : 'quart';
  const mass = useMassWords();
  const backwards = values.way === 'produce';
  const field = backwards ? 'jars' : 'amount';
  return (
    <Instrument
      title={backwards ? 'Produce for jars' : 'Jars from produce'}
      note={produceRow(crop).name}
      glance={product && glanceOf(values, crop, product, jar, mass, learned)}
      onKey={(key) => change({ [field]: typedAfter(values[field], key) })}
    >
      <Choice
        label="Which way"
        value={values.way as 'jars' | 'produce'}
        onChoose={(way) => change({ way })}
        options={[
          { value: 'jars', words: 'jars from produce' },
          { value: 'produce', words: 'produce for jars' },
        ]}
      />
      <CropKeys first={recentCrops(picks)} crop={crop} onChoose={(next) => change({ crop: next, product: '' })} />
      {product && (
        <OneOf
          label="Product"
          options={products.map((row) => ({ value: row.product, words: row.name }))}
          value={product.product}
          onChoose={(next) => change({ product: next })}
        />
      )}
      <Choice
        label="Jar"
        value={jar}
        onChoose={(size) => change({ jar: size })}
        options={[
          { value: 'pint', words: 'pints' },
          { value: 'quart', words: 'quarts' },
        ]}
      />
      {!product ? (
        <Words>
          No yield is published for {produceRow(crop).name.toLowerCase()} alone: it goes by a formula, measured in cups.
        </Words>
      ) : backwards ? (
        <ProduceForJars
          typed={values.jars}
          onType={(jars) => change({ jars })}
          crop={crop}
          product={product}
          jar={jar}
        />
      ) : (
        <JarsFromProduce
          typed={values.amount}
          unit={(HARVEST_UNITS as readonly string[]).includes(values.unit) ? (values.unit as HarvestUnit) : 'lb'}
          onType={(amount) => change({ amount })}
          onUnit={(unit) => change({ unit })}
          crop={crop}
          product={product}
          jar={jar}
        />
      )}
    </Instrument>
  );
}

/** The answer in a line: likely jars and their range, or the produce to be sure with. */
function glanceOf(
  values: typeof FIRST,
  crop: ProduceId,
  product: ProductRow,
  jar: 'quart' | 'pint',
  mass: (massKg: number) => string,
  learned: LearnedYields,
): string | undefined {
  if (values.way === 'produce') {
    const jars = readJars(values.jars);
    return jars.kind === 'count'
      ? `${mass(massForJarsKg(crop, product.product, jar, jars.value, { learned }).sureKg)} to be sure 8 times in 10`
      : undefined;
  }
  const unit = HARVEST_UNITS.find((each) => each === values.unit) ?? 'lb';
  const reading = readAmount(values.amount, unit);
  const read = reading.kind === 'amount' ? massOf(reading.amount, crop) : undefined;
  if (read?.kind !== 'mass') return undefined;
  const estimate = estimateJars(crop, read.massKg, product.product, jar, learned);
  if (estimate.kind === 'refusal') return undefined;
  const { p50, p90 } = estimate.jars;
  return [countJars(p50, jar), spanWords(estimate.jars)].filter(Boolean).join(', ') + `; have ${p90} ready`;
}

interface FromProps {
  typed: string;
  unit: HarvestUnit;
  onType: (typed: string) => void;
  onUnit: (unit: HarvestUnit) => void;
  crop: ProduceId;
  product: ProductRow;
  jar: 'quart' | 'pint';
}

function JarsFromProduce({ typed, unit, onType, onUnit, crop, product, jar }: FromProps) {
  const reading = readAmount(typed, unit);
  const read = reading.kind === 'amount' ? massOf(reading.amount, crop) : undefined;
  // The figure shows at once; the jars are drawn as soon as there is time, even on an old phone.
  const settledKg = useDeferredValue(read?.kind === 'mass' ? read.massKg : 0);
  const slip =
    read?.kind === 'refusal'
      ? read.reason
      : reading.kind === 'unreadable' && reading.why !== 'empty'
        ? `"${typed}" is not an amount. Try 68 or ½ bushel.`
        : undefined;
  return (
    <>
      <View className="flex-row">
        <FigureField
          label="Produce"
          typed={typed}
          unitWords={UNITS[unit].several}
          active
          large
          wrong={slip !== undefined}
          onFocus={() => undefined}
          onChange={onType}
        />
      </View>
      <UnitKeys unit={unit} onChoose={onUnit} />
      {slip !== undefined && <Slip sentence={slip} />}
      {read?.kind === 'mass' && <JarsAnswer crop={crop} massKg={settledKg} product={product} jar={jar} />}
    </>
  );
}

interface JarsAnswerProps {
  crop: ProduceId;
  massKg: number;
  product: ProductRow;
  jar: 'quart' | 'pint';
}

/** The jars as a range, drawn, with what to have ready. */
const JarsAnswer = memo(function JarsAnswer({ crop, massKg, product, jar }: JarsAnswerProps) {
  const mass = useMassWords();
  const { width } = useWindowDimensions();
  const units = useUnits();
  const estimate = estimateJars(crop, massKg, product.product, jar, useLearned());
  if (estimate.kind === 'refusal') return <Words>{estimate.reason}</Words>;
  return (
    <AnswerPlate
      text={`${mass(estimate.massKg)} of ${produceRow(crop).name.toLowerCase()} make ${likelyWords(estimate.jars, jar)} of ${product.name.toLowerCase()}. Have ${estimate.jars.p90} clean jars and lids ready.`}
    >
      <Words>
        <Words size="figure" weight={800}>
          {countJars(estimate.jars.p50, jar)}
        </Words>{' '}
        {spanWords(estimate.jars) ?? ''}
      </Words>
      {estimate.jars.p90 > 0 && estimate.jars.p90 <= 80 && (
        <RangeJars
          size={jar}
          jars={estimate.jars}
          perLoad={PER_LOAD[jar]}
          quartPx={quartPxFor(jar, estimate.jars.p90, Math.min(width, 700) - 84)}
          {...hueOfCrop(crop)}
        />
      )}
      <Words weight={700}>
        Have {estimate.jars.p90} clean jars and {estimate.jars.p90} lids ready: nine times in ten that is enough.
      </Words>
      <Words size="label" tone="ink-2">
        From the {basisWords(estimate.grounds, units)}; what is printed is as recalled.
      </Words>
    </AnswerPlate>
  );
});

/** Height of a quart where the row still fits, never larger than the usual one. */
const MOST_QUART_PX = 24;

function quartPxFor(jar: 'quart' | 'pint', jars: number, widthPx: number): number {
  return Math.min(MOST_QUART_PX, (MOST_QUART_PX * widthPx) / rangeWidth(jar, jars, PER_LOAD[jar], MOST_QUART_PX));
}

interface ForProps {
  typed: string;
  onType: (typed: string) => void;
  crop: ProduceId;
  product: ProductRow;
  jar: JarSize;
}

function ProduceForJars({ typed, onType, crop, product, jar }: ForProps) {
  const learned = useLearned();
  const mass = useMassWords();
  const jars = readJars(typed);
  const range = yieldRange(product.product, crop, learned);
  const units = useUnits();
  const basis = range ? basisWords(range.basis, units) : 'handbook';
  const need = jars.kind === 'count' ? massForJarsKg(crop, product.product, jar, jars.value, { learned }) : undefined;
  return (
    <>
      <View className="flex-row">
        <FigureField
          label="Jars"
          typed={typed}
          unitWords={isJarSize(jar) ? JARS[jar].several : ''}
          active
          large
          wrong={jars.kind === 'slip'}
          onFocus={() => undefined}
          onChange={onType}
        />
      </View>
      {jars.kind === 'slip' && <Slip sentence={jars.sentence} />}
      {need && jars.kind === 'count' && (
        <AnswerPlate
          text={`${countJars(jars.value, jar)} of ${product.name.toLowerCase()}: likely ${mass(need.likelyKg)}, ${mass(need.sureKg)} to be sure eight times in ten.`}
        >
          <Words>
            <Words size="figure" weight={800}>
              {mass(need.sureKg)}
            </Words>{' '}
            to be sure eight times in ten
          </Words>
          <Words>
            Likely <Words weight={700}>{mass(need.likelyKg)}</Words>.
          </Words>
          <Words weight={700}>
            Have {jars.value} clean jars and {jars.value} lids ready.
          </Words>
          <Words size="label" tone="ink-2">
            From the {basis}; what is printed is as recalled.
          </Words>
        </AnswerPlate>
      )}
    </>
  );
}
