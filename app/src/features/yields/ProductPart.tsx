import { produceRow } from '@hoddle/core/handbook/produce';
import { countJars } from '@hoddle/core/handbook/jars';
import { isOwnProduct, recipeIdOf } from '@hoddle/core/handbook/ownIds';
import { productRow } from '@hoddle/core/handbook/products';
import { type Lot } from '@hoddle/core/harvest/onHand';
import { recipeName } from '@hoddle/core/recipe/recipeName';
import { cardForCrop } from '@hoddle/core/yields/cardForCrop';
import { pickedKgPerBatch } from '@hoddle/core/yields/pickedKg';
import { type LearnedYields } from '@hoddle/core/yields/yieldModel';
import { type ByProduct } from '@hoddle/core/yields/byProducts';
import { likelyWords, spanWords } from '@hoddle/core/yields/spanWords';
import { basisWords } from '@hoddle/core/yields/yieldRange';
import { View } from 'react-native';
import { lotKey } from '@/household/harvest/useOnHand';
import { missingWords } from '@/household/recipe/missingWords';
import { useMassWords, useUnits } from '@/store/useUnits';
import { hueOfCrop } from '@/ui/colours';
import { RowLink } from '@/ui/RowLink';
import { Heading, Words } from '@/ui/Words';
import { RangeJars } from '@/ui/RangeJars';
import { useLearned } from '@/household/yields/useLearned';
import { type JarsRow, type ProductRows } from './useJarsFrom';

/** More jars than anyone makes at once are told in figures: drawn, they would shrink all others. */
export const MOST_DRAWN = 60;

interface ProductPartProps {
  part: ProductRows;
  lots: readonly Lot[];
  /** Lots of more than one crop: each product says which it takes. */
  several: boolean;
  quartPx: number;
  widthPx: number;
}

/** One product that lots become: its jars in each size, what it stands on, leaves, misses and feeds. */
export function ProductPart({ part, lots, several, quartPx, widthPx }: ProductPartProps) {
  const { made, pressureOnly, rows } = part;
  const mass = useMassWords();
  const learned = useLearned();
  const basis = basisWords(made.grounds, useUnits());
  const crops = made.crops.map((crop) => produceRow(crop).name.toLowerCase()).join(' and ');
  return (
    <View className="border-t-2 border-hair pb-2 pt-2" style={{ width: widthPx }}>
      <Heading size="lead">{nameOfMade(made)}</Heading>
      <RowLink
        href={{ pathname: '/harvest/learned', params: { product: made.product.product, crop: made.crops[0] ?? '' } }}
        className="min-h-[48px] justify-center"
        label={`From the ${basis}${pressureOnly ? ', pressure only' : ''}. How this estimate came about.`}
      >
        <Words size="label" tone="ink-2">
          {pressureOnly ? 'pressure only, ' : ''}
          {several ? `${crops}; ` : ''}
          <Words size="label" tone="cobalt" weight={600}>
            from the {onOneLine(basis)}
          </Words>
        </Words>
      </RowLink>
      {made.pots !== 0 && rows.every(({ jars }) => jars.p90 === 0) && (
        <Words tone="ink-2">Not enough for a full jar.</Words>
      )}
      {rows
        .filter(({ jars }) => jars.p90 > 0)
        .map((row) => (
          <SizeRow key={row.jar} row={row} part={part} lots={lots} quartPx={quartPx} />
        ))}
      {restWords(made, mass, learned).map((words) => (
        <Words key={words} size="label">
          {words}
        </Words>
      ))}
    </View>
  );
}

/** "Strawberry jam": a product of one crop is called after it. */
function nameOfMade({ product: { product }, crops }: ProductRows['made']): string {
  const [crop] = crops;
  if (!crop || crops.length > 1) return productRow(product).name;
  const recipe = cardForCrop(product, crop)?.card.card;
  const name = recipeName({ product, crop, ...(recipe !== undefined && { recipe }) });
  // Two jams of one fruit stand here side by side.
  const pectin = /^(?:jam|jelly)-(with|no)-pectin$/.exec(product)?.[1];
  return pectin === undefined ? name : `${name}, ${pectin === 'with' ? 'with pectin' : 'no added pectin'}`;
}

/** A box of pectin sets one whole batch: what is still to be picked for it. */
function tooLittle(
  { product, crops, leftKg }: ProductRows['made'],
  mass: (massKg: number) => string,
  learned: LearnedYields,
): string {
  const card = crops[0] && cardForCrop(product.product, crops[0]);
  if (!card) return 'Too little for one batch.';
  return `Too little for one batch: ${mass(Math.max(0.1, pickedKgPerBatch(card, learned) - leftKg))} more makes one.`;
}

/** What a product leaves over, misses and feeds, a line each. */
function restWords(made: ProductRows['made'], mass: (massKg: number) => string, learned: LearnedYields): string[] {
  const { pots, leftKg, missing, byProducts } = made;
  const lines: string[] = [];
  if (pots !== undefined) {
    const count = pots === 1 ? 'One batch' : `${pots} batches side by side`;
    if (pots === 0) lines.push(tooLittle(made, mass, learned));
    else lines.push(leftKg > 0.05 ? `${count}, leaves ${mass(leftKg)}.` : `${count}.`);
  }
  if (missing.length > 0) lines.push(missingWords(missing, mass));
  for (const byProduct of byProducts) {
    const { kind, feeds } = byProduct;
    const amount = givenWords(byProduct, mass);
    if (amount === undefined) continue;
    lines.push(`Also gives ${amount} ${kind}: ${productRow(feeds).name.toLowerCase()} by its own time.`);
  }
  return lines;
}

/** "3 to 6 quarts, likely 4", or "11 lb"; undefined for less than a quart. */
export function givenWords({ quarts, massKg }: ByProduct, mass: (massKg: number) => string): string | undefined {
  if (massKg !== undefined) return mass(massKg);
  const full = (of: number) => Math.floor(of + 1e-6);
  if (!quarts || full(quarts.p90) < 1) return undefined;
  return likelyWords({ p10: full(quarts.p10), p50: full(quarts.p50), p90: full(quarts.p90) }, 'quart');
}

interface SizeRowProps {
  row: JarsRow;
  part: ProductRows;
  lots: readonly Lot[];
  quartPx: number;
}

function SizeRow({ row, part: { made }, lots, quartPx }: SizeRowProps) {
  const { jar, jars, perLoad, loads, minutes, pressurePsi } = row;
  const crop = made.crops[0] ?? 'tomato-paste';
  const { hue, mark } = hueOfCrop(crop);
  const product = made.product.product;
  const facts = [
    loads === undefined ? undefined : `${loads} ${loads === 1 ? 'load' : 'loads'}`,
    minutes === undefined
      ? isOwnProduct(product)
        ? 'cold'
        : undefined
      : `${minutes} min${pressurePsi === undefined ? '' : ` at ${pressurePsi} psi`}`,
  ];
  const chosen = lots
    .filter((lot) => lot.crop === crop)
    .map(lotKey)
    .join(',');
  return (
    <RowLink
      href={
        isOwnProduct(product)
          ? { pathname: '/plan/own/[recipeId]', params: { recipeId: recipeIdOf(product) } }
          : { pathname: '/plan/make', params: { crop, product, jar, lots: chosen } }
      }
      label={`${likelyWords(jars, jar)}. ${facts.filter(Boolean).join(', ')}. Choose.`}
      className="min-h-[56px] justify-center py-1"
    >
      <View className="flex-row items-baseline">
        <Words size="head" weight={800}>
          {countJars(jars.p50, jar)}
        </Words>
        <Words size="lead" tone="ink-2" className="flex-1 pl-2">
          {spanWords(jars) ?? ''}
        </Words>
        <Words size="label" tone="ink-2">
          {facts[0] ?? ''}
          {facts[0] && facts[1] ? ', ' : ''}
          <Words size="label" weight={700}>
            {facts[1] ?? ''}
          </Words>
        </Words>
      </View>
      {jars.p90 <= MOST_DRAWN && (
        <RangeJars size={jar} jars={jars} perLoad={perLoad} quartPx={quartPx} hue={hue} mark={mark} />
      )}
    </RowLink>
  );
}

/** A whole number and its fraction are not parted: "5 1/2 quarts". */
function onOneLine(words: string): string {
  return words.replace(/(\d) (\d\/\d)/g, '$1\u00a0$2');
}
