import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import { useRouter } from 'expo-router';
import { type ReactNode } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { DemoClock } from '@/household/signal/DemoClock';
import { SignalLine } from '@/household/signal/SignalLine';
import { COLOURS } from './colours';
import { ScreenBoundary } from './ScreenBoundary';
import { StationBar, useIsWide } from './StationBar';
import { type Station } from './StationIcon';
import { Heading, Words } from './Words';

interface ScreenProps {
  station: Station;
  title: string;
  note?: string;
  /** Where the way back leads; none on a station's first screen. */
  backTo?: '/' | '/harvest' | '/plan' | '/shelf' | '/bench' | (string & {});
  /** Stays at the bottom, above the stations: what can be done next. */
  foot?: ReactNode;
  /** Fills the width: drawings that run from edge to edge. */
  bleed?: boolean;
  /** Entries done in one go cover the stations. */
  withoutStations?: boolean;
  headSide?: ReactNode;
  /** Its content scrolls by itself: a long list draws only what is seen. */
  ownScroll?: boolean;
  children: ReactNode;
}

/** The frame of every light screen: heading, content that scrolls, what is next, the stations. */
export function Screen({
  station,
  title,
  note,
  backTo,
  foot,
  bleed,
  withoutStations,
  headSide,
  ownScroll,
  children,
}: ScreenProps) {
  const wide = useIsWide();
  const stations = !withoutStations || wide;
  return (
    <View className={`flex-1 bg-ground ${wide ? 'flex-row' : ''}`}>
      {wide && <StationBar at={station} />}
      <View className="flex-1" role="main">
        <View className="no-print">
          <DemoClock />
          <SignalLine />
        </View>
        <View
          className={`flex-row items-center gap-1 pb-2 pt-3 ${wide ? 'pr-8' : 'pr-4'} ${backTo ? (wide ? 'pl-4' : 'pl-1') : wide ? 'pl-8' : 'pl-4'}`}
        >
          {backTo && <BackKey to={backTo} />}
          <View className="flex-1">
            <Heading level={1} size={backTo ? 'head' : 'title'}>
              {title}
            </Heading>
            {note !== undefined && (
              <Words size="label" tone="ink-2">
                {note}
              </Words>
            )}
          </View>
          {headSide}
        </View>
        {ownScroll ? (
          <View className="flex-1">
            <ScreenBoundary>{children}</ScreenBoundary>
          </View>
        ) : (
          <ScrollView className="flex-1" contentContainerClassName={`${bleed ? '' : wide ? 'px-8' : 'px-4'} pb-6`}>
            <ScreenBoundary>{children}</ScreenBoundary>
          </ScrollView>
        )}
        {foot && (
          <View
            className={`no-print bg-plate pb-4 pt-3 ${wide ? 'px-8' : 'px-4'}`}
            style={{ boxShadow: 'inset 0 2px 0 #1D3F8F', borderTopLeftRadius: 14, borderTopRightRadius: 14 }}
          >
            <View className={wide ? 'w-full max-w-[560px]' : ''}>{foot}</View>
          </View>
        )}
      </View>
      {!wide && stations && <StationBar at={station} />}
    </View>
  );
}

function BackKey({ to }: { to: string }) {
  const router = useRouter();
  return (
    <Pressable
      role="button"
      aria-label="Back"
      onPress={() => router.navigate(to)}
      className="no-print h-[48px] w-[48px] items-center justify-center"
    >
      <ChevronLeft size={32} strokeWidth={2.6} color={COLOURS.cobalt} />
    </Pressable>
  );
}
