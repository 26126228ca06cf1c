import { findProduce, type ProduceId, produceRow } from '@hoddle/core/handbook/produce';
import { findProduct, type ProductRow } from '@hoddle/core/handbook/products';
import { asideWords } from '@hoddle/core/yields/asideWords';
import { type BatchRecord, lbPerQuartOf } from '@hoddle/core/yields/batchRecord';
import { madeWords } from '@hoddle/core/yields/madeWords';
import { lastWords, NOTHING_LEARNED, yieldRange, yieldWords } from '@hoddle/core/yields/yieldRange';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { useMassWords, useUnits } from '@/store/useUnits';
import { type Units } from '@/ui/amountWords';
import { dayWords, isoDay } from '@/ui/clockWords';
import { hueOfCrop } from '@/ui/colours';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { TextKey } from '@/ui/TextKey';
import { Heading, Words } from '@/ui/Words';
import { useLearned } from '@/household/yields/useLearned';
import { YieldScale } from './YieldScale';

/** How an estimate came about: printed, yours, last time, and how far apart. */
export function LearnedScreen({ product, crop }: { product: string; crop: string }) {
  const row = findProduct(product);
  const produce = findProduce(crop);
  if (!row || !produce) {
    return (
      <Screen station="harvest" title="No such product" backTo="/harvest">
        <Words>The handbook does not have it.</Words>
      </Screen>
    );
  }
  return <Learned row={row} crop={produce.crop} />;
}

function Learned({ row, crop }: { row: ProductRow; crop: ProduceId }) {
  const router = useRouter();
  const learned = useLearned();
  const units = useUnits();
  const { batchRecords } = useHousehold();
  const yours = yieldRange(row.product, crop, learned);
  const printed = yieldRange(row.product, crop, NOTHING_LEARNED);
  const own = batchRecords
    .filter((record) => record.product === row.product && record.crop === crop)
    .sort((a, b) => b.madeAt - a.madeAt);
  const counted = own.filter(({ learnFrom }) => learnFrom);
  return (
    <Screen
      station="harvest"
      title={row.name}
      note={`${units === 'metric' ? 'Kilograms' : 'Pounds'} of ${produceRow(crop).name.toLowerCase()} for a ${units === 'metric' ? 'litre' : 'quart'} of jar`}
      backTo={`/harvest/makes?crop=${crop}`}
      foot={<Key tall words="Write a batch down" onPress={() => router.navigate('/harvest/batch')} />}
    >
      <View className="max-w-[640px] gap-4">
        {!yours || !printed ? (
          <Words>No yield is published for it, so there is nothing to compare with.</Words>
        ) : (
          <>
            <View>
              <Words size="head" weight={800}>
                {yieldWords(yours.lbPerQuart.p50, units)} next time
              </Words>
              <Words>
                8 in 10: {yieldWords(yours.lbPerQuart.p10, units).split(' ')[0]} to{' '}
                {yieldWords(yours.lbPerQuart.p90, units)}
              </Words>
            </View>
            <YieldScale
              hue={hueOfCrop(crop).hue}
              units={units}
              printed={printed.basis.printedLbPerQuart}
              before={printed.lbPerQuart}
              now={yours.lbPerQuart}
              batches={counted.flatMap((record) => {
                const lbPerQuart = lbPerQuartOf(record);
                return lbPerQuart === undefined ? [] : [{ id: record.id, lbPerQuart, madeAt: record.madeAt }];
              })}
            />
            <Words>{summary(yours.basis, yours.lbPerQuart.p50, units)}</Words>
          </>
        )}
        {own.length > 0 && <Heading>Your batches</Heading>}
        {own.map((record) => (
          <RecordRow key={record.id} record={record} />
        ))}
        <Words tone="ink-2">
          Each batch moves the estimate of its own recipe; what a crop loses in trimming counts for its others a little.
          A batch of a year ago counts four fifths of one of today. What is printed is as recalled.
        </Words>
      </View>
    </Screen>
  );
}

function summary(
  { printedLbPerQuart, fromFormula, otherBatchesOfCrop, last }: NonNullable<ReturnType<typeof yieldRange>>['basis'],
  likely: number,
  units: Units,
): string {
  const start = `${fromFormula ? 'The formula' : 'The handbook'} says ${yieldWords(printedLbPerQuart, units)}`;
  const difference = Math.round((printedLbPerQuart / likely - 1) * 100);
  const yours =
    Math.abs(difference) < 2
      ? 'you come out the same'
      : `you get ${Math.abs(difference)} % ${difference > 0 ? 'more' : 'fewer'} jars`;
  if (last) return `${start}; ${yours}. ${lastWords(last, units).replace(/^l/, 'L')}.`;
  if (otherBatchesOfCrop > 0) return `${start}; by what you made of this crop, ${yours}.`;
  return `${start}. No batch of yours yet: one in ten kitchens is further off than the bar shows.`;
}

function RecordRow({ record }: { record: BatchRecord }) {
  const mass = useMassWords();
  const units = useUnits();
  const enter = useHouseholdStore((store) => store.enter);
  const lbPerQuart = lbPerQuartOf(record);
  const jars = madeWords(record);
  const aside = asideWords(record, units);
  const day = dayWords(isoDay(record.madeAt));
  return (
    <View className="min-h-[56px] flex-row items-center gap-2 border-t border-hair py-1">
      <View className="flex-1">
        <Words weight={600}>
          {mass(record.massKg)}: {jars}
        </Words>
        <Words size="small" tone="ink-2">
          {day}, {lbPerQuart === undefined ? 'no jars' : yieldWords(lbPerQuart, units)}
          {record.learnFrom ? '' : ', not learned from'}
          {record.faults.length > 0 ? `. ${record.faults.join(', ')}` : ''}
          {aside === undefined ? '' : `. Besides: ${aside}`}
          {record.note ? `. ${record.note}` : ''}
        </Words>
      </View>
      <TextKey
        words="Strike out"
        label={`Strike out ${jars} of ${day}`}
        onPress={() => enter({ kind: 'batch-record-struck', recordId: record.id })}
      />
    </View>
  );
}
