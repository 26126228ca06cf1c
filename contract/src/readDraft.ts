import * as v from 'valibot';
import { cardFromJsonLd, draftFromJsonLd, jsonLdIn, pageFromJsonLd } from '@hoddle/core/formats/recipeJsonLd';
import { type Card } from '@hoddle/core/handbook/cards/card';
import { findCard } from '@hoddle/core/handbook/cards';
import { pageOfCard } from '@hoddle/core/recipe/own/pageOfCard';
import { readRecipe } from '@hoddle/core/recipe/own/readRecipe';
import { OwnRecipeSchema, ReadRecipeReply, type ReadRecipeRequest } from './ownRecipe';

/**
 * Reads a page for checking: a pasted text, a web page with its JSON-LD, a file of another program, or one that was written
 * out here, which comes back as it was. Nothing that is sent is taken for safe: every part is held against its schema.
 */
export function readDraft(asked: v.InferOutput<typeof ReadRecipeRequest>): ReadRecipeReply {
  const jsonLd =
    'text' in asked ? jsonLdIn(asked.text) : typeof asked.jsonLd === 'string' ? jsonLdIn(asked.jsonLd) : asked.jsonLd;
  const draft =
    (jsonLd !== undefined && (exactPage(jsonLd) ?? exactCard(jsonLd) ?? draftFromJsonLd(jsonLd))) || undefined;
  const text =
    'text' in asked ? asked.text : typeof asked.jsonLd === 'string' ? asked.jsonLd : JSON.stringify(asked.jsonLd);
  return fitting(draft ?? readRecipe(text));
}

function exactPage(jsonLd: unknown): ReadRecipeReply | undefined {
  const page = v.safeParse(v.omit(OwnRecipeSchema, ['archived']), pageFromJsonLd(jsonLd));
  if (!page.success) return undefined;
  const { id: _, revision: __, ...own } = page.output;
  return { ...own, processing: [] };
}

/** A card of the handbook comes back as the page it is changed on; one that somebody altered in the file is none. */
function exactCard(jsonLd: unknown): ReturnType<typeof pageOfCard> | undefined {
  const told = cardFromJsonLd(jsonLd) as Partial<Card> | undefined;
  const card = typeof told?.card === 'string' ? findCard(told.card) : undefined;
  return card && pageOfCard(card);
}

/** Cut to what a page may hold; the text that does not fit is kept as unread. */
function fitting(draft: object): ReadRecipeReply {
  const read = v.safeParse(ReadRecipeReply, draft);
  if (read.success) return read.output;
  const { lines = [], steps = [], unread = [], processing = [] } = draft as Partial<ReadRecipeReply>;
  const all = [...unread, ...lines.map(({ text }) => text), ...steps.map(({ text }) => text)];
  return {
    name: '',
    draft: true,
    lines: [],
    steps: [],
    unread: all.slice(0, 400).map((text) => text.slice(0, 2_000)),
    processing: processing.map((text) => text.slice(0, 400)),
    yields: { low: 1, high: 1, jar: 'pint' },
    pack: 'hot',
    headspaceIn: 0.5,
    readyDays: [0, 0],
    fillings: [],
  };
}
