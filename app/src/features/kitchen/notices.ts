/** Whether notices may be shown, must be asked for, or cannot be. */
export function noticesAre(): 'allowed' | 'asked' | 'not' {
  if (typeof Notification === 'undefined' || Notification.permission === 'denied') return 'not';
  return Notification.permission === 'granted' ? 'allowed' : 'asked';
}

/** Asks for leave to show notices; to be called from a touch. */
export async function askForNotices(): Promise<void> {
  if (noticesAre() === 'asked') await Notification.requestPermission();
}

/** A notice over whatever is open, one for each call. */
export function notice(id: string, words: string): void {
  if (noticesAre() !== 'allowed') return;
  try {
    new Notification(words, { tag: id, requireInteraction: true });
  } catch {
    // Some phones show notices only through an installed page: sound and band are there all the same.
  }
}
