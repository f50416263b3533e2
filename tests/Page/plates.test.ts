import { readFileSync } from 'node:fs';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, expect, test } from 'vitest';
import { differences, same } from '@/api/differences';
import { number, read, written } from '@/plates/entries';
import { fieldsOf } from '@/plates/fields';
import type { PieceKind } from '@/stores/edit';
import { useAccount } from '@/stores/account';
import type { useTerms } from '@/stores/terms';
import { useUnits } from '@/stores/units';
import { valueAt, withValue } from '@/api/dotted';
import { day, hour, kw } from '@/ui/figures';
import { fixed, place } from '@/words/habits';

// Nothing that is typed on a plate is lost on the way.

type Schema = Record<string, unknown> & { $defs: Record<string, Schema>; properties?: Record<string, Schema> };
const schema = JSON.parse(readFileSync('public/schema/case.schema.json', 'utf8')) as Schema;

/** The schema without its detours: what a reference points at, and of several the one that is an object. */
function resolved(at: Schema): Schema {
  const ref = at.$ref as string | undefined;
  if (ref) {
    return resolved(schema.$defs[ref.split('/').at(-1) ?? ''] as Schema);
  }
  const some = (at.anyOf as Schema[] | undefined)?.map(resolved);
  return some?.find((one) => one.properties) ?? at;
}

function paths(at: Schema, path: string): string[] {
  const here = resolved(at);
  const items = here.items ? resolved(here.items as Schema) : undefined;
  if (here.properties) {
    return Object.entries(here.properties).flatMap(([key, value]) => paths(value, path ? `${path}.${key}` : key));
  }
  return items?.properties ? paths(items, `${path}.0`) : [path];
}

const terms = {
  known: () => ({ couplers: [], sockets: [], retrofits: [] }),
  all: () => [],
} as unknown as ReturnType<typeof useTerms>;

beforeEach(() => setActivePinia(createPinia()));

test.each([
  ['vehicle', 'vehicles'],
  ['adapter', 'adapters'],
  ['outlet', 'outlets'],
])('every figure of the plate of a %s can be typed', (piece, kind) => {
  const fields = fieldsOf(kind as PieceKind, 1, 'USD', terms).flatMap((g) => g.fields.map((f) => f.path));
  const missing = paths(schema.$defs[piece] as Schema, '').filter(
    // The name stands above the plate, ids are ours, where facts come from stands beside them; a retrofit and bands are one field each.
    (path) =>
      !fields.some((f) => path === f || path.startsWith(`${f}.`)) &&
      !/(^|\.)(id|name|origins)(\.|$)/.test(path) &&
      // Nobody here bought, keeps, lends or vets a station's own adapter.
      !/^attached_adapter\.(purchased_on|kept_in|lent_to|charged_on|vetting)(\.|$)/.test(path),
  );

  expect(missing).toEqual([]);
  expect(new Set(fields).size).toBe(fields.length);
});

test('a number is a number, and what is none is passed on for the core to refuse', () => {
  expect(['500', '1.5', '1,5', '-12', '+3', '.5', '12.', '0,1234'].map(number)).toEqual([
    500, 1.5, 1.5, -12, 3, 0.5, 12, 0.1234,
  ]);
  // Thousands, or a decimal? Nobody guesses.
  for (const typed of ['1,000', '1,000.5', '1.000,5', '5OO', '0x10', '1e3', 'Infinity', '5 00', '', '-', '4..5']) {
    expect(number(typed)).toBe(typed);
  }
  expect(read('curve', '0:300 50: 80:x')).toEqual([
    [0, 300],
    [50, ''],
    [80, 'x'],
  ]);
  expect(read('bands', '0:0.20  60')).toEqual([
    { from_kw: 0, per_minute: '0.20' },
    { from_kw: 60, per_minute: null },
  ]);
  expect(read('watts', '11,5 kW')).toBe(11.5);
  expect(read('watts', '7200 W')).toBe(7.2);
  expect(written('curve', [[0, 300]])).toBe('0:300');
});

test('where a comma is the decimal sign, a figure is shown and typed with one', () => {
  place.value = 'en-NL';
  expect(['500', '1,5', '1.5', '1,500', '-12', ',5', '0.1234'].map(number)).toEqual([
    500, 1.5, 1.5, 1.5, -12, 0.5, 0.1234,
  ]);
  for (const typed of ['1.000', '1.000,5', '1,000.5', '12.345']) {
    expect(number(typed)).toBe(typed);
  }
  expect(written('number', 6.4)).toBe('6,4');
  expect(written('curve', [[0, 300.5]])).toBe('0:300,5');
  expect(read('curve', '0:300,5')).toEqual([[0, 300.5]]);
  // Prices keep every digit as text.
  expect([written('money', '0.40'), read('money', '0,40'), read('money', '0.40'), read('money', '1.000,50')]).toEqual([
    '0,40',
    '0.40',
    '0.40',
    '1.000,50',
  ]);
  expect(written('bands', [{ from_kw: 0, per_minute: '0.20' }])).toBe('0:0,20');
  expect(read('bands', '0:0,20')).toEqual([{ from_kw: 0, per_minute: '0.20' }]);
  expect([fixed(12345.67, 1), fixed(45.25, 1), kw(7.25)]).toEqual(['12.345,7', '45,3', '7,3']);
  expect([day('2026-11-25T14:05:00Z', 'UTC'), hour('2026-11-25T14:05:00Z', 'UTC')]).toEqual(['25 Nov 2026', '14:05']);

  place.value = 'en-US';
  expect([fixed(12345.67, 1), kw(7.25)]).toEqual(['12,345.7', '7.3']);
  expect([day('2026-11-25T14:05:00Z', 'UTC'), hour('2026-11-25T14:05:00Z', 'UTC')]).toEqual([
    'Nov 25, 2026',
    '02:05 PM',
  ]);
  place.value = 'en-GB';
});

test('a figure typed into a part that came as an empty list is kept', () => {
  const spec = withValue({ pack: [], inlets: [{ ac: [] }] }, 'pack.usable_kwh', 60);

  expect(JSON.stringify(spec)).toBe('{"pack":{"usable_kwh":60},"inlets":[{"ac":[]}]}');
  expect(JSON.stringify(withValue(spec, 'inlets.0.ac.max_a', 32))).toBe(
    '{"pack":{"usable_kwh":60},"inlets":[{"ac":{"max_a":32}}]}',
  );
  expect(valueAt(spec, 'inlets.0.dc.max_v')).toBeUndefined();
});

test('only what differs is sent', () => {
  const before = {
    name: 'continuous current',
    spec: { plate: { max_v: 500, kw: null }, inlets: [{ dc: { max_a: 1 } }], list: [1, 2] },
  };
  const after = {
    name: 'continuous current',
    spec: { plate: { max_v: 1000 }, inlets: [{ dc: { max_a: 2 } }], list: [1] },
  };

  expect(differences(before, after)).toEqual({
    'spec.plate.max_v': 1000,
    'spec.inlets.0.dc.max_a': 2,
    'spec.list': [1],
  });
  expect(differences({ a: { b: 1 } }, { a: null })).toEqual({ a: null });
  expect(differences({ a: [{ b: 1 }] }, { a: [{ b: 1 }, { b: 2 }] })).toEqual({ a: [{ b: 1 }, { b: 2 }] });
  expect(differences(before, before)).toEqual({});
  expect([same(null, undefined), same([1], [1]), same(0, null), same('', null)]).toEqual([true, true, false, false]);
});

test("figures are entered in the garage's own units and come back as they were typed", () => {
  const account = useAccount();
  const there = (kind: string, typed: number) => {
    const { entry } = useUnits();
    const { store, show } = entry(kind);
    return [Number(store(typed).toPrecision(8)), Number(show(Number(store(typed).toPrecision(8))).toPrecision(8))];
  };
  expect(there('celsius', 40)).toEqual([40, 40]);
  account.me = { user: { id: 'u' }, garage: { units: 'us' } } as typeof account.me;

  expect(there('celsius', 104)).toEqual([40, 104]);
  expect(there('metres', 16)).toEqual([4.8768, 16]);
  expect(there('km_per_kwh', 4)).toEqual([6.437376, 4]);
  expect(there('number', 4)).toEqual([4, 4]);
  expect(['celsius', 'metres', 'km_per_kwh', 'number'].map((kind) => useUnits().entry(kind).unit)).toEqual([
    '°F',
    'ft',
    'mi/kWh',
    '',
  ]);
});
