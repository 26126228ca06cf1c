import { CALENDAR_PARTS, type CalendarPart } from '@hoddle/core/formats/calendar/calendarPart';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { saveFrom } from '@/household/paper/files';
import { askTo } from '@/store/api';
import { CheckRow } from '@/ui/CheckRow';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { SmallKey } from '@/ui/SmallKey';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';
import { AddressList } from './OpenAddressesScreen';
import { addressOf, newKey, openAddress, useOpenAddresses } from './openAddress';
import { SENT_WORDS, sendWords } from '@/household/paper/sendWords';

const PART_WORDS: Readonly<Record<CalendarPart, { words: string; note: string }>> = {
  days: { words: 'Preserving days', note: 'the evening before and an hour before it calls' },
  steps: { words: 'Their steps', note: 'each calls when it begins' },
  calls: { words: 'Stir and skim', note: 'what wants a hand within a wait' },
  jars: { words: 'Eat by and best by', note: 'in the cold it calls the day before' },
};

/** The household's days and jars in any calendar: as a file, or by an address that the calendar follows. */
export function CalendarScreen() {
  const { known, look } = useOpenAddresses();
  const [parts, setParts] = useState<readonly CalendarPart[]>(['days', 'jars']);
  const [name, setName] = useState('');
  const [address, setAddress] = useState<string>();
  const [said, setSaid] = useState<string>();
  const flip = (part: CalendarPart) =>
    setParts(CALENDAR_PARTS.filter((each) => (each === part) !== parts.includes(each)));
  const open = async () => {
    const key = newKey();
    const content = { kind: 'calendar' as const, parts: [...parts] };
    const why = await openAddress({ id: uuidV7(), name: name.trim() || 'Calendar', key, until: null, content });
    setSaid(why);
    if (why !== undefined) return;
    setAddress(addressOf(key, '.ics', known?.reachedAt ?? []));
    setName('');
    await look();
  };
  const calendars = (known?.addresses ?? []).filter(({ kind }) => kind === 'calendar');
  return (
    <Screen station="plan" title="In your calendar" backTo="/plan">
      <View className="max-w-[640px] gap-5">
        <View className="gap-2">
          <Heading>What it tells</Heading>
          {CALENDAR_PARTS.map((part) => (
            <CheckRow key={part} {...PART_WORDS[part]} checked={parts.includes(part)} onPress={() => flip(part)} />
          ))}
        </View>
        <Plate className="gap-3">
          <Heading>An address to follow</Heading>
          <Words tone="ink-2">
            One for each device: its calendar looks again by itself, what moves moves there too, and it can be taken
            back alone. Whoever has the address reads along.
          </Words>
          <TextField label="For which device" value={name} onChange={setName} />
          <Key words="Make an address" disabled={parts.length === 0} onPress={() => void open()} />
          {said !== undefined && (
            <Words role="alert" weight={700}>
              {said}
            </Words>
          )}
          {address !== undefined && (
            <View role="status" className="gap-2">
              <Words weight={700} className="break-all">
                {address}
              </Words>
              <Words tone="ink-2">
                Put it into the calendar as a calendar to subscribe to. It is shown this once.
                {known?.reachedAt.length === 0 &&
                  ' Only this machine reaches Hoddle now: others follow once it is started with HOST=0.0.0.0.'}
              </Words>
              <SmallKey
                words="Send the address"
                onPress={() =>
                  void sendWords('Calendar', address).then((sent) => setSaid(SENT_WORDS[sent] || undefined))
                }
              />
            </View>
          )}
        </Plate>
        <Key
          look="outline"
          words="As a file, once (.ics)"
          disabled={parts.length === 0}
          onPress={() => saveFrom(`/api/calendar?parts=${parts.join(',')}`, 'hoddle.ics')}
        />
        <AddressList
          addresses={calendars}
          onTakeBack={(id) => void askTo('DELETE', `/open-addresses/${id}`).then(look)}
        />
      </View>
    </Screen>
  );
}
