import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import { useRouter } from 'expo-router';
import { type ReactNode } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { DemoClock } from '@/household/signal/DemoClock';
import { SignalLine } from '@/household/signal/SignalLine';
import { useNow } from '@/store/useHousehold';
import { clockTime, clockTimeFrom, otherDay } from '@/ui/clockWords';
import { COLOURS } from '@/ui/colours';
import { Speckle } from '@/ui/Speckle';
import { useIsWide } from '@/ui/StationBar';
import { Words } from '@/ui/Words';
import { useStayAwake } from './useStayAwake';

interface KitchenFrameProps {
  /** What the way back is called, and where it leads. */
  back: { readonly words: string; readonly to: '/plan' | '/kitchen' };
  likelyAt?: number;
  lateAt?: number;
  /** What stands between the clock and the likely end, where there is room. */
  note?: string;
  children: ReactNode;
}

/** The dark frame of the kitchen: the time of day, when it is likely done, and what goes on, on a screen that stays awake. */
export function KitchenFrame({ back, likelyAt, lateAt, note, children }: KitchenFrameProps) {
  const router = useRouter();
  const wide = useIsWide();
  const now = useNow(5_000);
  useStayAwake();
  // Beside the clock there is room for the name of another day or for "done", not for both.
  const dayOfEnd = likelyAt === undefined || wide ? undefined : otherDay(likelyAt, now);
  return (
    <View className="kitchen flex-1 bg-granite" role="main">
      <Speckle />
      <DemoClock />
      <SignalLine />
      <View className={`flex-row items-center py-2 ${wide ? 'px-4' : 'px-2'}`}>
        <Pressable
          role="button"
          aria-label={back.words}
          onPress={() => router.navigate(back.to)}
          className="h-[72px] w-[64px] items-center justify-center"
        >
          <ChevronLeft size={40} strokeWidth={2.4} color={COLOURS.milk} />
        </Pressable>
        <Words
          role="heading"
          aria-level={1}
          aria-label={`Kitchen, ${clockTime(now)}`}
          weight={800}
          tone="milk"
          className={wide ? 'pr-8' : 'flex-1'}
          style={{ fontSize: wide ? 48 : 34, lineHeight: wide ? 54 : 40 }}
        >
          {clockTime(now)}
        </Words>
        {wide && (
          <Words size="lead" tone="milk-2" className="flex-1">
            {note ?? ''}
          </Words>
        )}
        {likelyAt !== undefined && (
          <View className={wide ? 'flex-row items-baseline gap-2 pr-4' : 'items-end pr-3'}>
            <Words size="lead" tone="milk-2">
              {dayOfEnd ? `likely ${dayOfEnd}` : 'likely done'}
            </Words>
            <Words size="head" weight={800} tone="milk">
              {dayOfEnd ? clockTime(likelyAt) : clockTimeFrom(likelyAt, now)}
            </Words>
            {wide && lateAt !== undefined && (
              <Words size="lead" tone="milk-2">
                9 in 10 by{' '}
                <Words size="head" weight={800} tone="milk">
                  {clockTimeFrom(lateAt, now)}
                </Words>
              </Words>
            )}
          </View>
        )}
      </View>
      <ScrollView className="flex-1">{children}</ScrollView>
    </View>
  );
}
