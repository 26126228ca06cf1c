import { countJars, isJarSize, JAR_SIZES, JARS } from '@hoddle/core/handbook/jars';
import { type ProductId } from '@hoddle/core/handbook/products';
import { ML_PER_TBSP, ML_PER_TSP } from '@hoddle/core/measure/amount';
import { printMeasures } from '@hoddle/core/measure/cookMeasure';
import { printFraction } from '@hoddle/core/measure/fraction';
import { readAmount } from '@hoddle/core/measure/readAmount';
import { acidDose } from '@hoddle/core/process/acidDose';
import { type Acid, checkDose, type DoseCheck } from '@hoddle/core/process/checkDose';
import { convertAmount } from '@hoddle/core/measure/convertAmount';
import { useState } from 'react';
import { View } from 'react-native';
import { Choice } from '@/ui/Choice';
import { hueOfProduct } from '@/ui/colours';
import { FigureField } from '@/ui/FigureField';
import { typedAfter } from '@/ui/Keypad';
import { Spoons } from '@/ui/Spoons';
import { VerdictSign } from '@/ui/VerdictSign';
import { Words } from '@/ui/Words';
import { AnswerPlate } from '../instrument/AnswerPlate';
import { Instrument } from '../instrument/Instrument';
import { JarsField } from '../instrument/JarsField';
import { readJars } from '../instrument/readCount';
import { Slip } from '@/ui/Slip';
import { useRemembered } from '@/ui/useRemembered';
import { JarChoice } from '@/ui/JarChoice';

const FIRST = { food: 'tomato', jar: 'quart', jars: '7', acid: 'bottled-lemon', mine: '' };
/** A product of each food that takes acid by the jar; its card has the dose. */
const FOODS: readonly { value: string; words: string; product: ProductId }[] = [
  { value: 'tomato', words: 'tomatoes', product: 'tomatoes-crushed' },
  { value: 'figs', words: 'figs', product: 'figs' },
  { value: 'asian-pears', words: 'Asian pears', product: 'asian-pears' },
];
const ACID_WORDS: readonly { value: Acid; words: string }[] = [
  { value: 'bottled-lemon', words: 'bottled lemon' },
  { value: 'citric-acid', words: 'citric acid' },
  { value: 'vinegar', words: 'vinegar 5 %' },
  { value: 'fresh-lemon', words: 'fresh lemon' },
];

/** Acid for tomatoes, figs and Asian pears: by the jar, by the load, and whether what you put in is enough. */
export function AcidScreen() {
  const { values, change } = useRemembered('acid', FIRST);
  const [field, setField] = useState<'jars' | 'mine'>('jars');
  const jar = isJarSize(values.jar) ? values.jar : 'quart';
  const food = FOODS.find(({ value }) => value === values.food)?.product ?? 'tomatoes-crushed';
  const dose = acidDose(food, jar);
  const jars = readJars(values.jars);
  const mine = readAmount(values.mine, values.acid === 'citric-acid' ? 'tsp' : 'tbsp');
  const ml = mine.kind === 'amount' ? convertAmount(mine.amount, 'ml') : undefined;
  const check = ml?.kind === 'converted' ? checkDose(food, jar, values.acid as Acid, ml.value) : undefined;
  const count = jars.kind === 'count' ? jars.value : undefined;
  const { hue, mark } = hueOfProduct(food);
  if (!dose) return null;
  const lines = [
    {
      acid: 'bottled lemon juice',
      each: `${printFraction(dose.bottledLemonJuiceTbsp)} Tbsp`,
      ml: dose.bottledLemonJuiceTbsp * ML_PER_TBSP,
    },
    ...(dose.citricAcidTsp === undefined
      ? []
      : [
          {
            acid: 'citric acid',
            each: `${printFraction(dose.citricAcidTsp)} tsp`,
            ml: dose.citricAcidTsp * ML_PER_TSP,
          },
        ]),
    ...(dose.vinegarTbsp === undefined
      ? []
      : [
          {
            acid: 'vinegar of 5 %',
            each: `${printFraction(dose.vinegarTbsp)} Tbsp`,
            ml: dose.vinegarTbsp * ML_PER_TBSP,
          },
        ]),
  ];
  const told = lines.map(
    ({ acid, each, ml: one }) =>
      `${each} ${acid}${count === undefined ? '' : `, ${printMeasures(one * count, { up: true })} for ${countJars(count, jar)}`}`,
  );
  return (
    <Instrument
      title="Acid"
      note="Into each jar, before the food"
      glance={`${lines
        .slice(0, 2)
        .map(({ each, acid }) => `${each} ${acid.replace('bottled ', '')}`)
        .join(' or ')} a ${JARS[jar].one}`}
      onKey={(key) => change({ [field]: typedAfter(values[field], key) })}
    >
      <Choice
        label="Food"
        value={values.food}
        onChoose={(value) => change({ food: value })}
        options={FOODS.map(({ value, words }) => ({ value, words }))}
      />
      <JarChoice
        sizes={JAR_SIZES.slice(1, 6)}
        value={jar}
        onChoose={(size) => change({ jar: size })}
        colours={{ hue, mark }}
        isTested={() => true}
      />
      <View className="flex-row gap-[10px]">
        <JarsField
          typed={values.jars}
          jar={jar}
          active={field === 'jars'}
          onFocus={() => setField('jars')}
          onChange={(typed) => change({ jars: typed })}
        />
        <FigureField
          label="I put in each"
          typed={values.mine}
          unitWords={values.acid === 'citric-acid' ? 'tsp' : 'Tbsp'}
          active={field === 'mine'}
          large={false}
          wrong={check?.kind === 'short'}
          onFocus={() => setField('mine')}
          onChange={(typed) => change({ mine: typed })}
        />
      </View>
      {jars.kind === 'slip' && <Slip sentence={jars.sentence} />}
      {values.mine !== '' && (
        <>
          <Choice
            label="Which acid"
            value={values.acid as Acid}
            onChoose={(acid) => change({ acid })}
            options={ACID_WORDS}
          />
          {check ? (
            <Verdict check={check} one={JARS[jar].one} acid={values.acid} />
          ) : (
            <Slip sentence={`"${values.mine}" is no measure. Try 2 Tbsp or 1/2.`} />
          )}
        </>
      )}
      <AnswerPlate text={`Acid for each ${JARS[jar].one}: ${told.join('; or ')}.`}>
        <View className="flex-row items-center gap-4">
          <Spoons count={dose.bottledLemonJuiceTbsp} />
          <View className="flex-1 gap-1">
            {lines.map(({ acid, each, ml: one }, i) => (
              <View key={acid}>
                <Words>
                  {i > 0 ? 'or ' : ''}
                  <Words size="head" weight={800}>
                    {each}
                  </Words>{' '}
                  {acid}
                </Words>
                {count !== undefined && (
                  <Words size="label" tone="ink-2">
                    {countJars(count, jar)}: {printMeasures(one * count, { up: true })}
                  </Words>
                )}
              </View>
            ))}
          </View>
        </View>
        <Words size="label" tone="ink-2">
          USDA guide 3, 2015, as recalled. Also under pressure. Sugar may hide the taste; it takes no acid away.
        </Words>
      </AnswerPlate>
    </Instrument>
  );
}

function Verdict({ check, one, acid }: { check: DoseCheck; one: string; acid: string }) {
  const needed = 'neededMl' in check ? printMeasures(check.neededMl, { up: true }) : '';
  const part = check.kind === 'short' ? check.share : 1;
  const sentence =
    check.kind === 'enough'
      ? `That is the dose of a ${one}.`
      : check.kind === 'much'
        ? `More than twice the dose: safe, and it will be tasted. A ${one} needs ${needed}.`
        : check.kind === 'refused'
          ? check.reason
          : `${part > 0.45 && part < 0.55 ? 'Half the dose' : 'Too little'}: a ${one} needs ${needed}.`;
  const never = check.kind === 'short' || check.kind === 'refused';
  return (
    <View role={never ? 'alert' : 'status'} className="flex-row items-center gap-3">
      <VerdictSign verdict={never ? 'never' : check.kind === 'much' ? 'within-limits' : 'allowed'} size={34} />
      <Words weight={700} className="flex-1">
        {sentence}
        {check.kind === 'short' && acid !== 'citric-acid'
          ? ' Without enough, botulism can grow in the sealed jar.'
          : ''}
      </Words>
    </View>
  );
}
