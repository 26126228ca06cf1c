import { create } from 'zustand';
import { hearTabs, tellTabs } from '../outbox/tabs';

interface ShellStore {
  /** A newer Hoddle lies ready in this browser, and waits to be taken. */
  isReady: boolean;
  /** Hoddle can be put on this device, and the browser asks for it when told to. */
  offer: (() => Promise<void>) | undefined;
}

/** The app as this browser holds it, to be opened without signal. */
export const useShellStore = create<ShellStore>()(() => ({ isReady: false, offer: undefined }));

let registration: ServiceWorkerRegistration | undefined;

const HOUR_MS = 60 * 60_000;

/**
 * Keeps the app itself in this browser, so that it opens without signal. A newer one is fetched beside it and waits: it is
 * taken when somebody says so, or when all tabs were closed.
 */
export async function keepShell(): Promise<void> {
  // Browsers keep a page only when it came over https or from this machine.
  if (typeof navigator === 'undefined' || !('serviceWorker' in navigator)) return;
  let isKept = navigator.serviceWorker.controller !== null;
  navigator.serviceWorker.addEventListener('controllerchange', () => {
    // The first worker comes beside the page that fetched it: that page is new.
    if (isKept) window.location.reload();
    isKept = true;
  });
  hearTabs((news) => news === 'update' && void look());
  registration = await navigator.serviceWorker.register('/sw.js', { updateViaCache: 'none' }).catch(() => undefined);
  if (!registration) return;
  watch(registration);
  registration.addEventListener('updatefound', () => registration && watch(registration));
  setInterval(() => void look(), HOUR_MS);
}

function watch({ waiting, installing }: ServiceWorkerRegistration): void {
  if (waiting && navigator.serviceWorker.controller) useShellStore.setState({ isReady: true });
  installing?.addEventListener('statechange', () => registration && watch(registration));
}

/** Looks whether the server has a newer app; without signal it is as it was. */
export async function look(): Promise<void> {
  await registration?.update().catch(() => undefined);
}

/** Takes the newer app: every tab opens anew with it. */
export function takeShell(): void {
  tellTabs('update');
  registration?.waiting?.postMessage({ type: 'SKIP_WAITING' });
}
