import { countJars, isJarSize, JAR_SIZES, type JarSize } from '@hoddle/core/handbook/jars';
import { findProduct, type ProductRow } from '@hoddle/core/handbook/products';
import { ML_PER_CUP } from '@hoddle/core/measure/amount';
import { printMeasures } from '@hoddle/core/measure/cookMeasure';
import { printFraction } from '@hoddle/core/measure/fraction';
import { brinesOf, mixBrine, testedWaterPerVinegar } from '@hoddle/core/process/brine';
import { recipesOf } from '@hoddle/core/recipe/cardColumns';
import { type AmountLine, recipeFor } from '@hoddle/core/recipe/recipeFor';
import { learnedLiquid } from '@hoddle/core/supplies/learnedLiquid';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { amountWordsOf } from '@hoddle/core/recipe/amountWords';
import { useHousehold } from '@/store/useHousehold';
import { useUnits } from '@/store/useUnits';
import { Choice } from '@/ui/Choice';
import { hueOfProduct } from '@/ui/colours';
import { FigureField } from '@/ui/FigureField';
import { Key } from '@/ui/Key';
import { typedAfter } from '@/ui/Keypad';
import { SmallKey } from '@/ui/SmallKey';
import { VerdictSign } from '@/ui/VerdictSign';
import { Words } from '@/ui/Words';
import { Vessels } from '../change/Vessels';
import { AnswerPlate } from '../instrument/AnswerPlate';
import { Instrument } from '../instrument/Instrument';
import { JarsField } from '../instrument/JarsField';
import { readJars, readMeasure } from '../instrument/readCount';
import { Slip } from '@/ui/Slip';
import { useRemembered } from '@/ui/useRemembered';
import { JarChoice } from '@/ui/JarChoice';

const FIRST = {
  jar: 'pint',
  jars: '8',
  liquids: '2',
  cups1: '4',
  percent1: '5',
  made1: 'bought',
  cups2: '4',
  percent2: '0',
  made2: 'bought',
  cups3: '',
  percent3: '0',
  made3: 'bought',
  cups4: '',
  percent4: '0',
  made4: 'bought',
};
const NUMBERS = ['1', '2', '3', '4'] as const;
type LiquidNumber = (typeof NUMBERS)[number];
type Field = 'jars' | `cups${LiquidNumber}` | `percent${LiquidNumber}`;

/** More than a household's largest crock. */
const MOST_CUPS = 400;

/** What is mixed, how strong it is, whether it is the product's own brine, and whether it goes round. */
export function BrineScreen({ product: id }: { product?: string }) {
  const router = useRouter();
  const product = id === undefined ? undefined : findProduct(id);
  const { values, change } = useRemembered('brine', FIRST);
  const [field, setField] = useState<Field>('cups1');
  const shown = NUMBERS.slice(0, Math.min(4, Math.max(1, Number(values.liquids) || 2)));
  const jar = isJarSize(values.jar) ? values.jar : 'pint';
  const jars = readJars(values.jars);
  const readings = shown.map((n) => ({
    cups: readMeasure(values[`cups${n}`], 'cups', MOST_CUPS),
    percent: readMeasure(values[`percent${n}`], 'percent', 30),
    homeMade: values[`made${n}`] === 'made',
  }));
  const slip = readings.flatMap(({ cups, percent }) => [cups, percent]).find(({ kind }) => kind === 'slip');
  const liquids = readings.flatMap(({ cups, percent, homeMade }) =>
    cups.kind === 'count' && cups.value > 0
      ? [{ ml: cups.value * ML_PER_CUP, acidPercent: percent.kind === 'count' ? percent.value : 0, homeMade }]
      : [],
  );
  const mix = mixBrine(liquids);
  const totalMl = liquids.reduce((sum, { ml }) => sum + ml, 0);
  return (
    <Instrument
      title="Brine"
      note={product?.name ?? 'No product: strength only'}
      glance={
        mix.kind === 'refusal'
          ? mix.reason
          : `${round(mix.acidPercent)} % acid in the mix${product ? `, ${strengthWords(product, mix.waterPerVinegar)}` : ''}`
      }
      onKey={(key) => change({ [field]: typedAfter(values[field], key) })}
    >
      <Key
        look="outline"
        words={product ? 'Another product' : 'Choose the product'}
        onPress={() => router.navigate('/bench/brine/choose')}
      />
      {shown.map((n) => (
        <View key={n} className="gap-1">
          <View className="flex-row gap-[10px]">
            <FigureField
              label={`Liquid ${n}`}
              typed={values[`cups${n}`]}
              unitWords="cups"
              active={field === `cups${n}`}
              large={false}
              wrong={false}
              onFocus={() => setField(`cups${n}`)}
              onChange={(typed) => change({ [`cups${n}`]: typed })}
            />
            <FigureField
              label={values[`percent${n}`] === '0' ? 'Water' : 'Acid on its label'}
              typed={values[`percent${n}`]}
              unitWords="%"
              active={field === `percent${n}`}
              large={false}
              wrong={mix.kind === 'refusal'}
              onFocus={() => setField(`percent${n}`)}
              onChange={(typed) => change({ [`percent${n}`]: typed })}
            />
          </View>
          {values[`percent${n}`] !== '0' && (
            <Choice
              label={`Where liquid ${n} is from`}
              value={values[`made${n}`] as 'bought'}
              onChoose={(made) => change({ [`made${n}`]: made })}
              options={[
                { value: 'bought', words: 'bought, by its label' },
                { value: 'made' as 'bought', words: 'home-made' },
              ]}
            />
          )}
        </View>
      ))}
      <View className="flex-row gap-3">
        {shown.length < 4 && (
          <SmallKey words="One more liquid" onPress={() => change({ liquids: String(shown.length + 1) })} />
        )}
        {shown.length > 1 && (
          <SmallKey words="One less" onPress={() => change({ liquids: String(shown.length - 1) })} />
        )}
      </View>
      {slip?.kind === 'slip' && <Slip sentence={slip.sentence} />}
      {mix.kind === 'refusal' ? (
        <View role="alert" className="flex-row items-center gap-3">
          <VerdictSign verdict="never" size={34} />
          <Words weight={700} className="flex-1">
            {mix.reason}
          </Words>
        </View>
      ) : (
        <AnswerPlate
          text={`Brine of ${round(mix.acidPercent)} % acid${product ? ` for ${product.name.toLowerCase()}` : ''}, ${printFraction(cupsOf(totalMl))} cups in all.`}
        >
          <Words>
            <Words size="figure" weight={800}>
              {round(mix.acidPercent)} %
            </Words>{' '}
            acid in the mix
          </Words>
          {product ? (
            <ProductVerdict product={product} waterPerVinegar={mix.waterPerVinegar} totalMl={totalMl} />
          ) : (
            <Words>No product, no verdict: each was tested with its own proportion of vinegar to water.</Words>
          )}
        </AnswerPlate>
      )}
      {product && (
        <>
          <JarChoice
            sizes={JAR_SIZES.slice(1, 6)}
            value={jar}
            onChoose={(size) => change({ jar: size })}
            colours={hueOfProduct(product.product)}
            isTested={() => true}
          />
          <View className="flex-row">
            <JarsField
              typed={values.jars}
              jar={jar}
              active={field === 'jars'}
              onFocus={() => setField('jars')}
              onChange={(typed) => change({ jars: typed })}
            />
          </View>
          {jars.kind === 'slip' && <Slip sentence={jars.sentence} />}
          {jars.kind === 'count' && <GoesRound product={product} jar={jar} jars={jars.value} totalMl={totalMl} />}
        </>
      )}
    </Instrument>
  );
}

/** In a word, whether a mix is as strong as the product's own brine. */
function strengthWords(product: ProductRow, waterPerVinegar: number): string {
  const tested = testedWaterPerVinegar(product);
  if (tested === undefined) return 'no brine to compare with';
  return isWeak(waterPerVinegar, tested) ? 'too much water' : 'strong enough';
}

/** A kitchen's cups are not a laboratory's: two in a hundred is the same brine. */
function isWeak(waterPerVinegar: number, tested: number): boolean {
  return waterPerVinegar > tested * 1.02 + 1e-9;
}

function round(percent: number): string {
  return String(Math.round(percent * 10) / 10);
}

function ProductVerdict({
  product,
  waterPerVinegar,
  totalMl,
}: {
  product: ProductRow;
  waterPerVinegar: number;
  totalMl: number;
}) {
  const tested = testedWaterPerVinegar(product);
  const batch = brinesOf(product)[0];
  if (tested === undefined || !batch) return <Words>Its formula has no vinegar brine to compare with.</Words>;
  const weak = isWeak(waterPerVinegar, tested);
  const cups = cupsOf(totalMl);
  const split = (proportion: number) =>
    Number.isFinite(proportion)
      ? { acidCups: cups / (1 + proportion), waterCups: (cups * proportion) / (1 + proportion) }
      : { acidCups: 0, waterCups: cups };
  return (
    <>
      <View className="flex-row items-center gap-3">
        <VerdictSign verdict={weak ? 'never' : 'allowed'} size={34} />
        <Words weight={700} className="flex-1">
          {weak
            ? `Too much water: the tested brine of ${product.name.toLowerCase()} is ${proportionWords(tested)}.`
            : `Strong enough: tested with ${proportionWords(tested)}.`}
        </Words>
      </View>
      <Vessels acid="vinegar" tested={split(tested)} asked={split(waterPerVinegar)} />
    </>
  );
}

function proportionWords(waterPerVinegar: number): string {
  return waterPerVinegar === 0 ? 'vinegar and no water' : `${printFraction(waterPerVinegar)} of water to 1 of vinegar`;
}

/** What these jars will likely take of their covering liquid, what to make, and whether the mix goes round. */
function GoesRound({
  product,
  jar,
  jars,
  totalMl,
}: {
  product: ProductRow;
  jar: JarSize;
  jars: number;
  totalMl: number;
}) {
  const units = useUnits();
  const { batchRecords } = useHousehold();
  const card = recipesOf(product.product).find((each) => recipeFor(each, { jars: [{ jar, count: 1 }] }).covering);
  if (!card) {
    return <Words>It is not packed under a covering brine: its vinegar goes into the pot with the food.</Words>;
  }
  const liquid = learnedLiquid(card, batchRecords);
  const { covering } = recipeFor(card, { jars: [{ jar, count: jars }], ...(liquid && { learnedLiquid: liquid }) });
  if (!covering) return null;
  const { lines, makeMl, likelyMl } = covering;
  const most = Math.max(0, likelyMl.p90 - totalMl);
  // The same mix again, for as many jars as the rest of it would leave dry.
  const dry = Math.min(jars, Math.ceil((most / Math.max(1, likelyMl.p90)) * jars - 1e-9));
  const again = dry > 0 ? recipeFor(card, { jars: [{ jar, count: dry }] }).covering : undefined;
  const mixWords = (of: readonly AmountLine[]) =>
    of
      .map((line) => amountWordsOf(line, units, 'all'))
      .map(({ amount, item }) => `${amount} ${item}`)
      .join(', ');
  return (
    <View className="gap-2">
      <Words>
        {countJars(jars, jar)} likely take <Words weight={800}>{printMeasures(likelyMl.p10)}</Words> to{' '}
        <Words weight={800}>{printMeasures(likelyMl.p90)}</Words>. To be sure make {printMeasures(makeMl)}:{' '}
        {mixWords(lines)}.
      </Words>
      {again ? (
        <Words weight={700}>
          It may run short. The same mix for {countJars(dry, jar)} still dry: {mixWords(again.lines)}.
        </Words>
      ) : (
        <Words>
          About {printMeasures(Math.max(0, totalMl - likelyMl.p50))} will be left. Clean, it keeps in the refrigerator
          for the next jars of the same recipe; what has touched food is for the kitchen, never for jars.
        </Words>
      )}
    </View>
  );
}

function cupsOf(ml: number): number {
  return ml / ML_PER_CUP;
}
