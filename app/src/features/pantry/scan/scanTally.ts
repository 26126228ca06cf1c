import { create } from 'zustand';

/** Jars that were held to the camera in one place, by their lot: what a count goes by when it comes back from there. */
interface ScanTally {
  readonly place: string | undefined;
  readonly jars: Readonly<Record<string, number>>;
  begin: (place: string) => void;
  add: (lotId: string, by: number) => void;
  clear: () => void;
}

export const useScanTally = create<ScanTally>()((set, get) => ({
  place: undefined,
  jars: {},
  begin: (place) => {
    if (get().place !== place) set({ place, jars: {} });
  },
  add: (lotId, by) => {
    const { jars } = get();
    set({ jars: { ...jars, [lotId]: Math.max(0, (jars[lotId] ?? 0) + by) } });
  },
  clear: () => set({ place: undefined, jars: {} }),
}));
