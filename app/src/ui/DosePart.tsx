import { countJars, type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { ML_PER_TBSP, ML_PER_TSP } from '@hoddle/core/measure/amount';
import { printMeasures } from '@hoddle/core/measure/cookMeasure';
import { printFraction } from '@hoddle/core/measure/fraction';
import { type TestedRow } from '@hoddle/core/process/testedRow';
import { View } from 'react-native';
import { hueOfCrop, hueOfProduct } from './colours';
import { JarDrawing } from './JarDrawing';
import { Spoons } from './Spoons';
import { Words } from './Words';

interface DosePartProps {
  row: TestedRow;
  jar: JarSize;
  /** Jars the totals are told for; without a number there are none. */
  jars?: number;
}

/** What goes into every jar: the acid dose drawn as spoons, and the headspace. */
export function DosePart({ row, jar, jars }: DosePartProps) {
  const { one } = JARS[jar];
  const { acid, headspaceIn, product } = row;
  const colours = product ? hueOfProduct(product.product) : hueOfCrop('mixed');
  return (
    <View className="flex-row items-start gap-3">
      <View className="flex-row items-center pt-1">
        <JarDrawing size={jar} quartPx={58} look="here" {...colours} />
        {acid && <Spoons count={acid.bottledLemonJuiceTbsp} />}
      </View>
      <View className="flex-1">
        <Words size="lead" weight={700}>
          In every {one}
        </Words>
        {acid && (
          <>
            <Words>
              <Words size="lead" weight={800}>
                {printFraction(acid.bottledLemonJuiceTbsp)} Tbsp
              </Words>{' '}
              bottled lemon juice
            </Words>
            {acid.citricAcidTsp !== undefined && (
              <Words>
                or{' '}
                <Words size="lead" weight={800}>
                  {printFraction(acid.citricAcidTsp)} tsp
                </Words>{' '}
                citric acid
              </Words>
            )}
            {acid.vinegarTbsp !== undefined && (
              <Words size="label" tone="ink-2">
                or {printFraction(acid.vinegarTbsp)} Tbsp vinegar of 5 %, which can be tasted.
              </Words>
            )}
            {jars !== undefined && (
              <Words size="label" tone="ink-2">
                {countJars(jars, jar)}: {printMeasures(acid.bottledLemonJuiceTbsp * jars * ML_PER_TBSP, { up: true })}
                {acid.citricAcidTsp === undefined
                  ? ''
                  : `, or ${printMeasures(acid.citricAcidTsp * jars * ML_PER_TSP, { up: true })}`}
                .
              </Words>
            )}
            <Words size="label" tone="ink-2">
              Without it {product?.productClass === 'tomato' ? 'tomatoes' : 'they'} may not be acid enough to keep
              botulism out. Fresh lemons vary and do not count.
            </Words>
          </>
        )}
        <Words weight={600}>Leave {printFraction(headspaceIn)} in headspace.</Words>
      </View>
    </View>
  );
}
