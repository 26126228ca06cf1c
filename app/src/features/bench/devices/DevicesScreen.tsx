import { View } from 'react-native';
import { askTo } from '@/store/api';
import { useHouseholdStore } from '@/store/householdStore';
import { Key } from '@/ui/Key';
import { RowLink } from '@/ui/RowLink';
import { Screen } from '@/ui/Screen';
import { Heading, Words } from '@/ui/Words';
import { DeviceRow } from './DeviceRow';
import { LetInPart } from './LetInPart';
import { PassphrasePart } from './PassphrasePart';
import { ROLE_WORDS } from './roleWords';
import { TrustPart } from './TrustPart';
import { useDevices } from '@/household/access/useDevices';

/** Who comes in: devices that were let in, a code for the next one, the passphrase, and the certificate. */
export function DevicesScreen() {
  const sync = useHouseholdStore((store) => store.sync);
  const { known, look } = useDevices();
  const shutOut = async (id: string) => {
    await askTo('DELETE', `/devices/${id}`);
    await look();
  };
  return (
    <Screen station="bench" title="Who comes in" backTo="/bench">
      <View className="max-w-[640px] gap-6">
        {!known && <Words>Only the server knows. It does not answer.</Words>}
        {known && (
          <Words>
            {known.me.name === null ? 'This is the kitchen’s own machine.' : `This device is ${known.me.name}.`}{' '}
            {ROLE_WORDS[known.me.role].words}: {ROLE_WORDS[known.me.role].note.toLowerCase()}
          </Words>
        )}
        {known?.devices && <Owners devices={known.devices} look={look} shutOut={shutOut} />}
        <RowLink href="/bench/open" className="min-h-[48px] justify-center">
          <Words weight={700} tone="cobalt">
            Pages and calendars that are open without a key
          </Words>
        </RowLink>
        {known && known.me.name !== null && (
          <Key look="outline" words="This device goes" onPress={() => void askTo('DELETE', '/me').then(sync)} />
        )}
      </View>
    </Screen>
  );
}

interface OwnersProps {
  devices: NonNullable<NonNullable<ReturnType<typeof useDevices>['known']>['devices']>;
  look: () => Promise<void>;
  shutOut: (id: string) => Promise<void>;
}

function Owners({ devices: { devices, hasPassphrase, addresses, authority }, look, shutOut }: OwnersProps) {
  const isReachable = addresses.length > 0;
  return (
    <>
      {isReachable ? (
        <LetInPart onPaired={() => void look()} />
      ) : (
        <Words>
          Only this machine reaches Hoddle now. {hasPassphrase ? 'Start' : 'Set a passphrase, then start'} it with
          HOST=0.0.0.0 and HODDLE_TLS=auto, and phones of the home network can be let in.
        </Words>
      )}
      {devices.length > 0 && (
        <View role="list" aria-label="Devices">
          <Heading>Devices</Heading>
          {[...devices]
            .sort((a, b) => Number(a.revokedAt !== null) - Number(b.revokedAt !== null) || a.pairedAt - b.pairedAt)
            .map((device) => (
              <DeviceRow key={device.id} device={device} onShutOut={() => void shutOut(device.id)} />
            ))}
        </View>
      )}
      <PassphrasePart hasOne={hasPassphrase} onSet={() => void look()} />
      <TrustPart addresses={addresses} authority={authority} />
    </>
  );
}
