/** A page as it leaves the house: to be set as PDF, shown as a page, or sent as text. One content, three ways out. */
export interface Paper {
  readonly title: string;
  readonly note?: string;
  /** Letters shrink and stand in columns until all of it is on one sheet. */
  readonly onePage?: true;
  readonly parts: readonly PaperPart[];
  /** At the foot of every sheet. */
  readonly foot?: string;
  /** The recipe on it, as schema.org has it: for whatever program reads the page. */
  readonly recipe?: object;
}

export type PaperPart =
  | { readonly kind: 'heading'; readonly words: string }
  | { readonly kind: 'words'; readonly words: string; readonly bold?: true }
  /** `tick`: each has a box to tick with a pencil. */
  | { readonly kind: 'list'; readonly items: readonly PaperItem[]; readonly tick?: true }
  | PaperTable;

export interface PaperItem {
  readonly words: string;
  /** Smaller, below it. */
  readonly note?: string;
}

export interface PaperTable {
  readonly kind: 'table';
  /** Each column gets its share of the width. */
  readonly columns: readonly { readonly words: string; readonly share: number }[];
  readonly rows: readonly (readonly PaperItem[])[];
}

/** A cell or an item of words alone. */
export function item(words: string, note?: string): PaperItem {
  return { words, ...(note !== undefined && note !== '' && { note }) };
}

/** A paper as text that a phone sends: a line each, notes in brackets. */
export function paperText({ title, note, parts, foot }: Paper): string {
  const words = ({ words: own, note: more }: PaperItem) => (more === undefined ? own : `${own} (${more})`);
  const lines = parts.flatMap((part): string[] => {
    switch (part.kind) {
      case 'heading':
        return ['', part.words.toUpperCase()];
      case 'words':
        return [part.words];
      case 'list':
        return part.items.map((each) => `${part.tick ? '[ ]' : '-'} ${words(each)}`);
      case 'table':
        return part.rows.map((row) =>
          row
            .map(words)
            .filter((cell) => cell !== '')
            .join('  '),
        );
    }
  });
  return [title, ...(note === undefined ? [] : [note]), ...lines, ...(foot === undefined ? [] : ['', foot])].join('\n');
}
