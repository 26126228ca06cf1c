import { usePathname } from 'expo-router';
import { useEffect } from 'react';
import { reportError } from '@/store/reportError';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { Broken } from '@/ui/ScreenBoundary';
import { type Station } from '@/ui/StationIcon';
import { Words } from '@/ui/Words';

const STATIONS: readonly Station[] = ['harvest', 'plan', 'shelf', 'bench'];

/** In place of a screen that broke, or whose file did not come: there is no signal, or the app is another by now. */
export function ScreenFailed({ error, retry }: { error: Error; retry: () => Promise<void> }) {
  const path = usePathname();
  const isMissing = error.name === 'AsyncRequireError';
  useEffect(() => {
    if (!isMissing) reportError(error);
  }, [error, isMissing]);
  const station = STATIONS.find((each) => path.startsWith(`/${each}`)) ?? 'today';
  return (
    <Screen station={station} title={isMissing ? 'Not on this device yet' : 'This screen broke'}>
      {isMissing ? (
        <>
          <Words>This screen comes with the next signal, and then stays. What was entered is kept.</Words>
          {/* What did not come once is only asked for again by a page that is opened anew. */}
          <Key className="mt-4" words="Try again" onPress={() => window.location.reload()} />
        </>
      ) : (
        <Broken onRetry={() => void retry()} />
      )}
    </Screen>
  );
}
