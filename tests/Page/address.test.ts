import { expect, test } from 'vitest';
import { fromAddress, knownHere, saysAnything, toAddress, type Shown } from '@/frame/address';

// What an answer depends on stands in the address.

const usual: Shown = {
  outlet: null,
  vehicle: null,
  adapters: null,
  tour: null,
  kit: 'own',
  policy: 'certified',
  sheet: 'next',
  need: {},
  beside: [],
};

test.each<[string, Shown]>([
  ['what is usual', usual],
  ['a chain', { ...usual, outlet: 'O1', vehicle: 'V1', adapters: ['A1', 'A2'] }],
  ['a direct joint', { ...usual, outlet: 'O1', vehicle: 'V1', adapters: [] }],
  ['the best way', { ...usual, outlet: 'O1', vehicle: 'V1', adapters: null }],
  [
    'everything',
    {
      outlet: 'O1',
      vehicle: 'V1',
      adapters: ['A1'],
      tour: 'T1',
      kit: 'buy',
      policy: 'any',
      sheet: 'stops',
      need: { fromSoc: 0, ambientC: -5.5, isPrepared: false, deratedKw: null },
      beside: [
        { outlet: 'O2', vehicle: 'V1', adapters: [] },
        { outlet: 'O3', vehicle: 'V2', adapters: ['A1', 'A2'] },
      ],
    },
  ],
])('%s comes back unchanged', (_, shown) => {
  expect(fromAddress(toAddress(shown))).toEqual(shown);
});

test('what is usual needs no words', () => {
  expect(toAddress(usual)).toEqual({});
  expect(saysAnything({})).toBe(false);
  expect(saysAnything({ to: '/board' })).toBe(false);
  expect(saysAnything({ kit: 'own' })).toBe(true);
});

test('what an address says in other words is usual', () => {
  expect(
    fromAddress({
      kit: 'mine',
      policy: ['any', 'maker'],
      sheet: 'none',
      need: '{"fromSoc":"20","toSoc":{"a":1},"ambientC":1e999,"idleMinutes":5',
      beside: 'O1;O1,V1;,,',
      at: ['a', 'b'],
    }),
  ).toEqual(usual);
  expect(fromAddress({ need: '{"fromSoc":"20","toSoc":[1],"idleMinutes":5}' }).need).toEqual({ idleMinutes: 5 });
  expect(fromAddress({ need: '[1,2]' }).need).toEqual({});
});

test('pieces of another garage are dropped from an address', () => {
  const knows = {
    outlet: (id: string) => id === 'O1',
    vehicle: (id: string) => id === 'V1',
    adapter: (id: string) => id === 'A1',
    tour: () => false,
  };
  const here = { ...usual, outlet: 'O1', vehicle: 'V1', adapters: ['A1'] };
  expect(knownHere(here, knows)).toEqual(here);
  expect(knownHere({ ...here, vehicle: 'V9', tour: 'T9' }, knows)).toEqual({ ...usual, outlet: 'O1' });
  expect(knownHere({ ...here, adapters: ['A1', 'A9'] }, knows).adapters).toBeNull();
  expect(knownHere({ ...here, adapters: [] }, knows).adapters).toEqual([]);
  const bought = { ...here, kit: 'buy', adapters: ['of-the-catalogue'] };
  expect(knownHere(bought, knows)).toEqual(bought);
  const beside = ['O1', 'O9'].map((outlet) => ({ outlet, vehicle: 'V1', adapters: [] }));
  expect(knownHere({ ...usual, beside }, knows).beside).toEqual(beside.slice(0, 1));
});
