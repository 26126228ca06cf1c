import { type OpenAddressRequest } from '@hoddle/contract/paper';
import { type Paper } from '@hoddle/core/formats/paper/paper';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { QrCode } from '@/household/access/QrCode';
import { Choice } from '@/ui/Choice';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { RowLink } from '@/ui/RowLink';
import { SmallKey } from '@/ui/SmallKey';
import { Heading, Words } from '@/ui/Words';
import { addressOf, newKey, openAddress, useOpenAddresses } from './openAddress';
import { SENT_WORDS, sendWords } from '@/household/paper/sendWords';

const HOUR_MS = 3_600_000;
const SPANS = [
  { value: '1', words: 'an hour' },
  { value: '24', words: 'a day' },
  { value: '168', words: 'a week' },
] as const;

/** The paper as a page that others of the home network look at without being let in, for as long as one says. */
export function OpenPagePart({ paper, page }: { paper: Paper; page: 'letter' | 'a4' }) {
  const { known } = useOpenAddresses();
  const [hours, setHours] = useState<(typeof SPANS)[number]['value']>('24');
  const [address, setAddress] = useState<string>();
  const [said, setSaid] = useState<string>();
  const open = async () => {
    const key = newKey();
    // The paper is as it is now: what changes later is not shown there.
    const content = JSON.parse(JSON.stringify({ kind: 'page', paper, page })) as OpenAddressRequest['content'];
    const name = paper.title.slice(0, 80);
    // By this device's own clock: a demo's is another.
    const until = Date.now() + Number(hours) * HOUR_MS;
    const why = await openAddress({ id: uuidV7(), name, key, until, content });
    setSaid(why);
    if (why === undefined) setAddress(addressOf(key, '', known?.reachedAt ?? []));
  };
  return (
    <Plate className="gap-3">
      <Heading>For others to look at</Heading>
      <Words tone="ink-2">
        A page of its own at an address nobody guesses, as it is now. Whoever has the address sees it, nothing else of
        the household, until its time is over.
      </Words>
      <Choice label="Open for" value={hours} onChoose={setHours} options={SPANS} />
      <Key look="outline" words="Open a page" onPress={() => void open()} />
      {said !== undefined && (
        <Words role="alert" weight={700}>
          {said}
        </Words>
      )}
      {address !== undefined && (
        <View className="items-start gap-2" role="status">
          <Words weight={700} className="break-all">
            {address}
          </Words>
          <QrCode text={address} label="The address as a code to scan" size={180} />
          <SmallKey
            words="Send the address"
            onPress={() => void sendWords(paper.title, address).then((sent) => setSaid(SENT_WORDS[sent] || undefined))}
          />
          {known?.reachedAt.length === 0 && (
            <Words tone="ink-2">
              Only this machine reaches Hoddle now: other devices see the page once it is started with HOST=0.0.0.0.
            </Words>
          )}
        </View>
      )}
      <RowLink href="/bench/open" className="min-h-[48px] justify-center">
        <Words weight={700} tone="cobalt">
          What is open now
        </Words>
      </RowLink>
    </Plate>
  );
}
