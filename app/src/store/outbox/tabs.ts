/** What tabs of one browser tell each other. */
export type TabNews = 'outbox' | 'update';

let channel: BroadcastChannel | undefined;

function line(): BroadcastChannel | undefined {
  if (typeof BroadcastChannel === 'undefined') return undefined;
  return (channel ??= new BroadcastChannel('hoddle'));
}

/** Tells the other tabs. */
export function tellTabs(news: TabNews): void {
  line()?.postMessage(news);
}

/** Hears what another tab tells. @returns what ends it */
export function hearTabs(hear: (news: TabNews) => void): () => void {
  const listen = ({ data }: MessageEvent<TabNews>) => hear(data);
  line()?.addEventListener('message', listen);
  return () => line()?.removeEventListener('message', listen);
}
