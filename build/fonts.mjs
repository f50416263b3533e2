/*
 * Cuts the typefaces to what the pages use, before they are built: the characters of every word file and of plain
 * English, the weights and widths of the styles. Whatever else a name may hold (é, ø, ř) comes from the whole file, which a
 * browser fetches only when it meets such a letter.
 */
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join, relative } from 'node:path';
import subsetFont from 'subset-font';

const root = join(import.meta.dirname, '..');
const folder = join(root, '.cache/fonts');
const file = (path) => createRequire(import.meta.url).resolve(`@fontsource-variable/${path}`);

const below = (path) => readdirSync(join(root, path), { recursive: true }).map((file) => `${path}/${file}`);
/** Every language's. */
const WORDS = ['resources/js/words', 'app/Words', 'core/words', 'core/catalogue']
  .flatMap(below)
  .filter((path) => /\.(ts|php|json)$/.test(path));
const ASCII = Array.from({ length: 0x7e - 0x20 + 1 }, (_, i) => String.fromCharCode(0x20 + i));
const used = [...new Set([...ASCII, ...WORDS.flatMap((path) => [...readFileSync(join(root, path), 'utf8')])])].filter(
  (c) => c >= ' ',
);

/** One face for text, one for headings and figures, and the name of the house in its own width. */
const FACES = [
  {
    family: 'Harmozon Text',
    path: 'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next',
    style: 'wght-normal',
    axes: { wght: { min: 400, max: 660, default: 400 } },
    weights: '400 660',
    characters: used,
  },
  {
    family: 'Harmozon Wide',
    path: 'archivo/files/archivo',
    style: 'wdth-normal',
    axes: { wght: { min: 400, max: 760, default: 400 }, wdth: 108 },
    weights: '400 760',
    characters: used,
  },
  {
    family: 'Harmozon Mark',
    path: 'archivo/files/archivo',
    style: 'wdth-normal',
    axes: { wght: 740, wdth: 122 },
    weights: '740',
    characters: [...new Set('Harmozon')],
  },
];

const beside = (path) => relative(folder, path);
const hex = (c) => `U+${c.codePointAt(0).toString(16)}`;
const face = (family, url, weights, range) =>
  `@font-face {\n  font-family: '${family}';\n  font-display: swap;\n  font-weight: ${weights};\n  src: url('${url}') format('woff2');\n  unicode-range: ${range};\n}\n`;

mkdirSync(folder, { recursive: true });
let css = '';
for (const { family, path, style, axes, weights, characters } of FACES) {
  const whole = file(`${path}-latin-${style}.woff2`);
  const name = `${family.toLowerCase().replace(' ', '-')}.woff2`;
  writeFileSync(
    join(folder, name),
    await subsetFont(readFileSync(whole), characters.join(''), { targetFormat: 'woff2', variationAxes: axes }),
  );
  if (family !== 'Harmozon Mark') {
    // Declared first: where two faces have a letter, the later one is taken.
    css += face(
      family,
      beside(file(`${path}-latin-ext-${style}.woff2`)),
      weights,
      'U+0100-02ff, U+1e00-1eff, U+2c60-2c7f, U+a720-a7ff',
    );
    css += face(
      family,
      beside(whole),
      weights,
      'U+00a0-00ff, U+0131, U+0152-0153, U+02bb-02dc, U+2000-206f, U+20ac, U+2122, U+2191-2193, U+2212',
    );
  }
  css += face(family, `./${name}`, weights, characters.map(hex).join(', '));
}
writeFileSync(join(folder, 'faces.css'), css);
