import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';

// Styles say start and end, so that a language written from right to left finds everything on its own side.

const root = join(import.meta.dirname, '../../resources');
/** Drawn from left to right in every language, or centred. */
const DRAWN = ['js/rail/RailPiece.vue', 'js/bench/play/BenchPieces.vue', 'js/frame/UndoBar.vue'];
const SIDES =
  /(?:margin|padding|border)-(?:left|right)\b|text-align:\s*(?:left|right)|^\s*(?:left|right):|\bfloat:|border-(?:top|bottom)-(?:left|right)/m;

const stylesOf = (file: string): string => {
  const text = readFileSync(join(root, file), 'utf8');
  return file.endsWith('.css')
    ? text
    : [...text.matchAll(/<style[^>]*>([\s\S]*?)<\/style>/g)].map((m) => m[1]).join('\n');
};

test('no style names a side', () => {
  const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((file) => /\.(vue|css)$/.test(file));
  const named = files.filter((file) => !DRAWN.includes(file) && SIDES.test(stylesOf(file)));

  expect(files.length).toBeGreaterThan(100);
  expect(named).toEqual([]);
  expect(DRAWN.filter((file) => !SIDES.test(stylesOf(file)))).toEqual([]);
});
