import { View } from 'react-native';
import { useHouseholdStore } from '@/store/householdStore';
import { isInProcess } from '@/store/inProcess';
import { answerInstall } from '@/store/shell/installOffer';
import { takeShell, useShellStore } from '@/store/shell/shellUpdate';
import { useNow } from '@/store/useHousehold';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Heading, Words } from '@/ui/Words';

/** A newer Hoddle to take, or Hoddle to be put on this device: never while a load is in a canner, and each said once. */
export function ShellPart() {
  const { isReady, offer } = useShellStore();
  const now = useNow(60_000);
  const state = useHouseholdStore((store) => store.state);
  if (!state || (!isReady && !offer) || isInProcess(state, now)) return null;
  if (isReady) {
    return (
      <View className="px-4 pb-3">
        <Plate className="gap-3">
          <Heading>A newer Hoddle is here</Heading>
          <Words>It opens anew on this device. Nothing that was entered is lost.</Words>
          <Key look="outline" words="Take it" onPress={takeShell} />
        </Plate>
      </View>
    );
  }
  // It helps once there is something to look up in the cellar.
  if (state.picks.length + state.lots.length + state.batches.length === 0) return null;
  return (
    <View className="px-4 pb-3">
      <Plate className="gap-3">
        <Heading>In the cellar there is no signal</Heading>
        <Words>Put Hoddle among the apps of this device: it opens there too, and what you enter is sent later.</Words>
        <View className="flex-row gap-3">
          <Key
            className="flex-1"
            look="outline"
            words="Put it there"
            onPress={() => void offer?.().then(answerInstall, answerInstall)}
          />
          <Key className="flex-1" look="quiet" words="No" onPress={answerInstall} />
        </View>
      </Plate>
    </View>
  );
}
