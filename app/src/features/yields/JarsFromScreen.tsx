import { produceRow, findProduce } from '@hoddle/core/handbook/produce';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { type Lot } from '@hoddle/core/harvest/onHand';
import { recipeName } from '@hoddle/core/recipe/recipeName';
import { type GoesInto, goesInto } from '@hoddle/core/yields/goesInto';
import { useRouter } from 'expo-router';
import { useDeferredValue, useMemo, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import Svg, { Circle, Line } from 'react-native-svg';
import { byCrop, type CropOnHand, lotKey, useLots } from '@/household/harvest/useOnHand';
import { useHousehold } from '@/store/useHousehold';
import { useMassWords } from '@/store/useUnits';
import { altitudeWords } from '@/ui/amountWords';
import { COLOURS, hueOfCrop } from '@/ui/colours';
import { Key } from '@/ui/Key';
import { ProduceBar } from '@/ui/ProduceBar';
import { RowLink } from '@/ui/RowLink';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Heading, Words } from '@/ui/Words';
import { LotChoice } from './LotChoice';
import { MOST_DRAWN, ProductPart } from './ProductPart';
import { rangeWidth } from '@/ui/RangeJars';
import { type ProductRows, useJarsFrom } from './useJarsFrom';

/** Height of a quart where the widest row still fits; never larger than this. */
const MOST_QUART_PX = 24;

const DRAWN_AT_ONCE = 3;

/** What lots become: every fitting product and jar as a range, on one scale. At first all lots of one crop. */
export function JarsFromScreen({ crop, lot }: { crop: string; lot?: string }) {
  const lots = useLots();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(() =>
    lot === undefined
      ? new Set(lots.filter((each) => each.crop === crop && each.place !== 'freezer').map(lotKey))
      : new Set(lot.split(',')),
  );
  const known = findProduce(crop);
  if (!lots.some((each) => each.crop === crop)) {
    const title = known ? `No ${known.name.toLowerCase()} on hand` : 'No such crop';
    return <Empty title={title} />;
  }
  const toggle = (key: string) => {
    const others = new Set(chosen);
    if (!others.delete(key)) others.add(key);
    setChosen(others);
  };
  return <JarsFrom lots={lots} chosen={chosen} onToggle={toggle} />;
}

function Empty({ title }: { title: string }) {
  const router = useRouter();
  return (
    <Screen station="harvest" title={title} backTo="/harvest">
      <Words className="pb-4">Write down what was picked, then see what it becomes.</Words>
      <Key words="What came in?" onPress={() => router.navigate('/harvest/pick')} />
    </Screen>
  );
}

interface JarsFromProps {
  lots: readonly Lot[];
  chosen: ReadonlySet<string>;
  onToggle: (key: string) => void;
}

function JarsFrom({ lots, chosen, onToggle }: JarsFromProps) {
  const { household } = useHousehold();
  const wide = useIsWide();
  const { width } = useWindowDimensions();
  const mass = useMassWords();
  const some = useMemo(() => lots.filter((lot) => chosen.has(lotKey(lot))), [lots, chosen]);
  const { products, unmeasured, cardless } = useJarsFrom(some, lots);
  // The first ones are drawn at once, the many below the fold as soon as there is time.
  const shown = useDeferredValue(products, products.slice(0, DRAWN_AT_ONCE));
  const crops = byCrop(some);
  const columnPx = wide ? Math.min(560, (width - 96 - 64 - 32) / 2) : width - 32;
  const quartPx = scaleFor(products, columnPx - 20);
  const altitude =
    household.altitudeFt === null
      ? 'Altitude not set: no minutes yet'
      : `Minutes: tested at ${altitudeWords(household.altitudeFt, household.units)}, as recalled`;
  const [first, ...others] = crops;
  return (
    <Screen
      station="harvest"
      title={
        first && others.length === 0
          ? `${mass(first.massKg)} ${produceRow(first.crop).name.toLowerCase()} makes`
          : `${some.length} ${some.length === 1 ? 'lot' : 'lots'} together make`
      }
      backTo="/harvest"
      foot={
        first &&
        others.length === 0 &&
        first.softKg > 0.01 && (
          <ProduceBar
            hue={hueOfCrop(first.crop).hue}
            softKg={first.softKg}
            usedKg={first.softKg}
            totalKg={first.massKg}
          />
        )
      }
    >
      <LotChoice lots={lots} chosen={chosen} onToggle={onToggle} />
      {first && others.length === 0 && products.length > 1 && (
        <RowLink
          href={{ pathname: '/harvest/divide', params: { crop: first.crop, lots: some.map(lotKey).join(',') } }}
          className="min-h-[52px] justify-center"
        >
          <Words weight={700} tone="cobalt">
            Divide it among several of these
          </Words>
        </RowLink>
      )}
      <Legend />
      <Words size="label" tone="ink-2" className="pb-2">
        {altitude}
      </Words>
      {products.length + unmeasured.length + cardless.length === 0 && <NothingTested crops={crops} lots={lots} />}
      <View className={wide ? 'flex-row flex-wrap gap-x-8' : ''}>
        {shown.map((part) => (
          <ProductPart
            key={`${part.made.product.product} ${part.made.crops.join()}`}
            part={part}
            lots={some}
            several={others.length > 0}
            quartPx={quartPx}
            widthPx={columnPx}
          />
        ))}
      </View>
      {unmeasured.length > 0 && <Unmeasured products={unmeasured} />}
      {cardless.length > 0 && <Cardless products={cardless} crops={crops} />}
      <RowLink href="/bench/jars" className="min-h-[52px] justify-center border-t-2 border-hair">
        <Words weight={700} tone="cobalt">
          The other way: how much to pick for so many jars
        </Words>
      </RowLink>
    </Screen>
  );
}

/** One scale for all rows, so that a shorter row is seen to be fewer jars. */
function scaleFor(products: readonly ProductRows[], widthPx: number): number {
  const rows = products.flatMap(({ rows: all }) => all.filter(({ jars }) => jars.p90 <= MOST_DRAWN));
  const widest = Math.max(
    1,
    ...rows.map(({ jar, jars, perLoad }) => rangeWidth(jar, jars.p90, perLoad, MOST_QUART_PX)),
  );
  return Math.min(MOST_QUART_PX, (MOST_QUART_PX * widthPx) / widest);
}

function Legend() {
  return (
    <View className="flex-row items-center gap-2">
      <Svg width={40} height={14} aria-hidden>
        <Line x1={2} y1={7} x2={38} y2={7} stroke={COLOURS.cobalt} strokeWidth={2.6} />
        <Line x1={2} y1={2} x2={2} y2={12} stroke={COLOURS.cobalt} strokeWidth={2.6} />
        <Line x1={38} y1={2} x2={38} y2={12} stroke={COLOURS.cobalt} strokeWidth={2.6} />
        <Circle cx={20} cy={7} r={5} fill={COLOURS.cobalt} />
      </Svg>
      <Words size="label" tone="ink-2">
        8 in 10, knot: likely
      </Words>
      <Svg width={28} height={6} aria-hidden>
        <Line x1={0} y1={3} x2={28} y2={3} stroke={COLOURS.ink} strokeWidth={2.4} />
      </Svg>
      <Words size="label" tone="ink-2">
        one load
      </Words>
    </View>
  );
}

/** What the crops also become, of which no yield is published; each with its tested times. */
function Unmeasured({ products }: { products: readonly ProductRow[] }) {
  return (
    <View className="border-t-2 border-hair pt-2">
      <Heading size="lead">Also tested</Heading>
      <Words size="label" tone="ink-2" className="pb-1">
        No yield is published for these: jars follow from the fruit or juice that is measured.
      </Words>
      <View className="flex-row flex-wrap gap-2">
        {products.map(({ product, name }) => (
          <RowLink
            key={product}
            href={{ pathname: '/bench/tested/[product]', params: { product } }}
            className="min-h-[48px] justify-center rounded-key border-2 border-cobalt px-3"
          >
            <Words weight={700} tone="cobalt">
              {name}
            </Words>
          </RowLink>
        ))}
      </View>
    </View>
  );
}

/** Spreads that are not offered, since no fruit's recipe is another's; with the way out. */
function Cardless({ products, crops }: { products: readonly ProductRow[]; crops: readonly CropOnHand[] }) {
  const names = crops.map(({ crop }) => produceRow(crop).name.toLowerCase()).join(' or ');
  return (
    <Words className="border-t-2 border-hair py-2">
      {products.map(({ name }) => name).join(', ')}: Hoddle has no tested recipe of {names} for it, and another fruit’s
      is not offered. The leaflet in the box of pectin has one, or your extension office; until then the fruit keeps in
      the freezer.
    </Words>
  );
}

function NothingTested({ crops, lots }: { crops: readonly CropOnHand[]; lots: readonly Lot[] }) {
  if (crops.length === 0) return <Words className="border-t-2 border-hair pt-3">Choose a lot above.</Words>;
  const there = (crop: string) => lots.some((lot) => lot.crop === crop);
  const beside = crops.flatMap(({ crop }) => goesInto(crop, there));
  const names = crops.map(({ crop }) => produceRow(crop).name.toLowerCase()).join(' and ');
  return (
    <View className="gap-2 border-t-2 border-hair pt-3">
      {beside.length > 0 && <GoInto names={names} recipes={beside} there={there} />}
      <Words>
        Hoddle has no tested product of {names} alone. Do not can them by another food’s time; the local extension
        office has tested ones. Eat them fresh or freeze them.
      </Words>
    </View>
  );
}

/** What a crop is one ingredient of: the recipe's own crop leads to it. */
function GoInto({
  names,
  recipes,
  there,
}: {
  names: string;
  recipes: readonly GoesInto[];
  there: (crop: string) => boolean;
}) {
  return (
    <View className="gap-2">
      <Heading size="lead">What {names} go into</Heading>
      {recipes.map(({ product, recipe, main }) => (
        <RowLink
          key={recipe}
          href={
            there(main)
              ? { pathname: '/harvest/makes', params: { crop: main } }
              : { pathname: '/bench/tested/[product]', params: { product } }
          }
          className="min-h-[48px] justify-center rounded-key border-2 border-cobalt px-3"
        >
          <Words weight={700} tone="cobalt">
            {recipeName({ product, recipe, crop: main })}
          </Words>
          <Words size="label" tone="ink-2">
            {produceRow(main).name}: {there(main) ? 'on hand' : 'none on hand'}
          </Words>
        </RowLink>
      ))}
    </View>
  );
}
