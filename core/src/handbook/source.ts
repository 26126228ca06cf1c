/** Where a figure was published and how sure its recall is. Travels with every row. */
export interface Sourced {
  readonly source: string;
  readonly confidence: 'high' | 'medium' | 'low';
  /** True while the figure is written from memory and nobody has held it against the page. */
  readonly recalled: boolean;
}

/** USDA Complete Guide to Home Canning, Agriculture Information Bulletin No. 539, revised 2015. */
export function usdaGuide(guide: number): string {
  return `USDA Complete Guide to Home Canning, 2015, guide ${guide}`;
}

/** The source line of a screen: "USDA Complete Guide to Home Canning, 2015, guide 3, as recalled". */
export function sourceLine(row: Pick<Sourced, 'source' | 'recalled'>): string {
  return row.recalled ? `${row.source}, as recalled` : row.source;
}
