import { usePathname, useRouter } from 'expo-router';
import { Pressable, View } from 'react-native';
import { type Speed, setRehearsalClock, useRehearsalClock } from '@/store/rehearsalClock';
import { useHousehold } from '@/store/useHousehold';
import { clockTime } from '@/ui/clockWords';
import { SmallKey } from '@/ui/SmallKey';
import { Words } from '@/ui/Words';
import { endRehearsal, isInEarnest, useRehearsalStore } from './rehearsalStore';
import { sightWords } from './sightWords';
import { keyOf, useRehearsal } from './useRehearsal';
import { useShowingCook } from './useShowingCook';

const SPEEDS: readonly Speed[] = [1, 10, 60];

/** Over every screen of a rehearsal: that it is one, what time it is in it, what is to be seen, and the way out. */
export default function RehearsalBand() {
  const { clock } = useRehearsalClock();
  const { running } = useRehearsalStore();
  return clock && running ? <Band /> : null;
}

function Band() {
  const router = useRouter();
  const path = usePathname();
  const { clock } = useRehearsalClock();
  const { running, isShown } = useRehearsalStore();
  const { canners } = useHousehold().household;
  const rehearsal = useRehearsal();
  const { day, now, sights, isOver, debrief, onToNext } = rehearsal;
  useShowingCook(isShown && !isOver, rehearsal);
  const nameOf = (id: string) => canners.find((canner) => canner.id === id)?.name ?? 'canner';
  const end = () => {
    endRehearsal(debrief());
    router.navigate('/plan/rehearse');
  };
  // How much came is seen at the measure.
  const shown = sights.filter(
    (sight) => sight.kind !== 'mishap' || sight.mishap.kind !== 'yield-short' || path.startsWith('/kitchen/measure'),
  );
  return (
    <View
      role="region"
      aria-label="Rehearsal"
      className="no-print gap-1 border-b-[3px] border-cobalt bg-cobalt-wash px-3 py-2"
    >
      <View className="flex-row flex-wrap items-center gap-2">
        <Words weight={800} tone="cobalt" className="flex-1">
          Rehearsal, {clockTime(now)}: {running?.title}
        </Words>
        <View role="radiogroup" aria-label="How fast" className="flex-row">
          {SPEEDS.map((speed) => (
            <SpeedChip
              key={speed}
              words={`${speed}x`}
              label={speed === 1 ? 'As fast as in earnest' : `${speed} times as fast`}
              chosen={clock?.speed === speed}
              onPress={() => setRehearsalClock({ speed })}
            />
          ))}
        </View>
      </View>
      {isInEarnest() && (
        <Words role="alert" weight={800}>
          In earnest a load is in its canner now. End this: its calls are not heard here.
        </Words>
      )}
      {day &&
        shown.slice(0, 4).map((sight) => (
          <Words key={keyOf(sight)} role="status" weight={600}>
            {sightWords(sight, day, nameOf)}
          </Words>
        ))}
      <View className="flex-row flex-wrap gap-2">
        <SmallKey
          words={clock?.isPaused ? 'Go on' : 'Stand still'}
          onPress={() => setRehearsalClock({ isPaused: !clock?.isPaused })}
        />
        {day?.live && !isOver && <SmallKey words="On to the next" onPress={onToNext} />}
        {day?.live && !isOver && (
          <SmallKey
            words={isShown ? 'I do it' : 'Show me'}
            onPress={() => useRehearsalStore.setState({ isShown: !isShown })}
          />
        )}
        <SmallKey words={isOver ? 'What was learned' : 'End it'} onPress={end} />
      </View>
    </View>
  );
}

function SpeedChip({
  words,
  label,
  chosen,
  onPress,
}: {
  words: string;
  label: string;
  chosen: boolean;
  onPress: () => void;
}) {
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      aria-label={label}
      onPress={onPress}
      className="min-h-[48px] min-w-[48px] items-center justify-center rounded-key"
      style={chosen ? { boxShadow: 'inset 0 0 0 3px #1D3F8F' } : undefined}
    >
      <Words weight={chosen ? 800 : 500} tone="cobalt">
        {words}
      </Words>
    </Pressable>
  );
}
