import { findProduce } from '@hoddle/core/handbook/produce';
import { CROP_NAMES } from '@hoddle/core/handbook/crops';
import { type MissingProduce } from '@hoddle/core/yields/otherCrops';
import { View } from 'react-native';
import { useMassWords } from '@/store/useUnits';
import { CropGlyph } from '@/ui/CropGlyph';
import { Words } from '@/ui/Words';
import { missingAmount } from './missingWords';

/** What a recipe takes and is not here: how much, and what that means. */
export function MissingLines({ missing }: { missing: readonly MissingProduce[] }) {
  const mass = useMassWords();
  if (missing.length === 0) return null;
  return (
    <View role="status" className="gap-2 border-t-2 border-hair pt-2">
      {missing.map((own) => {
        const { crop, stops } = own;
        const produce = findProduce(crop)?.crop;
        const name = CROP_NAMES[crop];
        return (
          <View key={crop} className="flex-row items-center gap-3">
            <View className="w-[40px] items-center opacity-60">
              {produce && <CropGlyph crop={produce} size={36} />}
            </View>
            <View className="flex-1">
              <Words weight={700}>
                {name}: missing {missingAmount(own, mass).words}
              </Words>
              <Words tone="ink-2">
                {stops
                  ? 'Without it the recipe is not the tested one: pick or buy it first.'
                  : 'It stands on the shopping list. With less of it there are fewer jars; the acid stays.'}
              </Words>
            </View>
          </View>
        );
      })}
    </View>
  );
}
