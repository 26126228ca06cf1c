import { inZone } from '@/store/householdZone';
import { BackupsReply } from '@hoddle/contract/backup';
import { Health } from '@hoddle/contract/health';
import { format } from 'date-fns/format';
import { formatDistanceStrict } from 'date-fns/formatDistanceStrict';
import { useCallback, useEffect, useState } from 'react';
import { View } from 'react-native';
import * as v from 'valibot';
import { ask, askTo } from '@/store/api';
import { Key } from '@/ui/Key';
import { SmallKey } from '@/ui/SmallKey';
import { Heading, Words } from '@/ui/Words';
import { DamagePart } from './DamagePart';

const SHOWN = 6;

interface BackupsPartProps {
  busy: boolean;
  /** Puts one of them in the place of all there is. */
  onBringBack: (name: string) => void;
  /** Goes on without what is damaged. */
  onGoOn: () => void;
}

/** Backups that are taken by themselves: how old the newest is, what was written since, and the way back to one of them. */
export function BackupsPart({ busy, onBringBack, onGoOn }: BackupsPartProps) {
  const [told, setTold] = useState<{ backups: BackupsReply; health: Health | undefined }>();
  const [asked, setAsked] = useState<string>();
  const [said, setSaid] = useState<string>();
  const look = useCallback(async () => {
    const backups = v.safeParse(BackupsReply, await ask('/backups'));
    const health = v.safeParse(Health, await ask('/health', [200, 503]));
    if (backups.success) setTold({ backups: backups.output, health: health.success ? health.output : undefined });
  }, []);
  useEffect(() => {
    void Promise.resolve().then(look);
  }, [look]);
  const take = async () => {
    const reply = await askTo('POST', '/backups');
    setSaid(
      reply.kind === 'done'
        ? 'Taken, and read back.'
        : reply.kind === 'refused'
          ? reply.message
          : 'The server does not answer.',
    );
    await look();
  };
  if (!told) return null;
  const { backups, folder, trouble, writesSince } = told.backups;
  const [newest] = backups;
  return (
    <View className="gap-2">
      <Heading>Taken every night, by itself</Heading>
      {told.health && <DamagePart health={told.health} busy={busy} onGoOn={onGoOn} />}
      <Words>
        {newest
          ? `The newest is ${ageOf(newest.at)} old${writesSince ? `; ${writesSince} things were written down since` : ''}.`
          : 'None yet: the first is taken within minutes, then every night.'}{' '}
        Read back each time; 7 days, 5 weeks and 12 months stay.
      </Words>
      <Words size="small" tone="ink-2">
        In {folder} on the kitchen’s machine. Copy it to another one now and then.
      </Words>
      {trouble !== null && (
        <Words role="alert" weight={700}>
          The last one could not be taken: {trouble}
        </Words>
      )}
      <View role="list" aria-label="Backups">
        {backups.slice(0, SHOWN).map(({ name, at, bytes }) => (
          <View key={name} role="listitem" className="gap-2 border-b border-hair py-2">
            <View className="flex-row items-center gap-3">
              <View className="flex-1">
                <Words weight={700}>{format(inZone(at), 'EEEE, d MMMM, h:mm aaa')}</Words>
                <Words size="small" tone="ink-2">
                  {Math.max(1, Math.round(bytes / 1_024))} kB
                </Words>
              </View>
              {asked !== name && (
                <SmallKey
                  words="Bring back"
                  label={`Bring back ${format(inZone(at), 'd MMMM, h:mm aaa')}`}
                  onPress={() => setAsked(name)}
                />
              )}
            </View>
            {asked === name && (
              <View role="alert" className="gap-2">
                <Words weight={700}>
                  Everything becomes as it was then. What is here now is copied beside the backups first.
                </Words>
                <Key
                  words={busy ? 'Bringing it back' : 'Bring it back'}
                  disabled={busy}
                  onPress={() => onBringBack(name)}
                />
                <Key look="quiet" words="Leave it" onPress={() => setAsked(undefined)} />
              </View>
            )}
          </View>
        ))}
      </View>
      <Key look="outline" words="Take one now" onPress={() => void take()} />
      {said !== undefined && <Words role="status">{said}</Words>}
    </View>
  );
}

/** A backup is taken by the machine's own clock, whatever day a demo lives in. */
function ageOf(at: number): string {
  return formatDistanceStrict(at, Math.max(at, Date.now()));
}
