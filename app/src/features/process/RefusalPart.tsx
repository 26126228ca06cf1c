import { JAR_SIZES, JARS, type JarSize } from '@hoddle/core/handbook/jars';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { findTestedRow, type Refusal } from '@hoddle/core/process/findProcess';
import { altitudeBand } from '@hoddle/core/process/altitudeBand';
import { Pressable, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { COLOURS, hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Plate } from '@/ui/Plate';
import { Heading, Words } from '@/ui/Words';

interface RefusalPartProps {
  refusal: Refusal;
  product: ProductRow;
  jar: JarSize;
  altitudeFt: number | null;
  onTake: (jar: JarSize) => void;
}

/** A refusal says why, and each way out is a key. */
export function RefusalPart({ refusal, product, jar, altitudeFt, onTake }: RefusalPartProps) {
  const ways = JAR_SIZES.filter((size) => refusal.instead.includes(size)).reverse();
  const colours = hueOfProduct(product.product);
  return (
    <Plate>
      <View className="flex-row items-center gap-3" role="alert">
        <JarDrawing size={jar} quartPx={64} look="refused" {...colours} />
        <View className="flex-1">
          <View className="flex-row items-center gap-2">
            <Svg width={28} height={28} viewBox="0 0 28 28" aria-hidden>
              <Path d="M8.500 1h11L27 8.500v11L19.500 27h-11L1 19.500v-11Z" fill={COLOURS.ink} />
              <Path d="M7 14h14" stroke={COLOURS.white} strokeWidth={4} strokeLinecap="round" />
            </Svg>
            <Heading size="head">No tested time</Heading>
          </View>
          <Words>{refusal.reason}</Words>
        </View>
      </View>
      <View className="flex-row gap-3 pt-3">
        {ways.map((size) => {
          const minutes = minutesWords(product, size, altitudeFt);
          return (
            <Pressable
              key={size}
              role="button"
              onPress={() => onTake(size)}
              className="min-h-[60px] flex-1 flex-row items-center gap-2 rounded-key border-2 border-cobalt px-2 py-1"
            >
              <JarDrawing size={size} quartPx={44} look="planned" {...colours} />
              <View className="flex-1">
                <Words weight={700} size="lead" tone="cobalt">
                  {JARS[size].several.replace(/^./, (letter) => letter.toUpperCase())}
                </Words>
                <Words size="label" tone="ink-2">
                  {minutes}
                </Words>
              </View>
            </Pressable>
          );
        })}
      </View>
    </Plate>
  );
}

function minutesWords(product: ProductRow, jar: JarSize, altitudeFt: number | null): string {
  const row = findTestedRow({ product: product.product, pack: product.pack, jar, method: 'boiling-water' });
  if (row.kind === 'refusal') return '';
  return altitudeFt === null ? 'tested' : `${row.bandMinutes[altitudeBand(altitudeFt).index]} min, tested`;
}
