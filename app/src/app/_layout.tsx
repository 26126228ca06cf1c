import '@/fonts.css';
import '@/global.css';
import { Slot, usePathname } from 'expo-router';
import Head from 'expo-router/head';
import { lazy, Suspense, useEffect } from 'react';
import { View } from 'react-native';
import { AlarmWatch } from '@/features/kitchen/AlarmWatch';
import { ScreenFailed } from '@/features/signal/ScreenFailed';
import { mayRehearse } from '@/features/rehearsal/mayRehearse';
import { NotInRehearsal } from '@/features/rehearsal/NotInRehearsal';
import { failureWords } from '@/store/api';
import { useHouseholdStore } from '@/store/householdStore';
import { layRecipesOfStore } from '@/store/ownRecipes';
import { watchForInstall } from '@/store/shell/installOffer';
import { keepShell } from '@/store/shell/shellUpdate';
import { useSync } from '@/store/useSync';
import { Key } from '@/ui/Key';
import { ScreenBoundary } from '@/ui/ScreenBoundary';
import { Words } from '@/ui/Words';

layRecipesOfStore();
watchForInstall();

/** Fetched when something is rehearsed: most days nothing is. */
const RehearsalBand = lazy(() => import('@/features/rehearsal/RehearsalBand'));

/** The household, then whatever screen the address names. */
export default function RootLayout() {
  useSync();
  const path = usePathname();
  const hasState = useHouseholdStore((store) => store.state !== undefined);
  const isRehearsed = useHouseholdStore((store) => store.rehearsed !== undefined);
  const isElsewhere = isRehearsed && !mayRehearse(path);
  // What is seen comes first: the app is kept for later once it stands.
  useEffect(() => {
    if (hasState) void keepShell();
  }, [hasState]);
  return (
    <>
      <Head>
        <title>Hoddle</title>
      </Head>
      {hasState ? (
        <>
          {isRehearsed && (
            <Suspense fallback={null}>
              <RehearsalBand />
            </Suspense>
          )}
          <AlarmWatch />
          <ScreenBoundary key={path}>
            {isElsewhere && <NotInRehearsal />}
            {/* Without its slot the router forgets where it is: what may not be touched stands behind. */}
            <View className={isElsewhere ? 'hidden' : 'flex-1'}>
              <Slot unstable_screenErrorBoundary={ScreenFailed} />
            </View>
          </ScreenBoundary>
        </>
      ) : (
        <Waiting />
      )}
    </>
  );
}

function Waiting() {
  const sync = useHouseholdStore((store) => store.sync);
  const signal = useHouseholdStore((store) => store.signal);
  return (
    <View className="flex-1 items-center justify-center gap-4 bg-ground p-6">
      {signal.kind !== 'good' && (
        <>
          <Words role="alert" size="lead" weight={700}>
            {failureWords(signal)}
          </Words>
          <Words className="max-w-[420px] text-center">
            This device knows nothing of the household yet. Once it has heard the server it works without signal, too.
          </Words>
          <Key words="Try now" onPress={() => void sync()} />
        </>
      )}
    </View>
  );
}
