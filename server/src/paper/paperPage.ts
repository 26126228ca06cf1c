import { type Paper, type PaperItem, type PaperPart } from '@hoddle/core/formats/paper/paper';

/** Only its own styles: such a page runs nothing and asks for nothing. */
export const PAPER_POLICY = "default-src 'none'; style-src 'unsafe-inline'; base-uri 'none'; form-action 'none'";

const STYLES = `
:root { color-scheme: light }
body { margin: 0 auto; max-width: 46rem; padding: 1rem; font: 17px/1.4 "Atkinson Hyperlegible Next", Verdana, sans-serif; color: #16181d; background: #fff }
h1 { font-size: 1.6rem; line-height: 1.15; margin: .2em 0; border-bottom: 3px solid #1d3f8f; padding-bottom: .25em }
h2 { font-size: 1.15rem; margin: 1.2em 0 .3em }
p { margin: .4em 0 } small, .foot { color: #4a5563 }
ul { padding-left: 1.2em; margin: .3em 0 } ul.tick { list-style: none; padding-left: 0 } ul.tick li::before { content: "\\2610\\00a0" }
table { border-collapse: collapse; width: 100% } th, td { text-align: start; vertical-align: top; padding: .3em .6em .3em 0; border-bottom: 1px solid #b9c2bc }
td:nth-child(-n+2) { font-weight: 700 } td small { display: block; font-weight: 400 }
@media print { body { max-width: none; padding: 0; font-size: 11pt } tr, li { break-inside: avoid } thead { display: table-header-group } }
`;

/** A paper as a page of its own, for any browser: no script, nothing fetched; the recipe on it as JSON-LD. */
export function paperPage(paper: Paper, note?: string): string {
  const { title, parts, foot, recipe } = paper;
  const jsonLd = recipe ? `<script type="application/ld+json">${inScript(recipe)}</script>` : '';
  return [
    '<!doctype html><html lang="en"><head><meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width, initial-scale=1"><meta name="robots" content="noindex">',
    `<title>${text(title)}</title><style>${STYLES}</style>${jsonLd}</head><body><main>`,
    `<h1 dir="auto">${text(title)}</h1>`,
    paper.note === undefined ? '' : `<p>${text(paper.note)}</p>`,
    ...parts.map(partOf),
    foot === undefined ? '' : `<p class="foot">${text(foot)}</p>`,
    note === undefined ? '' : `<p class="foot">${text(note)}</p>`,
    '</main></body></html>',
  ].join('');
}

function partOf(part: PaperPart): string {
  switch (part.kind) {
    case 'heading':
      return `<h2 dir="auto">${text(part.words)}</h2>`;
    case 'words':
      return `<p dir="auto">${part.bold ? `<b>${text(part.words)}</b>` : text(part.words)}</p>`;
    case 'list':
      return `<ul${part.tick ? ' class="tick"' : ''}>${part.items.map((each) => `<li dir="auto">${cell(each)}</li>`).join('')}</ul>`;
    case 'table': {
      const head = part.columns.map(({ words }) => `<th scope="col">${text(words)}</th>`).join('');
      const rows = part.rows.map(
        (row) => `<tr>${row.map((each) => `<td dir="auto">${cell(each)}</td>`).join('')}</tr>`,
      );
      return `<table><thead><tr>${head}</tr></thead><tbody>${rows.join('')}</tbody></table>`;
    }
  }
}

function cell({ words, note }: PaperItem): string {
  return note === undefined ? text(words) : `${text(words)} <small>${text(note)}</small>`;
}

const MARKS: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' };

function text(words: string): string {
  return words.replace(/[&<>"']/g, (mark) => MARKS[mark] ?? mark);
}

/** JSON within a script: no word in it ends the script. */
function inScript(value: object): string {
  return JSON.stringify(value).replace(/</g, '\\u003c');
}
