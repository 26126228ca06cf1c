import { findProduce, produceRow, type ProduceId } from '@hoddle/core/handbook/produce';
import { isOwnProduct, recipeIdOf } from '@hoddle/core/handbook/ownIds';
import { type Lot } from '@hoddle/core/harvest/onHand';
import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { lotKey, useLots } from '@/household/harvest/useOnHand';
import { usePantry } from '@/household/pantry/usePantry';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { useMassWords, useUnits } from '@/store/useUnits';
import { duration } from '@/ui/clockWords';
import { hueOfCrop } from '@/ui/colours';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { Heading, Words } from '@/ui/Words';
import { useJarsFrom } from '../useJarsFrom';
import { DivisionBar } from './DivisionBar';
import { PartRow } from './PartRow';
import { type Part, useDivision } from './useDivision';

/** Some lots of one crop, divided among products: drawn as a bar, told in pounds or jars, planned by one key. */
export function DivideScreen({ crop, keys }: { crop: string; keys?: readonly string[] }) {
  const all = useLots();
  const known = findProduce(crop)?.crop;
  const lots = useMemo(
    () => all.filter((lot) => lot.crop === crop && (keys ? keys.includes(lotKey(lot)) : lot.place !== 'freezer')),
    [all, crop, keys],
  );
  if (!known || lots.length === 0) {
    return (
      <Screen station="harvest" title="Nothing to divide" backTo="/harvest">
        <Words>None of it is on hand any more.</Words>
      </Screen>
    );
  }
  return <Divide crop={known} lots={lots} all={all} />;
}

function Divide({ crop, lots, all }: { crop: ProduceId; lots: readonly Lot[]; all: readonly Lot[] }) {
  const router = useRouter();
  const enter = useHouseholdStore((store) => store.enter);
  const mass = useMassWords();
  const isMetric = useUnits() === 'metric';
  const { products, unmeasured, cardless } = useJarsFrom(lots, all);
  const offered = products.filter(({ made }) => !isOwnProduct(made.product.product));
  const own = products.filter(({ made }) => isOwnProduct(made.product.product));
  const division = useDivision(crop, lots, all);
  const goalOf = useGoalWords();
  const { parts, totalKg, leftKg, leftSoftKg, shortKg } = division;
  const name = produceRow(crop).name.toLowerCase();
  const batches = parts.filter(({ batch }) => batch).length;
  const plan = () => {
    const entered = division.toBatches().map((batch) => enter({ kind: 'batch', batch }));
    void Promise.all(entered).then(() => router.navigate('/plan'));
  };
  return (
    <Screen
      station="harvest"
      title={`${mass(totalKg)} ${name}, divided`}
      note={
        leftKg > 0.05
          ? `${mass(leftKg)} left over${leftSoftKg > 0.05 ? `, ${mass(leftSoftKg)} of it soft` : ''}`
          : 'all of it is given to something'
      }
      backTo={`/harvest/makes?crop=${crop}`}
      foot={batches > 0 && <Key tall words={planWords(batches, parts)} onPress={plan} />}
    >
      <View className="max-w-[640px] gap-3">
        <DivisionBar
          hue={hueOfCrop(crop).hue}
          totalKg={totalKg}
          parts={parts}
          mass={mass}
          stepKg={isMetric ? 0.5 : KG_PER_LB}
          onMove={division.move}
        />
        {shortKg > 0.05 && (
          <Words role="alert" weight={700}>
            {mass(shortKg)} more than there is: some of it was used meanwhile. Give less to a part.
          </Words>
        )}
        <Words size="label" tone="ink-2">
          Sound fruit goes to what is packed in pieces, soft fruit first to sauce, juice and jam. What is not given
          stays on hand.
        </Words>
        {parts.map((part, i) => (
          <PartRow
            key={`${part.product} ${i}`}
            number={i + 1}
            part={part}
            sizes={
              offered.find(({ made }) => made.product.product === part.product)?.rows.map(({ jar }) => jar) ??
              TOLD_SIZES
            }
            goal={goalOf(part)}
            onMass={(massKg) => division.setMass(i, massKg)}
            onJars={(jars) => division.setJars(i, jars)}
            onJar={(jar) => division.setJar(i, jar)}
            onRemove={() => division.remove(i)}
          />
        ))}
        <Heading>{parts.length === 0 ? 'What is it to become?' : 'And to what else?'}</Heading>
        <View className="flex-row flex-wrap gap-2">
          {offered.map(({ made, rows }) => (
            <Key
              key={made.product.product}
              look="outline"
              words={made.product.name}
              onPress={() => division.add(made.product.product, rows[0]?.jar ?? 'quart')}
            />
          ))}
          {unmeasured.map(({ product, name: words }) => (
            <Key key={product} look="outline" words={words} onPress={() => division.add(product, 'pint', true)} />
          ))}
          {own.map(({ made: { product } }) => (
            <Key
              key={product.product}
              look="quiet"
              words={`${product.name}, your own: from what is left`}
              onPress={() =>
                router.navigate({ pathname: '/plan/own/[recipeId]', params: { recipeId: recipeIdOf(product.product) } })
              }
            />
          ))}
        </View>
        <NoCard names={cardless.map((row) => row.name.toLowerCase())} name={name} />
      </View>
    </Screen>
  );
}

/** What no yield is published for is told in these. */
const TOLD_SIZES = ['pint', 'quart'] as const;

/** What no published yield or card covers is made by a recipe of the household's own, or not at all. */
function NoCard({ names, name }: { names: readonly string[]; name: string }) {
  const router = useRouter();
  return (
    <View className="gap-2 border-t-2 border-hair pt-3">
      <Words>
        Anything else of {name}, such as a filling, a butter or a thicker sauce that is not named here: no published
        card covers it. A recipe of your own may, by a tested page, or kept cold.
        {names.length > 0 ? ` No card of this fruit: ${names.join(', ')}.` : ''}
      </Words>
      <Key look="quiet" words="Recipes of your own" onPress={() => router.navigate('/bench/recipes')} />
    </View>
  );
}

/** What a part fills of what the year wants of it; nothing where nothing is wanted. */
function useGoalWords(): (part: Part) => string | undefined {
  const { goals } = useHousehold();
  const { stocked } = usePantry();
  return ({ product, jar, jars }) => {
    const wanted = goals.find((goal) => goal.product === product && goal.jar === jar)?.jars ?? 0;
    if (wanted === 0) return undefined;
    const here = stocked
      .filter((lot) => lot.product === product && lot.jar === jar && lot.placeKind !== 'aside')
      .reduce((sum, lot) => sum + lot.jars, 0);
    return `with ${here} here ${Math.min(wanted, here + jars.p50)} of ${wanted} wanted`;
  };
}

function planWords(batches: number, parts: readonly Part[]): string {
  const handsMin = parts.reduce((sum, part) => sum + (part.handsMin ?? 0), 0);
  const loads = parts.reduce((sum, { batch }) => sum + (batch?.loads.length ?? 0), 0);
  const count = batches === 1 ? 'Plan it' : `Plan these ${batches}`;
  return `${count}: ${loads} ${loads === 1 ? 'load' : 'loads'}, ${duration(handsMin * 60_000)} of work`;
}
