import { countJars, type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { printFraction } from '@hoddle/core/measure/fraction';
import { type TestedRow } from '@hoddle/core/process/findProcess';
import { syrupFor } from '@hoddle/core/supplies/syrupFor';
import { View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';
import { COLOURS, hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Words } from '@/ui/Words';

const TBSP_PER_CUP = 16;

interface DosePartProps {
  row: TestedRow;
  jar: JarSize;
  /** Jars the totals are told for. */
  jars: number;
}

/** What goes into every jar: the acid dose drawn as spoons, the headspace, and the syrup where there is one. */
export function DosePart({ row, jar, jars }: DosePartProps) {
  const { one } = JARS[jar];
  const { acid, headspaceIn, product } = row;
  const syrup = product.product === 'plums' ? syrupFor('light', jar, jars) : undefined;
  return (
    <View className="flex-row items-start gap-3">
      <View className="flex-row items-center pt-1">
        <JarDrawing size={jar} quartPx={58} look="here" {...hueOfProduct(product.product)} />
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
            <Words>
              or{' '}
              <Words size="lead" weight={800}>
                {printFraction(acid.citricAcidTsp)} tsp
              </Words>{' '}
              citric acid
            </Words>
            <Words size="label" tone="ink-2">
              or {printFraction(acid.vinegarTbsp)} Tbsp vinegar of 5 %, which can be tasted.
            </Words>
            <Words size="label" tone="ink-2">
              {countJars(jars, jar)}: {juiceWords(acid.bottledLemonJuiceTbsp * jars)}, or{' '}
              {printFraction(acid.citricAcidTsp * jars)} tsp.
            </Words>
            <Words size="label" tone="ink-2">
              Without it tomatoes may not be acid enough to keep botulism out. Fresh lemons vary and do not count.
            </Words>
          </>
        )}
        {syrup && (
          <Words>
            Light syrup, {syrup.percentSugar} %, for {countJars(jars, jar)}: {printFraction(syrup.waterCups)} cups
            water, {printFraction(syrup.sugarCups)} cups sugar. Juice or water will do as well.
          </Words>
        )}
        <Words weight={600}>Leave {printFraction(headspaceIn)} in headspace.</Words>
      </View>
    </View>
  );
}

/** 16 tablespoons are a cup: nobody counts 42 spoons. Rounded up, since an acid dose is never short. */
function juiceWords(tbsp: number): string {
  return tbsp < TBSP_PER_CUP
    ? `${printFraction(tbsp)} Tbsp`
    : `${printFraction(Math.ceil((tbsp / TBSP_PER_CUP) * 8) / 8)} cups`;
}

/** Spoons full of acid, one for each whole or begun tablespoon. */
function Spoons({ count }: { count: number }) {
  const spoons = Math.min(4, Math.ceil(count));
  return (
    <Svg width={54} height={spoons * 18} aria-hidden>
      {Array.from({ length: spoons }, (_, i) => (
        <Path
          key={i}
          d={`M3 ${i * 18 + 4}h15a7.500 7.500 0 0 1-15 0Z`}
          fill={COLOURS.acid}
          stroke={COLOURS.ink}
          strokeWidth={1.5}
        />
      ))}
      {Array.from({ length: spoons }, (_, i) => (
        <Path key={`handle ${i}`} d={`M18 ${i * 18 + 4}h28`} stroke={COLOURS.ink} strokeWidth={2} />
      ))}
      {Array.from({ length: spoons }, (_, i) => (
        <Circle key={`end ${i}`} cx={48} cy={i * 18 + 4} r={2.4} fill="none" stroke={COLOURS.ink} strokeWidth={1.6} />
      ))}
    </Svg>
  );
}
