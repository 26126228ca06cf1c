import { produceRow, findProduce } from '@hoddle/core/handbook/produce';
import { countJars, JARS } from '@hoddle/core/handbook/jars';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { useRouter } from 'expo-router';
import { useWindowDimensions, View } from 'react-native';
import Svg, { Circle, Line } from 'react-native-svg';
import { type CropOnHand, useOnHand } from '@/features/harvest/useOnHand';
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
import { RangeJars, rangeWidth } from './RangeJars';
import { type JarsRow, type ProductRows, useJarsFrom } from './useJarsFrom';

/** Height of a quart where the widest row still fits; never larger than this. */
const MOST_QUART_PX = 24;

/** What the produce of one crop becomes: every fitting product and jar as a range, on one scale. */
export function JarsFromScreen({ crop }: { crop: string }) {
  const item = useOnHand().find((candidate) => candidate.crop === crop);
  const known = findProduce(crop);
  if (!item) {
    const title = known ? `No ${known.name.toLowerCase()} on hand` : 'No such crop';
    return <Empty title={title} />;
  }
  return <JarsFrom item={item} />;
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

function JarsFrom({ item }: { item: CropOnHand }) {
  const { household } = useHousehold();
  const wide = useIsWide();
  const { width } = useWindowDimensions();
  const mass = useMassWords();
  const { products, byFormula } = useJarsFrom(item);
  const columnPx = wide ? Math.min(560, (width - 96 - 64 - 32) / 2) : width - 32;
  const quartPx = scaleFor(products, columnPx - 20);
  const { name } = produceRow(item.crop);
  const altitude =
    household.altitudeFt === null
      ? 'Altitude not set: no minutes yet'
      : `Minutes: tested at ${altitudeWords(household.altitudeFt, household.units)}, as recalled`;
  return (
    <Screen
      station="harvest"
      title={`${mass(item.massKg)} ${name.toLowerCase()} makes`}
      backTo="/harvest"
      foot={
        <ProduceBar hue={hueOfCrop(item.crop).hue} softKg={item.softKg} usedKg={item.softKg} totalKg={item.massKg} />
      }
    >
      <Legend />
      <Words size="label" tone="ink-2" className="pb-2">
        {altitude}
      </Words>
      {products.length + byFormula.length === 0 && <NothingTested item={item} />}
      <View className={wide ? 'flex-row flex-wrap gap-x-8' : ''}>
        {products.map((product) => (
          <ProductPart key={product.product.product} part={product} item={item} quartPx={quartPx} widthPx={columnPx} />
        ))}
      </View>
      {byFormula.length > 0 && <ByFormula products={byFormula} />}
    </Screen>
  );
}

/** One scale for all rows, so that a shorter row is seen to be fewer jars. */
function scaleFor(products: readonly ProductRows[], widthPx: number): number {
  const rows = products.flatMap(({ rows: all }) => all);
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

interface ProductPartProps {
  part: ProductRows;
  item: CropOnHand;
  quartPx: number;
  widthPx: number;
}

function ProductPart({ part: { product, pressureOnly, basis, rows }, item, quartPx, widthPx }: ProductPartProps) {
  return (
    <View className="border-t-2 border-hair pb-2 pt-2" style={{ width: widthPx }}>
      <View className="flex-row items-baseline justify-between">
        <Heading size="lead" className="flex-1">
          {product.name}
        </Heading>
        <Words size="label" tone="ink-2" className="shrink-0">
          {pressureOnly ? 'pressure only, ' : ''}from the {basis}
        </Words>
      </View>
      {rows.map((row) => (
        <SizeRow
          key={row.jar}
          row={row}
          productId={product.product}
          pressureOnly={pressureOnly}
          item={item}
          quartPx={quartPx}
        />
      ))}
    </View>
  );
}

function SizeRow({
  row,
  productId,
  pressureOnly,
  item,
  quartPx,
}: {
  row: JarsRow;
  productId: string;
  pressureOnly: boolean;
  item: CropOnHand;
  quartPx: number;
}) {
  const { jar, jars, perLoad, loads, minutes, pressurePsi } = row;
  const { hue, mark } = hueOfCrop(item.crop);
  const range = `${jars.p10} to ${jars.p90}`;
  const facts = [
    loads === undefined ? undefined : `${loads} ${loads === 1 ? 'load' : 'loads'}`,
    minutes === undefined ? undefined : `${minutes} min${pressurePsi === undefined ? '' : ` at ${pressurePsi} psi`}`,
  ];
  return (
    <RowLink
      href={
        pressureOnly
          ? { pathname: '/bench/tested/[product]', params: { product: productId, jar } }
          : { pathname: '/plan/make', params: { crop: item.crop, product: productId, jar } }
      }
      label={`${range} ${JARS[jar].several}, likely ${jars.p50}. ${facts.filter(Boolean).join(', ')}. Choose.`}
      className="min-h-[56px] justify-center py-1"
    >
      <View className="flex-row items-baseline">
        <Words size="head" weight={800}>
          {countJars(jars.p50, jar)}
        </Words>
        <Words size="lead" tone="ink-2" className="flex-1 pl-2">
          {range}
        </Words>
        <Words size="label" tone="ink-2">
          {facts[0] ?? ''}
          {facts[0] && facts[1] ? ', ' : ''}
          <Words size="label" weight={700}>
            {facts[1] ?? ''}
          </Words>
        </Words>
      </View>
      {jars.p90 > 0 ? (
        <RangeJars size={jar} jars={jars} perLoad={perLoad} quartPx={quartPx} hue={hue} mark={mark} />
      ) : (
        <Words tone="ink-2">Not enough for a full jar.</Words>
      )}
    </RowLink>
  );
}

/** What the crop also becomes by a published formula, each with its tested times. */
function ByFormula({ products }: { products: readonly ProductRow[] }) {
  return (
    <View className="border-t-2 border-hair pt-2">
      <Heading size="lead">By a formula</Heading>
      <Words size="label" tone="ink-2" className="pb-1">
        Jars follow from the measured fruit or juice, not from pounds.
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

function NothingTested({ item }: { item: CropOnHand }) {
  return (
    <Words className="border-t-2 border-hair pt-3">
      Hoddle has no tested product for {produceRow(item.crop).name.toLowerCase()} yet. Do not can them by another food’s
      time; the local extension office has tested ones. Eat them fresh or freeze them.
    </Words>
  );
}
