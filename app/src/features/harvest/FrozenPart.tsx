import { produceRow } from '@hoddle/core/handbook/produce';
import { freezerBags } from '@hoddle/core/harvest/freezerSpace';
import { View } from 'react-native';
import { useMassWords } from '@/store/useUnits';
import { dayAndDate } from '@/ui/clockWords';
import { CropGlyph } from '@/ui/CropGlyph';
import { RowLink } from '@/ui/RowLink';
import { Heading, Words } from '@/ui/Words';
import { type CropOnHand, lotKey, useFrozen } from './useOnHand';

const DAY_MS = 24 * 60 * 60_000;

/** "In the freezer: 2 gallon bags": the room that frozen lots take. */
function spaceWords(frozen: readonly CropOnHand[]): string {
  const bags = frozen.reduce((sum, { crop, massKg }) => sum + freezerBags(crop, massKg), 0);
  return `In the freezer: ${bags} gallon ${bags === 1 ? 'bag' : 'bags'}`;
}

/** One line that frozen lots want a plan; nothing while there are none. */
export function FrozenAsks() {
  const frozen = useFrozen();
  if (frozen.length === 0) return null;
  return (
    <RowLink href="/harvest" className="mx-4 min-h-[56px] justify-center border-t border-hair py-2">
      <Words size="lead" weight={700} tone="cobalt">
        {spaceWords(frozen)}
      </Words>
      <Words tone="ink-2">
        {frozen.map(({ crop }) => produceRow(crop).name).join(', ')}: no day is planned for them yet
      </Words>
    </RowLink>
  );
}

/** What waits in the freezer, the room it takes, and that it wants a plan. */
export function FrozenPart({ now }: { now: number }) {
  const mass = useMassWords();
  const frozen = useFrozen();
  if (frozen.length === 0) return null;
  return (
    <View className="pt-4">
      <Heading>{spaceWords(frozen)}</Heading>
      {frozen.flatMap(({ lots }) =>
        lots.map((lot) => (
          <RowLink
            key={lotKey(lot)}
            href={{ pathname: '/harvest/lot/[lot]', params: { lot: lotKey(lot) } }}
            className="min-h-[56px] flex-row items-center gap-3 border-t border-hair py-1"
          >
            <CropGlyph crop={lot.crop} size={26} />
            <View className="flex-1">
              <Words weight={600}>
                {mass(lot.massKg)} {produceRow(lot.crop).name.toLowerCase()}, {bagWords(lot.crop, lot.massKg)}
              </Words>
              <Words size="small" tone="ink-2">
                {frozenWords(lot.since, now)}; best by {dayAndDate(lot.until)}. No day is planned for it yet.
              </Words>
            </View>
          </RowLink>
        )),
      )}
    </View>
  );
}

function bagWords(crop: Parameters<typeof freezerBags>[0], massKg: number): string {
  const bags = freezerBags(crop, massKg);
  return `${bags} ${bags === 1 ? 'bag' : 'bags'}`;
}

function frozenWords(since: number, now: number): string {
  const days = Math.floor((now - since) / DAY_MS);
  return days < 1 ? 'Frozen today' : `Frozen ${days} ${days === 1 ? 'day' : 'days'} ago`;
}
