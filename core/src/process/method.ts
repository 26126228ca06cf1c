/** The ways of processing that anything is tested for. */
export const METHODS = [
  'boiling-water',
  'steam',
  'pressure-dial',
  'pressure-weighted',
  'low-temperature-bath',
] as const;
export type Method = (typeof METHODS)[number];

/** Where food goes that is not canned: filled, cooled, and kept cold. */
export const COLD = ['refrigerator', 'freezer'] as const;
export type Cold = (typeof COLD)[number];

/** What becomes of filled jars: processed one way, or kept cold. */
export type Way = Method | Cold;

export function isCold(way: Way): way is Cold {
  return (COLD as readonly string[]).includes(way);
}

/** As said in a sentence: "in boiling water". */
export const METHOD_WORDS: Readonly<Record<Method, string>> = {
  'boiling-water': 'in boiling water',
  steam: 'in a steam canner',
  'pressure-dial': 'in a pressure canner with a dial gauge',
  'pressure-weighted': 'in a pressure canner with a weighted gauge',
  'low-temperature-bath': 'in a low-temperature bath',
};

/** Whether a text names a way of processing that anything is tested for. */
export function isMethod(text: string): text is Method {
  return (METHODS as readonly string[]).includes(text);
}

/** The longest time in a steam canner, altitude included: its water boils away. Handbook rule 7. */
export const STEAM_LIMIT_MINUTES = 45;
