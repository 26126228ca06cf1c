import { useState } from 'react';
import { View } from 'react-native';
import { askTo } from '@/store/api';
import { Key } from '@/ui/Key';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';

/** The household's passphrase: without one the server listens to no other device. */
export function PassphrasePart({ hasOne, onSet }: { hasOne: boolean; onSet: () => void }) {
  const [typed, setTyped] = useState('');
  const [said, setSaid] = useState<string>();
  const set = async () => {
    const reply = await askTo('PUT', '/passphrase', { passphrase: typed });
    if (reply.kind !== 'done')
      return setSaid(reply.kind === 'refused' ? reply.message : `${reply.message} It is as it was.`);
    setTyped('');
    setSaid('It is set.');
    onSet();
  };
  return (
    <View className="gap-2">
      <Heading>{hasOne ? 'Another passphrase' : 'A passphrase first'}</Heading>
      <Words tone="ink-2">
        {hasOne
          ? 'Who knows it can come in as an owner from any device. Devices that are in stay in.'
          : 'Hoddle only listens to other devices once there is one. Four or five words are easy to keep.'}
      </Words>
      <TextField label="Passphrase, 12 characters or more" value={typed} onChange={setTyped} secret />
      <Key look="outline" words="Set the passphrase" disabled={typed.length < 12} onPress={() => void set()} />
      {said !== undefined && <Words role="status">{said}</Words>}
    </View>
  );
}
