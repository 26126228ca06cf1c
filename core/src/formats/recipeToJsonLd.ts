import { type Card } from '../handbook/cards/card';
import { JARS } from '../handbook/jars';
import { stepOf } from '../handbook/steps';
import { type OwnRecipe } from '../process/ownRecipe';
import { lineWords } from '../recipe/cardWords';
import { recipeName } from '../recipe/recipeName';

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

/** A card, the handbook's or the household's: readable by any program, and without loss by `cardFromJsonLd`. */
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
