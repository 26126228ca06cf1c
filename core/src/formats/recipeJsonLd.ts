import { type DraftPage, linesOf, readRecipe } from '../recipe/own/readRecipe';

/** The card that `cardToJsonLd` wrote; undefined for another program's recipe. What it holds is for the caller to check. */
export function cardFromJsonLd(jsonLd: unknown): unknown {
  const parts = exactParts(jsonLd, 'card');
  return parts && { ...parts.whole, ingredients: parts.ingredients, steps: parts.steps };
}

/** The page that `pageToJsonLd` wrote; undefined for another program's recipe. What it holds is for the caller to check. */
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
