import { countJars, isJarSize } from '@hoddle/core/handbook/jars';
import { printFraction } from '@hoddle/core/measure/fraction';
import { MOST_PERCENT_SUGAR, syrupOf } from '@hoddle/core/supplies/syrupOf';
import { useState } from 'react';
import { View } from 'react-native';
import { Choice } from '@/ui/Choice';
import { hueOfCrop } from '@/ui/colours';
import { FigureField } from '@/ui/FigureField';
import { typedAfter } from '@/ui/Keypad';
import { SmallKey } from '@/ui/SmallKey';
import { Words } from '@/ui/Words';
import { AnswerPlate } from '../instrument/AnswerPlate';
import { Instrument } from '../instrument/Instrument';
import { Jug } from '../instrument/Jug';
import { JarsField } from '../instrument/JarsField';
import { readJars, readMeasure } from '../instrument/readCount';
import { Slip } from '@/ui/Slip';
import { useRemembered } from '@/ui/useRemembered';

const FIRST = { jar: 'quart', jars: '7', percent: '20' };
/** The loads the table is printed for. */
const LOAD = { pint: 9, quart: 7 } as const;

const STRENGTHS = [
  { value: '10', words: 'very light' },
  { value: '20', words: 'light' },
  { value: '30', words: 'medium' },
  { value: '40', words: 'heavy' },
  { value: '50', words: 'very heavy' },
] as const;

/** Water and sugar for a load of jars, at any strength up to the heaviest published one. */
export function SyrupScreen() {
  const { values, change } = useRemembered('syrup', FIRST);
  const [field, setField] = useState<'jars' | 'percent'>('jars');
  const jar = isJarSize(values.jar) ? values.jar : 'quart';
  const jars = readJars(values.jars);
  const percent = readMeasure(values.percent, 'percent', MOST_PERCENT_SUGAR);
  const syrup = jars.kind === 'count' && percent.kind === 'count' ? syrupOf(percent.value, jar, jars.value) : undefined;
  const said = syrup && `${cups(syrup.waterCups)} water, ${cups(syrup.sugarCups)} sugar`;
  return (
    <Instrument
      title="Syrup"
      note="Sugar by weight"
      glance={said}
      onKey={(key) => change({ [field]: typedAfter(values[field], key) })}
    >
      <Choice
        label="Jar"
        value={values.jar as 'pint' | 'quart'}
        onChoose={(size) => change({ jar: size })}
        options={[
          { value: 'pint', words: 'pints' },
          { value: 'quart', words: 'quarts' },
        ]}
      />
      <View className="items-start">
        <SmallKey
          words={`One load: ${countJars(LOAD[jar === 'pint' ? 'pint' : 'quart'], jar)}`}
          onPress={() => change({ jars: String(LOAD[jar === 'pint' ? 'pint' : 'quart']) })}
        />
      </View>
      <View className="flex-row gap-[10px]">
        <JarsField
          typed={values.jars}
          jar={jar}
          active={field === 'jars'}
          onFocus={() => setField('jars')}
          onChange={(typed) => change({ jars: typed })}
        />
        <FigureField
          label="Sugar"
          typed={values.percent}
          unitWords="%"
          active={field === 'percent'}
          large={false}
          wrong={percent.kind === 'slip'}
          onFocus={() => setField('percent')}
          onChange={(typed) => change({ percent: typed })}
        />
      </View>
      <Choice
        label="Strength"
        value={values.percent as '20'}
        onChoose={(value) => change({ percent: value })}
        options={STRENGTHS as never}
      />
      {jars.kind === 'slip' && <Slip sentence={jars.sentence} />}
      {percent.kind === 'slip' && <Slip sentence={percent.sentence} />}
      {syrup && said && jars.kind === 'count' && (
        <AnswerPlate text={`Syrup of ${syrup.percentSugar} % for ${countJars(jars.value, jar)}: ${said}.`}>
          <View className="flex-row items-end gap-5">
            <Jug waterCups={syrup.waterCups} overCups={syrup.sugarCups} overHue={hueOfCrop('quince').hue} />
            <View className="flex-1 gap-2">
              <Words>
                <Words size="figure" weight={800}>
                  {printFraction(syrup.waterCups)}
                </Words>{' '}
                {cupWord(syrup.waterCups)} water
              </Words>
              <Words>
                <Words size="figure" weight={800}>
                  {printFraction(syrup.sugarCups)}
                </Words>{' '}
                {cupWord(syrup.sugarCups)} sugar
              </Words>
            </View>
          </View>
          <Words size="label" tone="ink-2">
            {syrup.tasteOnly
              ? 'Lighter than the lightest published syrup: a matter of taste. Sugar keeps colour and shape, not safety; juice or water will do.'
              : syrup.published
                ? 'USDA guide 2, 2015, as recalled. Juice or water will do as well.'
                : 'Between two published syrups, by a straight line. Juice or water will do as well.'}
          </Words>
        </AnswerPlate>
      )}
    </Instrument>
  );
}

/** "3/4 cup", "2 1/4 cups". */
function cups(count: number): string {
  return `${printFraction(count)} ${cupWord(count)}`;
}

function cupWord(count: number): string {
  return count > 0 && count <= 1 ? 'cup' : 'cups';
}
