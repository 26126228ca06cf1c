import { cropsNamed } from '@hoddle/core/handbook/cropsNamed';
import { PRODUCE, type ProduceId } from '@hoddle/core/handbook/produce';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { CropGlyph } from './CropGlyph';
import { TextField } from './TextField';
import { Words } from './Words';

const RECENT = 4;

/** What stands in front while nothing was picked yet. */
const STARTERS: readonly ProduceId[] = ['tomato-paste', 'tomato-slicing', 'damson', 'bean-snap'];

/** The crops picked lately, then the usual ones. */
export function recentCrops(picks: readonly { crop: ProduceId; pickedAt: number }[]): ProduceId[] {
  const lately = [...picks].sort((a, b) => b.pickedAt - a.pickedAt).map(({ crop }) => crop);
  return [...new Set([...lately, ...STARTERS, ...PRODUCE.map(({ crop }) => crop)])].slice(0, RECENT);
}

interface CropKeysProps {
  /** What stands in front; a key opens all the others. */
  first: readonly ProduceId[];
  crop: ProduceId;
  onChoose: (crop: ProduceId) => void;
}

/** Crops as pictures, the recent ones first; all of them behind one key, found by a word. */
export function CropKeys({ first, crop, onChoose }: CropKeysProps) {
  const [all, setAll] = useState(false);
  const [asked, setAsked] = useState('');
  const crops = all ? cropsNamed(asked) : first.includes(crop) ? first : [crop, ...first.slice(1)];
  const onAll = all ? undefined : () => setAll(true);
  const keys = (
    <View role="radiogroup" aria-label="Crop" className="flex-row flex-wrap gap-[5px]">
      {crops.map((candidate) => {
        const chosen = candidate === crop;
        // A soft hyphen lets the long ones break where they are said in two.
        const name = (PRODUCE.find((row) => row.crop === candidate)?.name ?? '').replace(
          /(?<=\w)(berries|flower)$/,
          '\u00ad$1',
        );
        return (
          <Pressable
            key={candidate}
            role="radio"
            aria-checked={chosen}
            onPress={() => onChoose(candidate)}
            className={`h-[78px] w-[64px] max-w-[24%] grow items-center justify-center rounded-key ${chosen ? 'bg-plate' : ''}`}
            style={{ boxShadow: chosen ? 'inset 0 0 0 3px #1D3F8F' : 'inset 0 0 0 2px #6C7A8C' }}
          >
            <CropGlyph crop={candidate} size={30} />
            <Words
              size="small"
              weight={chosen ? 700 : 500}
              className="px-1 text-center"
              style={{ lineHeight: 15, fontSize: 13.5 }}
            >
              {name}
            </Words>
          </Pressable>
        );
      })}
      {onAll && (
        <Pressable
          role="button"
          onPress={onAll}
          className="h-[78px] w-[64px] grow items-center justify-center rounded-key"
          style={{ boxShadow: 'inset 0 0 0 2px #6C7A8C' }}
        >
          <Words size="small" weight={700} tone="cobalt" className="text-center" style={{ lineHeight: 17 }}>
            All {PRODUCE.length} crops
          </Words>
        </Pressable>
      )}
    </View>
  );
  if (!all) return keys;
  return (
    <View className="gap-2">
      <TextField label="Find a crop" value={asked} onChange={setAsked} />
      {crops.length === 0 && (
        <Words role="status">No crop of the handbook is called so. Try another word for it.</Words>
      )}
      {keys}
    </View>
  );
}
