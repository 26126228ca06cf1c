import { type Health } from '@hoddle/contract/health';
import { useState } from 'react';
import { View } from 'react-native';
import { Key } from '@/ui/Key';
import { Words } from '@/ui/Words';

interface DamagePartProps {
  health: Pick<Health, 'setAside' | 'writesLost' | 'file'>;
  busy: boolean;
  onGoOn: () => void;
}

/** What was found wrong with the household's file, and the two ways on. Nothing when all is well. */
export function DamagePart({ health: { setAside, writesLost, file }, busy, onGoOn }: DamagePartProps) {
  const [asked, setAsked] = useState(false);
  if (setAside === 0 && writesLost === 0 && file === 'ok') return null;
  const found = [
    ...(setAside > 0 ? [leftOut(setAside)] : []),
    ...(writesLost > 0 ? [`the last ${writesLost} writes before the start may be missing`] : []),
    ...(file === 'ok' ? [] : ['the file cannot be written now']),
  ];
  const canGoOn = file === 'ok' && setAside + writesLost > 0;
  return (
    <View role="alert" className="gap-2">
      <Words weight={700}>Look at this: {found.join('; ')}.</Words>
      <Words>
        Bring back the newest backup, and what was written down since is gone; or go on, and what is damaged is gone. No
        backup is taken until then. Either way the file as it is now is copied first.
      </Words>
      {canGoOn && !asked && <Key look="outline" words="Go on without it" onPress={() => setAsked(true)} />}
      {canGoOn && asked && (
        <>
          <Words weight={700}>
            What is left out goes for good, with what was written down of it. If it was the settings, set the altitude
            anew.
          </Words>
          <Key words={busy ? 'Going on' : 'Go on without it'} disabled={busy} onPress={onGoOn} />
          <Key look="quiet" words="Leave it" onPress={() => setAsked(false)} />
        </>
      )}
    </View>
  );
}

function leftOut(things: number): string {
  return things === 1
    ? '1 thing in the household’s file changed on the disk and is left out'
    : `${things} things in the household’s file changed on the disk and are left out`;
}
