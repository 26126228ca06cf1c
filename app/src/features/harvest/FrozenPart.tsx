import { produceRow } from '@hoddle/core/handbook/produce';
import { freezerBags } from '@hoddle/core/harvest/freezerSpace';
import { type Lot } from '@hoddle/core/harvest/onHand';
import { View } from 'react-native';
import { useHousehold } from '@/store/useHousehold';
import { useMassWords } from '@/store/useUnits';
import { dayAndDate } from '@/ui/clockWords';
import { CropGlyph } from '@/ui/CropGlyph';
import { RowLink } from '@/ui/RowLink';
import { Heading, Words } from '@/ui/Words';
import { type CropOnHand, lotKey, useFrozen } from '@/household/harvest/useOnHand';

const DAY_MS = 24 * 60 * 60_000;

/** Bags that a frozen lot lies in. */
function useBags(): (lot: Lot) => number {
  const { picks } = useHousehold();
  return (lot) =>
    freezerBags(
      lot.crop,
      lot.massKg,
      picks.find(({ id }) => id === lot.pickId),
    );
}

/** "In the freezer: 2 gallon bags": the room that frozen lots take. */
function spaceWords(frozen: readonly CropOnHand[], bagsOf: (lot: Lot) => number): string {
  const bags = frozen.flatMap(({ lots }) => lots).reduce((sum, lot) => sum + bagsOf(lot), 0);
  return `In the freezer: ${bags} gallon ${bags === 1 ? 'bag' : 'bags'}`;
}

/** One line that frozen lots want a plan; nothing while there are none. */
export function FrozenAsks() {
  const frozen = useFrozen();
  const bagsOf = useBags();
  const [only, ...others] = frozen;
  if (!only) return null;
  // Of one crop it leads to what that makes, of several to the list of them.
  const makes = {
    pathname: '/harvest/makes',
    params: { crop: only.crop, lot: only.lots.map(lotKey).join(',') },
  } as const;
  return (
    <RowLink
      href={others.length === 0 ? makes : '/harvest'}
      className="mx-4 min-h-[56px] justify-center border-t border-hair py-2"
    >
      <Words size="lead" weight={700} tone="cobalt">
        {spaceWords(frozen, bagsOf)}
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
  const bagsOf = useBags();
  if (frozen.length === 0) return null;
  return (
    <View className="pt-4">
      <Heading>{spaceWords(frozen, bagsOf)}</Heading>
      {frozen.flatMap(({ lots }) =>
        lots.map((lot) => (
          <View key={lotKey(lot)} className="flex-row items-center gap-2 border-t border-hair">
            <RowLink
              href={{ pathname: '/harvest/makes', params: { crop: lot.crop, lot: lotKey(lot) } }}
              label={`${mass(lot.massKg)} ${produceRow(lot.crop).name.toLowerCase()}, ${bagWords(bagsOf(lot))}, ${frozenWords(lot.since, now)}. See what it makes.`}
              className="min-h-[56px] flex-1 flex-row items-center gap-3 py-1"
            >
              <CropGlyph crop={lot.crop} size={26} />
              <View className="flex-1">
                <Words weight={600}>
                  {mass(lot.massKg)} {produceRow(lot.crop).name.toLowerCase()}, {bagWords(bagsOf(lot))}
                </Words>
                <Words size="small" tone="ink-2">
                  {frozenWords(lot.since, now)}; best by {dayAndDate(lot.until)}. No day is planned for it yet.
                </Words>
              </View>
            </RowLink>
            <RowLink
              href={{ pathname: '/harvest/lot/[lot]', params: { lot: lotKey(lot) } }}
              label={`Carry or end ${mass(lot.massKg)} ${produceRow(lot.crop).name.toLowerCase()}`}
              className="min-h-[48px] min-w-[48px] items-center justify-center"
            >
              <Words weight={700} tone="cobalt">
                Carry
              </Words>
            </RowLink>
          </View>
        )),
      )}
    </View>
  );
}

function bagWords(bags: number): string {
  return `${bags} ${bags === 1 ? 'bag' : 'bags'}`;
}

function frozenWords(since: number, now: number): string {
  const days = Math.floor((now - since) / DAY_MS);
  return days < 1 ? 'Frozen today' : `Frozen ${days} ${days === 1 ? 'day' : 'days'} ago`;
}
