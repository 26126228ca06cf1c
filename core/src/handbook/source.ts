/** Where a figure was published and how sure its recall is. Travels with every row. */
export interface Sourced {
  readonly source: string;
  readonly confidence: Confidence;
  /** True for a figure written down from memory. A household that holds it against the page marks it checked, with a date. */
  readonly recalled: boolean;
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
  const source = guide === 'NCHFP' ? 'National Center for Home Food Preservation' : usdaGuide(guide);
  return { source, confidence, recalled: true };
}

/** The source line of a screen: "USDA Complete Guide to Home Canning, 2015, guide 3, as recalled". */
export function sourceLine(row: Pick<Sourced, 'source' | 'recalled'>): string {
  return row.recalled ? `${row.source}, as recalled` : row.source;
}
