import '../global.css';
import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_500Medium } from '@expo-google-fonts/atkinson-hyperlegible-next/500Medium';
import { AtkinsonHyperlegibleNext_600SemiBold } from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold';
import { AtkinsonHyperlegibleNext_700Bold } from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold';
import { AtkinsonHyperlegibleNext_800ExtraBold } from '@expo-google-fonts/atkinson-hyperlegible-next/800ExtraBold';
import { useFonts } from 'expo-font';
import { Slot, usePathname } from 'expo-router';
import Head from 'expo-router/head';
import { View } from 'react-native';
import { AlarmWatch } from '@/features/kitchen/AlarmWatch';
import { useHouseholdStore } from '@/store/householdStore';
import { layRecipesOfStore } from '@/store/ownRecipes';
import { useSync } from '@/store/useSync';
import { Key } from '@/ui/Key';
import { ScreenBoundary } from '@/ui/ScreenBoundary';
import { Words } from '@/ui/Words';

layRecipesOfStore();

/** The font, the household, then whatever screen the address names. */
export default function RootLayout() {
  const [fontsReady] = useFonts({
    Atkinson400: AtkinsonHyperlegibleNext_400Regular,
    Atkinson500: AtkinsonHyperlegibleNext_500Medium,
    Atkinson600: AtkinsonHyperlegibleNext_600SemiBold,
    Atkinson700: AtkinsonHyperlegibleNext_700Bold,
    Atkinson800: AtkinsonHyperlegibleNext_800ExtraBold,
  });
  useSync();
  const path = usePathname();
  const hasState = useHouseholdStore((store) => store.state !== undefined);
  const noSignal = useHouseholdStore((store) => store.noSignalSince !== undefined);
  return (
    <>
      <Head>
        <title>Hoddle</title>
      </Head>
      {fontsReady && hasState ? (
        <>
          <AlarmWatch />
          <ScreenBoundary key={path}>
            <Slot />
          </ScreenBoundary>
        </>
      ) : (
        <Waiting noSignal={noSignal} />
      )}
    </>
  );
}

function Waiting({ noSignal }: { noSignal: boolean }) {
  const sync = useHouseholdStore((store) => store.sync);
  return (
    <View className="flex-1 items-center justify-center gap-4 bg-ground p-6">
      {noSignal && (
        <>
          <Words size="lead" weight={700}>
            The server does not answer.
          </Words>
          <Key words="Try now" onPress={() => void sync()} />
        </>
      )}
    </View>
  );
}
