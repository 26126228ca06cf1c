/** Where a figure comes from. Travels with every row of every table. */
export interface Cited {
  readonly source: string;
  /** True for a figure written down from memory of a page. A household that holds it against the page marks it checked, with a date. */
  readonly recalled: boolean;
}

/** A row that also says how sure its recall is. */
export interface Sourced extends Cited {
  readonly confidence: Confidence;
}

/** Rows of confidence `low` are never offered for the shelf. */
export type Confidence = 'high' | 'medium' | 'low';

/** A guide of the USDA Complete Guide to Home Canning, or the tables of the National Center beside it. */
export type Guide = 1 | 2 | 3 | 4 | 6 | 7 | 'NCHFP';

/** USDA Complete Guide to Home Canning, Agriculture Information Bulletin No. 539, revised 2015. */
export function usdaGuide(guide: number): string {
  return `USDA Complete Guide to Home Canning, 2015, guide ${guide}`;
}

/** Every row of these tables was written down from memory, twice and independently. */
export function recalledFrom(guide: Guide, confidence: Confidence): Sourced {
  return { ...cited(guide), confidence };
}

/** The same for a table that says nothing of how sure it is. */
export function cited(guide: Guide): Cited {
  return {
    source: guide === 'NCHFP' ? 'National Center for Home Food Preservation' : usdaGuide(guide),
    recalled: true,
  };
}

/** What cooks do and no page prints. */
export const COMMON_PRACTICE: Cited = { source: 'common practice', recalled: false };
