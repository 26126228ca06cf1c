import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/** Text that was pasted and what is being changed of a page: it stays over a reload until it is kept or thrown away. */
interface PageDrafts {
  pasted: string;
  drafts: Readonly<Record<string, OwnRecipe>>;
  paste: (text: string) => void;
  change: (page: OwnRecipe) => void;
  forget: (id: string) => void;
}

export const usePageDrafts = create<PageDrafts>()(
  persist(
    (set, get) => ({
      pasted: '',
      drafts: {},
      paste: (pasted) => set({ pasted }),
      change: (page) => set({ drafts: { ...get().drafts, [page.id]: page } }),
      forget: (id) => {
        const { [id]: _, ...drafts } = get().drafts;
        set({ drafts });
      },
    }),
    { name: 'hoddle-recipe-pages', version: 1, storage: createJSONStorage(() => localStorage) },
  ),
);
