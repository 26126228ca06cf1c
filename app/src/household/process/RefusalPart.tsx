import { isJarSize, type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { findProduct, type ProductRow } from '@hoddle/core/handbook/products';
import { findTestedRow, processAt } from '@hoddle/core/process/findProcess';
import { isMethod, type Method } from '@hoddle/core/process/method';
import { type Refusal } from '@hoddle/core/process/refusal';
import { useRouter } from 'expo-router';
import { type ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { NeverSign } from '@/ui/NeverSign';
import { Plate } from '@/ui/Plate';
import { Heading, Words } from '@/ui/Words';
import { METHOD_NAMES } from './methodNames';

interface RefusalPartProps {
  refusal: Pick<Refusal, 'reason' | 'instead'>;
  /** What was asked, as far as it is known. */
  asked?: { product: ProductRow; pack: string; jar: JarSize; method: Method };
  altitudeFt: number | null;
  onJar?: (jar: JarSize) => void;
  onMethod?: (method: Method) => void;
  onPack?: (pack: 'hot' | 'raw') => void;
}

/** A refusal says why, and each way out is a key; what is no key is said. */
export function RefusalPart({ refusal, asked, altitudeFt, onJar, onMethod, onPack }: RefusalPartProps) {
  const router = useRouter();
  const keys: ReactNode[] = [];
  const said: string[] = [];
  for (const way of refusal.instead) {
    const product = findProduct(way);
    const pack = /^(hot|raw) pack$/.exec(way)?.[1] as 'hot' | 'raw' | undefined;
    if (isJarSize(way) && onJar && asked) {
      keys.push(
        <Way
          key={way}
          words={JARS[way].several}
          note={minutesWords(asked, { jar: way }, altitudeFt)}
          onPress={() => onJar(way)}
        >
          <JarDrawing size={way} quartPx={44} look="planned" {...hueOfProduct(asked.product.product)} />
        </Way>,
      );
    } else if (isMethod(way) && onMethod && asked) {
      const note = minutesWords(asked, { method: way }, altitudeFt);
      if (note !== '') keys.push(<Way key={way} words={METHOD_NAMES[way]} note={note} onPress={() => onMethod(way)} />);
    } else if (pack && onPack && asked) {
      keys.push(
        <Way key={way} words={way} note={minutesWords(asked, { pack }, altitudeFt)} onPress={() => onPack(pack)} />,
      );
    } else if (product && product.product !== asked?.product.product) {
      const open = () => router.navigate({ pathname: '/bench/tested/[product]', params: { product: way } });
      keys.push(<Way key={way} words={product.name} note="tested" onPress={open} />);
    } else if (!product && !isJarSize(way) && !isMethod(way)) said.push(way);
  }
  return (
    <Plate>
      <View className="flex-row items-center gap-3" role="alert">
        {asked && <JarDrawing size={asked.jar} quartPx={64} look="refused" {...hueOfProduct(asked.product.product)} />}
        <View className="flex-1">
          <View className="flex-row items-center gap-2">
            <NeverSign />
            <Heading size="head">No tested time</Heading>
          </View>
          <Words>{refusal.reason}</Words>
          {said.length > 0 && <Words weight={600}>Instead: {said.join(', ')}.</Words>}
        </View>
      </View>
      {keys.length > 0 && <View className="flex-row flex-wrap gap-3 pt-3">{keys}</View>}
    </Plate>
  );
}

function Way({
  words,
  note,
  onPress,
  children,
}: {
  words: string;
  note: string;
  onPress: () => void;
  children?: ReactNode;
}) {
  return (
    <Pressable
      role="button"
      onPress={onPress}
      className="min-h-[60px] grow basis-[140px] flex-row items-center gap-2 rounded-key border-2 border-cobalt px-2 py-1"
    >
      {children}
      <View className="flex-1">
        <Words weight={700} size="lead" tone="cobalt">
          {words.replace(/^./, (letter) => letter.toUpperCase())}
        </Words>
        <Words size="label" tone="ink-2">
          {note}
        </Words>
      </View>
    </Pressable>
  );
}

/** "55 min, tested" for the same question with one part changed; empty when that is refused too. */
function minutesWords(
  { product, pack, jar, method }: NonNullable<RefusalPartProps['asked']>,
  changed: { pack?: string; jar?: JarSize; method?: Method },
  altitudeFt: number | null,
): string {
  const row = findTestedRow({ product: product.product, pack, jar, method, ...changed });
  if (row.kind === 'refusal') return '';
  if (altitudeFt === null) return 'tested';
  const answer = processAt(row, altitudeFt);
  if (answer.kind === 'refusal') return '';
  return `${answer.minutes} min${answer.pressurePsi === undefined ? '' : ` at ${answer.pressurePsi} psi`}, tested`;
}
