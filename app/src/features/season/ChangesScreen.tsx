import { type SeasonReport } from '@hoddle/core/season/report/seasonReport';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { Heading, Words } from '@/ui/Words';
import { changeWords } from '@/household/season/seasonWords';
import { useSeason } from './useSeason';

const KIND_WORDS = { new: 'New', gone: 'Gone', moved: 'Moved', more: 'More', fewer: 'Fewer' } as const;

/** What a new plan does otherwise than the one gone by: taken as a whole, or left. */
export function ChangesScreen() {
  const router = useRouter();
  const { plan, pins, planning, changes, take, leave } = useSeason();
  const report = planning?.report;
  const back = () => router.navigate('/plan/season');
  if (!plan || !report || !changes) {
    return (
      <Screen station="plan" title="Changes" backTo="/plan/season">
        <Words>No new plan waits.</Words>
      </Screen>
    );
  }
  return (
    <Screen
      station="plan"
      title={changes.length === 1 ? '1 change' : `${changes.length} changes`}
      note={totals(plan, report)}
      backTo="/plan/season"
      foot={
        <View className="gap-2">
          <Key
            tall
            words="Take the new plan"
            onPress={() => {
              take(report);
              back();
            }}
          />
          <Key
            look="outline"
            words="Leave the plan as it is"
            onPress={() => {
              leave();
              back();
            }}
          />
        </View>
      }
    >
      <View role="list" className="max-w-[640px]">
        {changes.length === 0 && <Words>The new plan is the plan you have.</Words>}
        {changes.map((change) => {
          const { head, note } = changeWords(change, pins);
          return (
            <View
              role="listitem"
              key={`${change.kind} ${change.day} ${change.batch.recipe}`}
              className="min-h-[56px] flex-row items-center gap-3 border-t border-hair py-2"
            >
              <View className="w-[64px]">
                <Words weight={800}>{KIND_WORDS[change.kind]}</Words>
              </View>
              <View className="flex-1">
                <Heading level={3} size="body">
                  {head}
                </Heading>
                <Words size="label" tone="ink-2">
                  {note}
                </Words>
              </View>
            </View>
          );
        })}
      </View>
    </Screen>
  );
}

function totals(before: SeasonReport, after: SeasonReport): string {
  return `${before.jars} jars before, ${after.jars} now; ${Math.round(before.hours)} h of hands before, ${Math.round(after.hours)} h now`;
}
