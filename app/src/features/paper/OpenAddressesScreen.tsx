import { type OpenAddress } from '@hoddle/contract/paper';
import { dateWords, type DateStyle } from '@hoddle/core/measure/dateWords';
import { View } from 'react-native';
import { askTo } from '@/store/api';
import { Screen } from '@/ui/Screen';
import { SmallKey } from '@/ui/SmallKey';
import { Heading, Words } from '@/ui/Words';
import { useOpenAddresses } from './openAddress';
import { useDateStyle } from '@/household/paper/useDateStyle';

/** Pages and calendars that are open without a device being let in; each is taken back with a tap. */
export function OpenAddressesScreen() {
  const { known, refused, look } = useOpenAddresses();
  const all = known?.addresses ?? [];
  return (
    <Screen station="bench" title="Open addresses" note="pages and calendars that need no key" backTo="/bench">
      <View className="max-w-[640px] gap-5">
        {!known && <Words>{refused ?? 'Only the server knows. It does not answer.'}</Words>}
        {known && all.length === 0 && <Words>Nothing is open.</Words>}
        <AddressList addresses={all} onTakeBack={(id) => void askTo('DELETE', `/open-addresses/${id}`).then(look)} />
      </View>
    </Screen>
  );
}

/** Addresses, those that are open first. */
export function AddressList({
  addresses,
  onTakeBack,
}: {
  addresses: readonly OpenAddress[];
  onTakeBack: (id: string) => void;
}) {
  const dates = useDateStyle();
  const isOpen = (each: OpenAddress) => stateOf(each, dates).isOpen;
  if (addresses.length === 0) return null;
  return (
    <View role="list" className="gap-2">
      <Heading>{addresses.some(isOpen) ? 'Open now' : 'Was open'}</Heading>
      {[...addresses]
        .sort((a, b) => Number(isOpen(b)) - Number(isOpen(a)) || b.madeAt - a.madeAt)
        .map((each) => (
          <View key={each.id} role="listitem" className="flex-row items-center gap-3 border-t border-hair py-2">
            <View className="flex-1">
              <Words weight={700}>{each.name}</Words>
              <Words size="label" tone="ink-2">
                {each.kind === 'calendar' ? 'calendar' : 'page'}, {stateOf(each, dates).words}
              </Words>
            </View>
            {isOpen(each) && (
              <SmallKey words="Take back" label={`Take back: ${each.name}`} onPress={() => onTakeBack(each.id)} />
            )}
          </View>
        ))}
    </View>
  );
}

function stateOf({ until, revokedAt, askedAt }: OpenAddress, dates: DateStyle): { isOpen: boolean; words: string } {
  if (revokedAt !== null) return { isOpen: false, words: `taken back ${dateWords(revokedAt, dates)}` };
  if (until !== null && until <= Date.now()) return { isOpen: false, words: `over since ${dateWords(until, dates)}` };
  const asked = askedAt === null ? 'never looked at yet' : `last looked at ${dateWords(askedAt, dates)}`;
  return { isOpen: true, words: until === null ? asked : `until ${dateWords(until, dates)}, ${asked}` };
}
