import { create } from 'zustand';

export type Speed = 1 | 10 | 60;

/** How fast the kitchen of a rehearsal goes, and from when on. */
export interface RehearsalClock {
  /** Its time, epoch milliseconds, at a moment of this device. */
  readonly at: number;
  readonly deviceAt: number;
  readonly speed: Speed;
  readonly isPaused: boolean;
}

/** The clock that all screens go by while something is rehearsed; undefined in earnest. */
export const useRehearsalClock = create<{ readonly clock: RehearsalClock | undefined }>()(() => ({ clock: undefined }));

/** What time it is in a rehearsal; undefined in earnest. */
export function rehearsalNow(deviceNow = Date.now()): number | undefined {
  const { clock } = useRehearsalClock.getState();
  if (!clock) return undefined;
  return clock.isPaused ? clock.at : clock.at + (deviceNow - clock.deviceAt) * clock.speed;
}

/** Goes on from what time it is, otherwise. */
export function setRehearsalClock(part: Partial<Pick<RehearsalClock, 'at' | 'speed' | 'isPaused'>>): void {
  const { clock } = useRehearsalClock.getState();
  const deviceAt = Date.now();
  const at = rehearsalNow(deviceAt) ?? part.at ?? deviceAt;
  const before = clock ?? { speed: 10, isPaused: false };
  useRehearsalClock.setState({ clock: { ...before, at, deviceAt, ...part } });
}

export function endRehearsalClock(): void {
  useRehearsalClock.setState({ clock: undefined });
}
