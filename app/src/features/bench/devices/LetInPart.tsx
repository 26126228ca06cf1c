import { PairingCode, type Role, ROLES } from '@hoddle/contract/device';
import { useState } from 'react';
import { View } from 'react-native';
import * as v from 'valibot';
import { askTo } from '@/store/api';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { RadioRow } from '@/ui/RadioRow';
import { Heading, Words } from '@/ui/Words';
import { QrCode } from '@/household/access/QrCode';
import { ROLE_WORDS } from './roleWords';

/** A code that lets one device in: what it may do, then the code to scan or to type. */
export function LetInPart({ onPaired }: { onPaired: () => void }) {
  const [role, setRole] = useState<Role>('cook');
  const [open, setOpen] = useState<PairingCode>();
  const [said, setSaid] = useState<string>();
  const show = async () => {
    const reply = await askTo('POST', '/pairing-codes', { role });
    const told = reply.kind === 'done' ? v.safeParse(PairingCode, reply.body) : undefined;
    if (told?.success) setOpen(told.output);
    setSaid(reply.kind === 'done' ? undefined : reply.message);
  };
  if (open) {
    const [first] = open.addresses;
    const typed = `${open.code.slice(0, 4)} ${open.code.slice(4)}`;
    return (
      <Plate className="items-center gap-3">
        <Heading>{ROLE_WORDS[role].words}: scan it with the new device</Heading>
        {first && <QrCode text={`${first}/pair#${open.code}`} label={`Code to let a device in: ${typed}`} />}
        <Words size="figure" weight={800}>
          {typed}
        </Words>
        <Words className="text-center">
          {first ? `Or open ${open.addresses.join(' or ')} there and type it. ` : ''}
          For one device, for five minutes.
        </Words>
        <Key
          words="Done"
          onPress={() => {
            setOpen(undefined);
            onPaired();
          }}
        />
      </Plate>
    );
  }
  return (
    <Plate className="gap-3">
      <Heading>Let a device in</Heading>
      <View role="radiogroup" aria-label="What it may do" className="gap-2">
        {[...ROLES]
          .sort((a, b) => ORDER.indexOf(a) - ORDER.indexOf(b))
          .map((each) => (
            <RadioRow
              key={each}
              words={ROLE_WORDS[each].words}
              note={ROLE_WORDS[each].note}
              chosen={role === each}
              onPress={() => setRole(each)}
            />
          ))}
      </View>
      <Key words="Show a code" onPress={() => void show()} />
      {said !== undefined && (
        <Words role="alert" weight={700}>
          {said}
        </Words>
      )}
    </Plate>
  );
}

/** What most are let in as comes first. */
const ORDER: readonly Role[] = ['cook', 'looker', 'instrument', 'owner'];
