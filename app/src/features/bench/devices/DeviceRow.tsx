import { inZone } from '@/store/householdZone';
import { type Device } from '@hoddle/contract/device';
import { format } from 'date-fns/format';
import { useState } from 'react';
import { View } from 'react-native';
import { SmallKey } from '@/ui/SmallKey';
import { Words } from '@/ui/Words';
import { ROLE_WORDS } from './roleWords';

const day = (at: number) => format(inZone(at), 'd MMM yyyy');

/** A device that was let in, with the key that shuts it out; asked once more, because it cannot be undone. */
export function DeviceRow({ device, onShutOut }: { device: Device; onShutOut: () => void }) {
  const [asked, setAsked] = useState(false);
  const { name, role, pairedAt, seenAt, revokedAt } = device;
  return (
    <View role="listitem" className="gap-2 border-b border-hair py-2">
      <View className="flex-row items-center gap-3">
        <View className="flex-1">
          <Words weight={700}>{name}</Words>
          <Words size="small" tone="ink-2">
            {ROLE_WORDS[role].words}, let in {day(pairedAt)}
            {seenAt !== null && `, last seen ${day(seenAt)}`}
            {revokedAt !== null && `. Shut out ${day(revokedAt)}`}
          </Words>
        </View>
        {revokedAt === null && !asked && (
          <SmallKey words="Shut out" label={`Shut out ${name}`} onPress={() => setAsked(true)} />
        )}
      </View>
      {asked && revokedAt === null && (
        <View role="alert" className="gap-2">
          <Words>It is out at once. What waits on it to be sent stays there until it is let in again.</Words>
          <View className="flex-row gap-2">
            <SmallKey words="Shut it out" onPress={onShutOut} />
            <SmallKey words="Leave it" onPress={() => setAsked(false)} />
          </View>
        </View>
      )}
    </View>
  );
}
