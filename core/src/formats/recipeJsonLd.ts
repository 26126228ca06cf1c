import { type Card } from '../handbook/cards/card';
import { JARS } from '../handbook/jars';
import { stepOf } from '../handbook/steps';
import { type OwnRecipe } from '../process/ownRecipe';
import { lineWords } from '../recipe/cardWords';
import { recipeName } from '../recipe/recipeName';
import { type DraftPage, linesOf, readRecipe } from '../recipe/own/readRecipe';

/** A recipe as schema.org has it, in JSON-LD. https://schema.org/Recipe */
export interface RecipeJsonLd {
  readonly '@context': 'https://schema.org';
  readonly '@type': 'Recipe';
  readonly name: string;
  readonly recipeYield: string;
  readonly recipeIngredient: readonly string[];
  readonly recipeInstructions: readonly { readonly '@type': 'HowToStep'; readonly text: string }[];
  /** What schema.org has no word for: each value is JSON. */
  readonly additionalProperty: readonly PropertyValue[];
}

interface PropertyValue {
  readonly '@type': 'PropertyValue';
  /** `card` or `page` for the whole but its lines and steps, `ingredient/3`, `step/2`. */
  readonly propertyID: string;
  readonly name: string;
  readonly value: string;
}

function property(propertyID: string, name: string, value: unknown): PropertyValue {
  return { '@type': 'PropertyValue', propertyID, name, value: JSON.stringify(value) };
}

/** A card, the handbook's or the household's: readable by any program, and without loss by {@link cardFromJsonLd}. */
export function cardToJsonLd(card: Card): RecipeJsonLd {
  const { ingredients, steps, ...rest } = card;
  return recipe({
    name: card.name ?? recipeName({ product: card.product, recipe: card.card }),
    yields: card.yields,
    ingredients: ingredients.map((line) => [lineWords(line), line]),
    steps: steps.map((step) => [stepOf(step.step).plainWords, step]),
    whole: property('card', 'source, yield and what touches safety', rest),
  });
}

/** A page of the household's own, with its tested source and its minutes. */
export function pageToJsonLd(page: OwnRecipe): RecipeJsonLd {
  const { lines, steps, ...rest } = page;
  return recipe({
    name: page.name,
    yields: page.yields,
    ingredients: lines.map((line) => [line.text === '' ? line.item : line.text, line]),
    steps: steps.map((step) => [step.text, step]),
    whole: property('page', 'yield, jar, tested source and minutes', rest),
  });
}

interface Parts {
  readonly name: string;
  readonly yields: Card['yields'];
  readonly ingredients: readonly (readonly [words: string, line: unknown])[];
  readonly steps: readonly (readonly [words: string, step: unknown])[];
  readonly whole: PropertyValue;
}

function recipe({ name, yields, ingredients, steps, whole }: Parts): RecipeJsonLd {
  return {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name,
    recipeYield: yields
      ? `${yields.low === yields.high ? yields.low : `${yields.low} to ${yields.high}`} ${JARS[yields.jar].several}`
      : '',
    recipeIngredient: ingredients.map(([words]) => words),
    recipeInstructions: steps.map(([text]) => ({ '@type': 'HowToStep', text })),
    additionalProperty: [
      whole,
      ...ingredients.map(([words, line], i) => property(`ingredient/${i + 1}`, `${words}: step, fate, role`, line)),
      ...steps.map(([words, step], i) => property(`step/${i + 1}`, `${words}: minutes`, step)),
    ],
  };
}

/** The card that {@link cardToJsonLd} wrote; undefined for another program's recipe. What it holds is for the caller to check. */
export function cardFromJsonLd(jsonLd: unknown): unknown {
  const parts = exactParts(jsonLd, 'card');
  return parts && { ...parts.whole, ingredients: parts.ingredients, steps: parts.steps };
}

/** The page that {@link pageToJsonLd} wrote; undefined for another program's recipe. What it holds is for the caller to check. */
export function pageFromJsonLd(jsonLd: unknown): unknown {
  const parts = exactParts(jsonLd, 'page');
  return parts && { ...parts.whole, lines: parts.ingredients, steps: parts.steps };
}

function exactParts(jsonLd: unknown, kind: 'card' | 'page') {
  const found = recipeIn(jsonLd);
  const properties = (found && list(found.additionalProperty).filter(isObject)) ?? [];
  const valueOf = (id: string) => {
    const value = properties.find(({ propertyID }) => propertyID === id)?.value;
    return typeof value === 'string' ? parsed(value) : undefined;
  };
  const whole = valueOf(kind);
  if (!isObject(whole)) return undefined;
  const all = (part: string) =>
    properties
      .filter(({ propertyID }) => typeof propertyID === 'string' && propertyID.startsWith(`${part}/`))
      .sort((a, b) => numberOf(a.propertyID) - numberOf(b.propertyID))
      .map(({ propertyID }) => valueOf(String(propertyID)));
  return { whole, ingredients: all('ingredient'), steps: all('step') };
}

function numberOf(id: unknown): number {
  return Number(String(id).split('/')[1]);
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

type Json = Record<string, unknown>;

function isObject(value: unknown): value is Json {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function list(value: unknown): unknown[] {
  return value === undefined || value === null ? [] : Array.isArray(value) ? value : [value];
}

/** A text that holds JSON-LD: a file as it is, or a web page with it in a script. */
export function jsonLdIn(text: string): unknown {
  const plain = parsed(text.trim());
  if (plain !== undefined) return plain;
  for (const [, script = ''] of text.matchAll(/<script[^>]*application\/ld\+json[^>]*>([\s\S]*?)<\/script>/gi)) {
    const found = parsed(script.trim());
    if (recipeIn(found)) return found;
  }
  return undefined;
}

/** The first recipe in a document, wherever it is kept: by itself, in a list, in a graph. */
export function recipeIn(jsonLd: unknown, depth = 0): Json | undefined {
  if (depth > 6) return undefined;
  for (const node of list(jsonLd).filter(isObject)) {
    if (
      list(node['@type']).some(
        (type) => type === 'Recipe' || type === 'http://schema.org/Recipe' || type === 'https://schema.org/Recipe',
      )
    )
      return node;
    const within = recipeIn(node['@graph'] ?? node.mainEntity ?? node.itemListElement ?? node.item, depth + 1);
    if (within) return within;
  }
  return undefined;
}

/**
 * A recipe of another program as a draft for checking: its ingredients, steps, yield and name as text, read as if they had
 * been pasted. What is not understood stays as text.
 */
export function draftFromJsonLd(jsonLd: unknown): DraftPage | undefined {
  const found = recipeIn(jsonLd);
  if (!found) return undefined;
  const name = words(found.name)[0] ?? '';
  const ingredients = list(found.recipeIngredient ?? found.ingredients).flatMap(words);
  const steps = list(found.recipeInstructions).flatMap(stepWords);
  const yields = list(found.recipeYield)
    .flatMap(words)
    .sort((a, b) => b.length - a.length)[0];
  const text = [
    'Ingredients',
    ...ingredients,
    'Method',
    ...steps,
    ...(yields === undefined || yields === '' ? [] : [/make|yield/i.test(yields) ? yields : `Makes ${yields}`]),
  ].join('\n');
  const draft = readRecipe(text);
  const note = words(found.description).join(' ').slice(0, 2_000);
  return { ...draft, name: name.slice(0, 80), ...(note !== '' && { note }) };
}

/** Text values, mark-up and line breaks taken off. */
function words(value: unknown): string[] {
  if (typeof value === 'number') return [String(value)];
  if (typeof value === 'string') return linesOf(value);
  if (Array.isArray(value)) return value.flatMap(words);
  return isObject(value) ? words(value['@value'] ?? value.text ?? value.name) : [];
}

/** Steps in any of the shapes they come in: text, a list of it, steps, sections of steps. */
function stepWords(value: unknown): string[] {
  if (!isObject(value)) return words(value);
  if (value.itemListElement !== undefined) return list(value.itemListElement).flatMap(stepWords);
  return words(value.text ?? value.name ?? value.description);
}
