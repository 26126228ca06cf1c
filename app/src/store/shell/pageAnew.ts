import { look, takeShell, useShellStore } from './shellUpdate';

/** No newer app came in this time: the page is opened as it is. */
const PATIENCE_MS = 8_000;

/** Opens the page anew, with the newest app the server has. */
export async function pageAnew(): Promise<void> {
  await Promise.race([look(), new Promise((later) => setTimeout(later, PATIENCE_MS))]);
  if (useShellStore.getState().isReady) return takeShell();
  window.location.reload();
}
