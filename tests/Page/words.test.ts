import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';
import { IntlMessageFormat } from 'intl-messageformat';
import ts from 'typescript';
import { expect, test } from 'vitest';
import { en } from '@/words/en';
import { glossary } from '@/words/en.glossary';
import { later } from '@/words/en.later';
import { pattern, type Code } from '@/words/say';

// Every pattern is used, every message has one, and every figure of a pattern is given where it is said.

const root = join(import.meta.dirname, '../../resources/js');
const sources = readdirSync(root, { recursive: true, encoding: 'utf8' })
  .filter((file) => /\.(ts|vue)$/.test(file) && !/^words\/[a-z]{2}\./.test(file) && file !== 'api/schema.d.ts')
  .map((file) => ({ file, text: readFileSync(join(root, file), 'utf8') }));

interface Spoken {
  file: string;
  codes: string[];
  /** Null where they are not written out. */
  figures: string[] | null;
}

/** From the opening bracket to the one that closes it. */
function bracketed(text: string, open: number): string {
  let depth = 0;
  for (let i = open; i < text.length; i++) {
    depth += text[i] === '(' ? 1 : text[i] === ')' ? -1 : 0;
    if (depth === 0) {
      return text.slice(open, i + 1);
    }
  }
  throw new Error(`not closed: ${text.slice(open, open + 60)}`);
}

function namesOf(figures: ts.Expression | undefined): string[] | null {
  if (!figures) {
    return [];
  }
  if (!ts.isObjectLiteralExpression(figures)) {
    return null;
  }
  return figures.properties.every((p) => !ts.isSpreadAssignment(p))
    ? figures.properties.map((p) => (p.name && ts.isIdentifier(p.name) ? p.name.text : ''))
    : null;
}

/** The codes an expression may give; none when it is no literal. */
function codesOf(expression: ts.Expression): string[] {
  if (ts.isConditionalExpression(expression)) {
    return [...codesOf(expression.whenTrue), ...codesOf(expression.whenFalse)];
  }
  return ts.isStringLiteralLike(expression) ? [expression.text] : [];
}

/** Every say(…) of a source, read as the call it is. */
function said({ file, text }: (typeof sources)[number]): Spoken[] {
  return [...text.matchAll(/\bsay\(/g)].flatMap((found) => {
    const call = `say${bracketed(text, found.index + 3)}`;
    const statement = ts.createSourceFile('say.ts', call, ts.ScriptTarget.Latest).statements[0];
    const expression = statement && ts.isExpressionStatement(statement) ? statement.expression : null;
    const code = expression && ts.isCallExpression(expression) ? expression.arguments[0] : undefined;
    return expression && ts.isCallExpression(expression) && code
      ? [{ file, codes: codesOf(code), figures: namesOf(expression.arguments[1]) }]
      : [];
  });
}

/** Every <Said code="…">: its figures, and the slots that stand for others. */
function slotted({ file, text }: (typeof sources)[number]): Spoken[] {
  return [...text.matchAll(/<Said\b((?:[^>"]|"[^"]*")*?(?:\/>|>[\s\S]*?<\/Said\s*>))/g)].map((found) => {
    const body = found[1] ?? '';
    const given = /:figures="(\{[\s\S]*?\})"/.exec(body)?.[1];
    const object = given ? ts.createSourceFile('f.ts', `(${given})`, ts.ScriptTarget.Latest).statements[0] : undefined;
    const literal =
      object && ts.isExpressionStatement(object) && ts.isParenthesizedExpression(object.expression)
        ? object.expression.expression
        : undefined;
    return {
      file,
      codes: [/\bcode="([^"]+)"/.exec(body)?.[1] ?? ''],
      figures: [...(namesOf(literal) ?? []), ...[...body.matchAll(/<template #(\w+)/g)].map((m) => m[1] ?? '')],
    };
  });
}

/** The figures that a pattern asks for. */
function placeholders(code: Code): string[] {
  interface Element {
    type: number;
    value?: string;
    options?: Record<string, { value: Element[] }>;
  }
  const LITERAL = 0;
  const POUND = 7;
  const names = (elements: Element[]): string[] =>
    elements.flatMap((e) => [
      ...(e.type === LITERAL || e.type === POUND || e.value === undefined ? [] : [e.value]),
      ...Object.values(e.options ?? {}).flatMap((o) => names(o.value)),
    ]);
  return [...new Set(names(pattern(code).getAst() as Element[]))].sort();
}

/** The figures of a pattern by their names. */
function named(words: string): string[] {
  const elements = new IntlMessageFormat(words, 'en', undefined, { ignoreTag: true }).getAst();
  const names = (of: ReturnType<IntlMessageFormat['getAst']>): string[] =>
    of.flatMap((e) => [
      ...('value' in e && e.type !== 0 ? [e.value] : []),
      ...('options' in e ? Object.values(e.options).flatMap((o) => names(o.value)) : []),
    ]);
  return names(elements);
}

/** Names, signs and words that both languages have. */
const SHARED: string[] = [
  'account.name',
  'editor.name',
  'enter.minutes',
  'figure.hours',
  'figure.kwh',
  'figure.minutes',
  'figure.minutes_span',
  'figure.under_a_minute',
  'harmozon',
  'log.adapter',
  'log.filters',
  'loggers.name',
  'look.iso',
  'people.link',
  'play.feed_example',
  'play.minutes',
  'region.china',
  'region.japan',
  'report.lost',
  'screen.log',
  'screen.title',
  'tours.choose',
  'unit.km_kwh',
  'unit.kwh',
  'unit.mi_kwh',
  'unit.minutes',
];

const spoken = sources.flatMap((source) => [...said(source), ...slotted(source)]);

test('every message has a pattern, and its figures', () => {
  const faults = spoken.flatMap(({ file, codes, figures }) =>
    codes.flatMap((code) => {
      if (!(code in en) && !(code in later)) {
        return [`${file}: no pattern for ${code}`];
      }
      const asked = placeholders(code as Code);
      return figures === null || JSON.stringify(asked) === JSON.stringify([...figures].sort())
        ? []
        : [`${file}: ${code} asks for ${asked.join()}, and is given ${figures.join()}`];
    }),
  );

  expect(spoken.length).toBeGreaterThan(300);
  expect(faults).toEqual([]);
});

test('every pattern is used', () => {
  const all = sources.map((s) => s.text).join('\n');
  const unused = Object.keys({ ...en, ...later }).filter(
    (code) => !all.includes(`'${code}'`) && !all.includes(`"${code}"`),
  );
  // Joints are named by the way things are joined.
  expect(unused.filter((code) => !code.startsWith('list.'))).toEqual([]);
});

const LANGUAGES = import.meta.glob<Record<string, Record<string, string>>>([
  '../../resources/js/words/de.ts',
  '../../resources/js/words/de.later.ts',
  '../../resources/js/words/de.glossary.ts',
]);

test('German has every message with its figures, and none is left in English', async () => {
  const english: Record<string, string> = { ...en, ...later, ...glossary };
  const files = await Promise.all(Object.values(LANGUAGES).map((read) => read()));
  const german = Object.assign({}, ...files.flatMap((file) => Object.values(file))) as Record<string, string>;
  const figures = (words: string): string => [...new Set(named(words))].sort().join();

  expect(Object.keys(german).sort()).toEqual(Object.keys(english).sort());
  expect(Object.entries(english).filter(([code, words]) => figures(words) !== figures(german[code] ?? ''))).toEqual([]);
  const same = Object.keys(english).filter(
    (code) => english[code] === german[code] && /[a-z]{3}/i.test((english[code] ?? '').replace(/\{[^{}]*\}/g, '')),
  );
  expect(same.sort()).toEqual(SHARED);
});

test('no pattern is a piece that is glued to another', () => {
  const glued = Object.entries({ ...en, ...later }).filter(([, words]) => /^[\s,;:.)]|[\s,;(]$/.test(words));

  expect(glued.map(([code]) => code)).toEqual([]);
});

test('what comes with a later stage is said nowhere before it', () => {
  const text = new Map(sources.map((s) => [s.file, s.text]));
  const found = (from: string, path: string): string[] => {
    const to = path.startsWith('@/') ? path.slice(2) : path.startsWith('.') ? normalize(join(dirname(from), path)) : '';
    return [to, `${to}.ts`].filter((file) => text.has(file) && existsSync(join(root, file)));
  };
  const seen = new Set<string>();
  const open = ['main.ts'];
  for (let file = open.pop(); file !== undefined; file = open.pop()) {
    if (!seen.has(file)) {
      seen.add(file);
      // A stage that is worded brings its words with it.
      const before = (text.get(file) ?? '').replace(/worded\(\(\) => import\('[^']+'\)\)/g, '');
      for (const [, path] of before.matchAll(/(?:from|import)\s*\(?\s*'([^']+)'/g)) {
        open.push(...found(file, path ?? ''));
      }
    }
  }
  const early = [...seen].map((file) => text.get(file) ?? '').join('\n');

  expect(seen.has('board/BoardStage.vue')).toBe(true);
  expect(seen.has('connect/ConnectStage.vue')).toBe(false);
  expect(Object.keys(later).filter((code) => early.includes(`'${code}'`) || early.includes(`"${code}"`))).toEqual([]);
  expect(Object.keys(en).filter((code) => code in later)).toEqual([]);
});
