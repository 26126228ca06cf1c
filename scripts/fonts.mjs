// Cuts the app's fonts down to what households of these parts write, as woff2, under a name with its sum; and says so to the
// style sheet. Run after another weight or letter is wanted; what it makes is kept with the sources.
import { createHash } from 'node:crypto';
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import subsetFont from 'subset-font';

const require = createRequire(import.meta.url);
const FOLDER = 'app/public/fonts';
const STYLES = 'app/src/fonts.css';
const FONT = '@expo-google-fonts/atkinson-hyperlegible-next';
const WEIGHTS = { 400: 'Regular', 500: 'Medium', 600: 'SemiBold', 700: 'Bold', 800: 'ExtraBold' };

/** From the first letter of a range to its last: Latin with its accents, quotes, dashes, fractions, signs of measure. */
const RANGES = [
  [0x20, 0x7e],
  [0xa0, 0x17f],
  [0x2010, 0x2027],
  [0x2030, 0x203a],
  [0x2044, 0x2044],
  [0x2070, 0x2089],
  [0x20ac, 0x20ac],
  [0x2122, 0x2122],
  [0x2150, 0x215e],
  [0x2190, 0x2193],
  [0x2212, 0x2212],
  [0x2248, 0x2248],
  [0x2260, 0x2265],
];
const letters = RANGES.flatMap(([first, last]) =>
  Array.from({ length: last - first + 1 }, (_, i) => String.fromCodePoint(first + i)),
).join('');

mkdirSync(FOLDER, { recursive: true });
for (const old of readdirSync(FOLDER)) if (old.endsWith('.woff2')) rmSync(join(FOLDER, old));
const faces = [];
for (const [weight, name] of Object.entries(WEIGHTS)) {
  const whole = readFileSync(require.resolve(`${FONT}/${weight}${name}/AtkinsonHyperlegibleNext_${weight}${name}.ttf`));
  const cut = await subsetFont(whole, letters, { targetFormat: 'woff2' });
  const sum = createHash('sha256').update(cut).digest('hex').slice(0, 16);
  const file = `atkinson-${weight}-${sum}.woff2`;
  writeFileSync(join(FOLDER, file), cut);
  faces.push(
    `@font-face {\n  font-family: 'Atkinson${weight}';\n  src: url('/fonts/${file}') format('woff2');\n  font-display: swap;\n}\n`,
  );
  console.log(`${file} ${cut.length} bytes of ${whole.length}`);
}
writeFileSync(STYLES, `/* Made by scripts/fonts.mjs. */\n${faces.join('')}`);
console.log(`In ${dirname(STYLES)}: ${faces.length} weights.`);
