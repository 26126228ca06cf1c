import { create } from 'zustand';

interface SearchStore {
  typed: string;
  type: (typed: string) => void;
}

/** What was looked for last, so that coming back from a product finds the list as it was left. */
export const useSearchStore = create<SearchStore>()((set) => ({ typed: '', type: (typed) => set({ typed }) }));
