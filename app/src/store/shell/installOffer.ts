import { useShellStore } from './shellUpdate';

/** What a browser says when a page may be put on its device. */
interface InstallPrompt extends Event {
  prompt(): Promise<unknown>;
}

const ASKED = 'hoddle-install-asked';

/** Waits for the browser to say that Hoddle can be put on this device; asked once, never again. */
export function watchForInstall(): void {
  if (typeof window === 'undefined' || wasAsked()) return;
  window.addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault();
    useShellStore.setState({ offer: () => (event as InstallPrompt).prompt().then(() => undefined) });
  });
  window.addEventListener('appinstalled', answerInstall);
}

/** It was answered, one way or the other. */
export function answerInstall(): void {
  useShellStore.setState({ offer: undefined });
  try {
    localStorage.setItem(ASKED, 'yes');
  } catch {
    // A browser that keeps nothing asks again: it cannot know better.
  }
}

function wasAsked(): boolean {
  try {
    return localStorage.getItem(ASKED) !== null;
  } catch {
    return false;
  }
}
