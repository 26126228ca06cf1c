import { produceRow } from '@hoddle/core/handbook/produce';
import { View } from 'react-native';
import { CropRow } from '@/features/harvest/CropRow';
import { keepingOf } from '@/household/harvest/keepingWords';
import { type CropOnHand } from '@/household/harvest/useOnHand';
import { useMassWords } from '@/store/useUnits';
import { hueOfCrop } from '@/ui/colours';
import { Fuse } from '@/ui/Fuse';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';

/** So many crops are drawn with every lot they have, and more where more are due. */
const OPEN_CROPS = 3;
const DAY_MS = 24 * 60 * 60_000;

/** All that waits for jars, what is due first on top; the rest folded, each crop with the fuse of the lot that burns down first. */
export function OnHandPart({ crops, now }: { crops: readonly CropOnHand[]; now: number }) {
  const isDue = ({ lots }: CropOnHand) => (lots[0]?.until ?? Infinity) - now <= DAY_MS;
  const open = crops.filter((item, i) => i < OPEN_CROPS || isDue(item) || crops.length === OPEN_CROPS + 1);
  const folded = crops.filter((item) => !open.includes(item));
  return (
    <>
      {open.map((item) => (
        <CropRow key={item.crop} item={item} now={now} />
      ))}
      {folded.length > 0 && (
        <View role="list" aria-label="On hand besides" className="border-t border-hair pt-1">
          {folded.map((item) => (
            <View key={item.crop} role="listitem">
              <FoldedRow item={item} now={now} />
            </View>
          ))}
        </View>
      )}
    </>
  );
}

function FoldedRow({ item: { crop, massKg, lots }, now }: { item: CropOnHand; now: number }) {
  const mass = useMassWords();
  const { name } = produceRow(crop);
  const [first] = lots;
  if (!first) return null;
  const keeping = keepingOf(first, now, mass);
  const others = lots.length > 1 ? `, ${lots.length} lots` : '';
  return (
    <RowLink
      href={{ pathname: '/harvest/makes', params: { crop } }}
      label={`${name}, ${mass(massKg)}${others}, first ${keeping.words}. See what it makes.`}
      className="min-h-[56px] justify-center py-1"
    >
      <View className="flex-row items-baseline gap-2">
        <Words weight={700}>{name}</Words>
        <Words size="label" tone="ink-2" className="flex-1">
          {others.slice(2)}
        </Words>
        <Words weight={700}>{mass(massKg)}</Words>
      </View>
      <Fuse hue={hueOfCrop(crop).hue} daysInAll={first.keepsDays} {...keeping} />
    </RowLink>
  );
}
