import fc from 'fast-check';
import { type Paper } from '@hoddle/core/formats/paper/paper';
import { paperPage } from './paperPage';
import { runsOf, widthOf } from './words';

const hostile = fc.string({
  unit: fc.constantFrom(...'<>&"\'/=!-ab ', 'script', '</script>', '<!--', 'onload', 'ד'),
  maxLength: 12,
});

// OWASP Cross Site Scripting Prevention Cheat Sheet, rules 1 and 3: whatever was written, the page has the marks it has.
test('no word of a household becomes a mark of the page, and its recipe stays data', () => {
  fc.assert(
    fc.property(hostile, hostile, hostile, (title, words, name) => {
      const paper: Paper = {
        title,
        note: words,
        parts: [
          { kind: 'heading', words },
          { kind: 'words', words, bold: true },
          { kind: 'list', tick: true, items: [{ words, note: title }] },
          { kind: 'table', columns: [{ words, share: 1 }], rows: [[{ words: title, note: words }]] },
        ],
        foot: words,
        recipe: { name },
      };
      const html = paperPage(paper, words);
      const bare = paperPage(
        JSON.parse(JSON.stringify(paper), (_, value) =>
          typeof value === 'string' && !/^(heading|words|list|table)$/.test(value) ? '' : value,
        ) as Paper,
        '',
      );
      const marks = (text: string) =>
        text.replace(/<script[^>]*>.*?<\/script>/s, '<script></script>').match(/<[^>]*>/g);
      expect(marks(html)).toEqual(marks(bare));
      const [, data = ''] = /<script type="application\/ld\+json">(.*?)<\/script>/s.exec(html) ?? [];
      expect(JSON.parse(data)).toEqual({ name });
    }),
  );
});

// Unicode Standard Annex 9, by hand: Hebrew turned about as a whole, figures in it not, brackets mirrored; Latin stays.
test('what is written from the right is drawn from the right, in a face that has it, and as wide as its letters', () => {
  const seen = (words: string) =>
    runsOf(words, 'regular')
      .map(({ words: own }) => (/[\u0590-\u05ff]/.test(own) ? [...own].reverse().join('') : own))
      .join('');
  expect(seen('Plums 12 qt')).toBe('Plums 12 qt');
  expect(seen('ריבה')).toBe('הביר');
  expect(seen('אב 12 גד')).toBe('דג 12 בא');
  expect(seen('jam אב גד jar')).toBe('jam דג בא jar');
  expect(seen('אב (גד)')).toBe('(דג) בא');
  const faces = new Set(runsOf('Plum Слива שזיף برقوق', 'bold').map(({ face }) => face.name));
  expect(faces.size).toBe(4);
  fc.assert(
    fc.property(fc.string({ unit: fc.constantFrom(...'aéЖש ب1('), maxLength: 20 }), (words) => {
      const letters = (text: string) => [...text.replace(/[()]/g, '')].sort().join('');
      expect(
        letters(
          runsOf(words, 'regular')
            .map(({ words: own }) => own)
            .join(''),
        ),
      ).toBe(letters(words.normalize('NFC')));
      expect(widthOf(words, 'regular')).toBeGreaterThanOrEqual(0);
    }),
  );
});
