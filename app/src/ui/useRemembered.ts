import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

type Values = Readonly<Record<string, string>>;

interface BenchStore {
  values: Readonly<Record<string, Values>>;
  keep: (instrument: string, values: Values) => void;
}

const useBenchStore = create<BenchStore>()(
  persist(
    (set, get) => ({
      values: {},
      keep: (instrument, values) => set({ values: { ...get().values, [instrument]: values } }),
    }),
    { name: 'hoddle-bench', version: 1, storage: createJSONStorage(() => localStorage) },
  ),
);

/**
 * What was last typed and chosen at an instrument, kept in this browser, as text. What the browser kept lays over the
 * first values, so that an instrument that has grown still opens.
 */
export function useRemembered<First extends Values>(instrument: string, first: First) {
  const kept = useBenchStore((store) => store.values[instrument]);
  const keep = useBenchStore((store) => store.keep);
  const values = { ...first, ...kept } as { readonly [Name in keyof First]: string };
  const change = (part: Partial<Record<keyof First, string>>) => keep(instrument, { ...values, ...part });
  return { values, change };
}

/** What was last typed at an instrument, for the word under its name; undefined before it was used. */
export function useLastValues(instrument: string): Values | undefined {
  return useBenchStore((store) => store.values[instrument]);
}
