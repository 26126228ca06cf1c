import { type DevicesReply } from '@hoddle/contract/device';
import { View } from 'react-native';
import { Heading, Words } from '@/ui/Words';
import { QrCode } from '@/household/access/QrCode';

/** How a phone learns to trust the home's own certificate: fetch it, hold its print against this one, switch it on. */
export function TrustPart({ addresses, authority }: Pick<DevicesReply, 'addresses' | 'authority'>) {
  const [first] = addresses;
  if (!authority || first === undefined) return null;
  return (
    <View className="gap-3">
      <Heading>So that a phone trusts this kitchen</Heading>
      <Words>
        The line to it is locked with a certificate that this machine made for itself. A phone asks once whether to go
        on; with the certificate it never asks again.
      </Words>
      <View className="items-center">
        <QrCode text={`${first}${authority.path}`} label="Code that fetches the certificate" />
      </View>
      <Words>1. Scan this with the phone and let it fetch the certificate.</Words>
      <Words>2. Hold its SHA-256 print against this one. If one pair differs, throw it away.</Words>
      <Words weight={700} className="font-body">
        {authority.fingerprint.split(':').join(' ')}
      </Words>
      <Words>
        3. Put it in: on Android under security, credentials, CA certificate; on an iPhone as a profile, then switch it
        on under about, certificate trust.
      </Words>
    </View>
  );
}
