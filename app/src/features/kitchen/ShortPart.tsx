import { type Batch, mainCropOf } from '@hoddle/core/day/batch';
import { type Card } from '@hoddle/core/handbook/cards/card';
import { productRow } from '@hoddle/core/handbook/products';
import { usualPack } from '@hoddle/core/handbook/usualPack';
import { findProcess } from '@hoddle/core/process/findProcess';
import { plannedProcess } from '@hoddle/core/process/plannedProcess';
import { setsByTheBox } from '@hoddle/core/recipe/pots';
import { recipeName } from '@hoddle/core/recipe/recipeName';
import { cardForCrop } from '@hoddle/core/yields/cardForCrop';
import { View } from 'react-native';
import { type Day } from '@/features/day/useDay';
import { PLACE_NAMES } from '@/features/harvest/keepingWords';
import { lotKey, useLots } from '@/features/harvest/useOnHand';
import { usePages } from '@/features/process/usePages';
import { useHousehold } from '@/store/useHousehold';
import { useMassWords } from '@/store/useUnits';
import { weekday } from '@/ui/clockWords';
import { Words } from '@/ui/Words';
import { KitchenKey } from './KitchenKey';
import { useTellDay } from './useTellDay';

interface ShortPartProps {
  day: Day;
  batch: Batch;
  card: Card;
  /** Batches of the card that are missing. */
  missing: number;
  /** So many batches more are there now. */
  onAdded: (batches: number) => void;
}

/** Spreads without a box of pectin, for fruit of which there is too little for one. */
const WITHOUT_PECTIN = { 'jam-with-pectin': 'jam-no-pectin', 'jelly-with-pectin': 'jelly-no-pectin' } as const;

/** Too little was measured: more fruit of a lot that is there, or a recipe that may be made smaller. */
export function ShortPart({ day, batch, card, missing, onAdded }: ShortPartProps) {
  const tell = useTellDay(day.id);
  const mass = useMassWords();
  const lots = useLots();
  const { picks } = useHousehold();
  const crop = mainCropOf(batch);
  const own = crop && cardForCrop(batch.product, crop);
  const neededKg = missing * (own?.main.kgPerBatch ?? 0);
  const more = own ? lots.filter((lot) => lot.crop === crop && (lot.ripeness === 'green') === own.green) : [];
  const other = useWithoutPectin(batch, card);
  if (neededKg <= 0 && !other) return null;
  return (
    <View className="gap-3">
      {more.map((lot) => {
        const massKg = Math.min(lot.massKg, neededKg);
        const softKg = lot.ripeness === 'soft' ? massKg : 0;
        return (
          <KitchenKey
            key={lotKey(lot)}
            look="outline"
            words={`Take ${mass(massKg)} more`}
            note={`${weekday(picks.find(({ id }) => id === lot.pickId)?.pickedAt ?? 0)}, ${PLACE_NAMES[lot.place].toLowerCase()}: ${mass(lot.massKg)}`}
            onPress={() => {
              tell({
                type: 'produce-added',
                batchId: batch.id,
                use: { pickId: lot.pickId, crop: lot.crop, massKg, softKg },
              });
              onAdded(massKg / (own?.main.kgPerBatch ?? 1));
            }}
          />
        );
      })}
      {more.length === 0 && (
        <Words size="lead" tone="milk-2">
          No more of it is on hand, in the freezer neither.
        </Words>
      )}
      {other && (
        <KitchenKey
          look="outline"
          words="Make it without added pectin"
          note={`${recipeName(other)}, any amount, ${other.processMinutes} min`}
          onPress={() => {
            const { crop: _, ...told } = other;
            tell({ type: 'recipe-changed', batchId: batch.id, ...told });
          }}
        />
      )}
    </View>
  );
}

/** The fruit's own card without pectin, with its tested time in the jars that are there; undefined where there is none. */
function useWithoutPectin(batch: Batch, card: Card) {
  const pages = usePages();
  const crop = mainCropOf(batch);
  const product =
    batch.product in WITHOUT_PECTIN ? WITHOUT_PECTIN[batch.product as keyof typeof WITHOUT_PECTIN] : undefined;
  const other = product && crop && setsByTheBox(card) ? cardForCrop(product, crop) : undefined;
  if (!product || !other) return undefined;
  const { jar, method, altitudeFt } = batch;
  const pack = usualPack(productRow(product));
  const tested = findProcess({ product, pack, jar, method, altitudeFt }, pages);
  if (tested.kind === 'refusal') return undefined;
  const processMinutes = Math.max(plannedProcess(tested).minutes, tested.minutes);
  return { product, recipe: other.card.card, crop, pack, processMinutes };
}
