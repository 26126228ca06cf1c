/** What became of words that were to go somewhere. */
export type Sent = 'shared' | 'copied' | 'left' | 'failed';

export const SENT_WORDS: Readonly<Record<Sent, string>> = {
  shared: 'Sent on.',
  copied: 'Copied: paste it where you like.',
  left: '',
  failed: 'This browser lets nothing be copied from here. Press on the words and copy them.',
};

/** Hands words to whatever the phone sends with; where it has no such way, they are copied. */
export async function sendWords(title: string, text: string): Promise<Sent> {
  if ('share' in navigator) {
    try {
      await navigator.share({ title, text });
      return 'shared';
    } catch (error) {
      if (error instanceof DOMException && error.name === 'AbortError') return 'left';
    }
  }
  try {
    await navigator.clipboard.writeText(text);
    return 'copied';
  } catch {
    // Plain http from another machine has no clipboard.
    return 'failed';
  }
}
