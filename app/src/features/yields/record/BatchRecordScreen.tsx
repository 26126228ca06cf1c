import { jarCounts, mainCropOf } from '@hoddle/core/day/batch';
import { findProduce } from '@hoddle/core/handbook/produce';
import { findProduct } from '@hoddle/core/handbook/products';
import { takenOffMl } from '@hoddle/core/kitchen/takenOff';
import { KG_PER_LB, ML_PER_QUART } from '@hoddle/core/measure/amount';
import { type LotChange } from '@hoddle/core/harvest/lotChange';
import { productsFrom } from '@hoddle/core/yields/estimateJars';
import { likelyInPot } from '@hoddle/core/day/likelyInPot';
import { useRouter } from 'expo-router';
import { v7 as uuidV7 } from 'uuid';
import { recentCrops } from '@/ui/CropKeys';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { useUnits } from '@/store/useUnits';
import { useLearned } from '@/household/yields/useLearned';
import { RecordForm } from './RecordForm';
import { type RecordDraft } from './readRecord';

/** What a batch made, written down while it is fresh: of a planned batch, or of any. */
export function BatchRecordScreen({ batchId }: { batchId?: string }) {
  const router = useRouter();
  const enter = useHouseholdStore((store) => store.enter);
  const { batches, batchRecords, picks, lotChanges, dayEvents } = useHousehold();
  const unit = useUnits() === 'metric' ? 'kg' : 'lb';
  const batch = batches.find(({ id }) => id === batchId);
  const crop =
    findProduce((batch && mainCropOf(batch)) ?? '')?.crop ?? recentCrops(picks)[0] ?? ('tomato-paste' as const);
  const product = batch && findProduct(batch.product) ? batch.product : productsFrom(crop)[0]?.product;
  const learned = useLearned();
  // The middle of the plan: what was set apart is more, to be sure.
  const usedKg = batch ? likelyInPot(batch, learned) : 0;
  const inUnit = unit === 'kg' ? usedKg : usedKg / KG_PER_LB;
  // What was measured in the kitchen is asked no second time.
  const juiceMl = batch && takenOffMl(batch.id, dayEvents);
  const left = picks.filter(
    ({ of }) => of?.batchId === batchId && (of?.kind === 'pulp' || of?.kind === 'peels-and-cores'),
  );
  const keptKg = batch ? left.reduce((sum, { massKg }) => sum + massKg, 0) : 0;
  const isOfLeft = batch?.uses.some(({ pickId }) => picks.some(({ id, of }) => id === pickId && of)) ?? false;
  const [main, other] = batch ? jarCounts(batch) : [];
  // Makes are bought by the case: what was told last is likely so again.
  const last = [...batchRecords].sort((a, b) => b.madeAt - a.madeAt)[0];
  const first: RecordDraft = {
    crop,
    product: product ?? 'tomatoes-crushed',
    amount: batch ? `${Math.round(inUnit * 10) / 10} ${unit}` : '',
    jars: main ? String(main.count) : '',
    jar: main?.jar ?? 'quart',
    otherJars: other ? String(other.count) : '',
    otherJar: other?.jar ?? 'pint',
    part: '0',
    water: '',
    sugar: '',
    note: '',
    jarMake: last?.jarMake ?? '',
    lidMake: last?.lidMake ?? '',
    leftover: '',
    juice:
      juiceMl === undefined ? '' : String(Math.round((juiceMl / (unit === 'kg' ? 1_000 : ML_PER_QUART)) * 100) / 100),
    trimmings: keptKg > 0 ? String(Math.round((unit === 'kg' ? keptKg : keptKg / KG_PER_LB) * 10) / 10) : '',
    cookedOff: '',
    trimmingsTo:
      keptKg > 0 ? goneTo(lotChanges.find(({ pickId }) => left.some(({ id }) => id === pickId))?.kind) : 'untold',
    faults: [],
  };
  return (
    <RecordForm
      title={batch ? 'What did it make?' : 'What did a batch make?'}
      first={first}
      isPlanned={batch !== undefined}
      isWritten={batchRecords.some((record) => record.batchId !== null && record.batchId === batchId)}
      onSave={(record, learnFrom) => {
        const at = batch ? Math.min(householdNow(), batch.startAt + 8 * 60 * 60_000) : householdNow();
        const own = { id: uuidV7(), batchId: batch?.id ?? null, madeAt: at, learnFrom: learnFrom && !isOfLeft };
        // What is said to be kept, and stands nowhere yet, is asked for its place.
        const isToKeep = batch !== undefined && record.trimmingsTo === 'kept' && left.length === 0;
        const amount = record.trimmingsKg === null ? '' : `${Math.round(record.trimmingsKg * 100) / 100} kg`;
        void enter({ kind: 'batch-record', record: { ...record, ...own } }).then(() =>
          isToKeep
            ? router.replace({ pathname: '/harvest/left', params: { batch: batch.id, amount } })
            : router.replace({ pathname: '/harvest/learned', params: { product: record.product, crop: record.crop } }),
        );
      }}
    />
  );
}

/** Where what was left behind went, by what was told of its lot. */
function goneTo(kind: LotChange['kind'] | undefined): RecordDraft['trimmingsTo'] {
  if (kind === 'fed') return 'animals';
  return kind === 'composted' ? 'compost' : 'kept';
}
