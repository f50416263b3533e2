import { describe, expect, it } from 'vitest';
import type { Reading } from '@/api/client';
import { check, follows, inCelsius, typedOf, type Checked, type Situation, type Typed } from '@/connect/readingDraft';
import type { FieldName, ReadingField } from '@/connect/readingFields';

const field = (name: FieldName): ReadingField => ({
  name,
  label: name,
  key: name,
  unit: '',
  isHeat: name.endsWith('_c'),
});
const FIELDS = (['soc_pct', 'volts', 'amps', 'kw', 'adapter_c', 'handle_c'] as const).map(field);
const celsius = { show: (c: number) => c, store: (c: number) => c };
const fahrenheit = { show: (c: number) => (c * 9) / 5 + 32, store: (f: number) => ((f - 32) * 5) / 9 };

/** A quarter of an hour into a session of at most 150 kW. */
const situation = (more: Partial<Situation> = {}): Situation => ({
  fields: FIELDS,
  celsius,
  isUs: false,
  ranges: { soc_pct: [0, 100], volts: [0, 1500], amps: [0, 3000], kw: [0, 5000], celsius: [-50, 200] },
  entries: { most_kw: 150, most_a: 500, ask_from_c: 75 },
  sure: new Set(),
  elapsedS: 900.04,
  newestS: 0,
  asked: null,
  edits: null,
  ...more,
});
const of = (typed: Typed, more: Partial<Situation> = {}): Checked => check(typed, situation(more));
const complaint = (checked: Checked) => ('complaint' in checked ? checked.complaint : null);
const reading = (checked: Checked) => ('reading' in checked ? checked.reading : null);

describe('a reading that is typed', () => {
  it('is taken now, to a tenth of a second, with nothing where nothing was typed', () => {
    expect(reading(of({ soc_pct: ' 41 ', kw: '49.5' }))).toEqual({
      t_s: 900,
      soc_pct: 41,
      volts: null,
      amps: null,
      kw: 49.5,
      adapter_c: null,
      handle_c: null,
      source: 'typed',
    });
  });

  it('stands at the minute that was typed', () => {
    expect(reading(of({ kw: '50', minute: '2.5' }))?.t_s).toBe(150);
    expect(reading(of({ kw: '50', minute: '0' }))?.t_s).toBe(0);
  });

  it('names the first field that is no number, the minute among them', () => {
    expect(complaint(of({ kw: 'fifty' }))).toEqual({ kind: 'not_number', field: 'kw' });
    expect(complaint(of({ kw: '50', minute: 'soon' }))).toEqual({ kind: 'not_number', field: 'minute' });
  });

  it('is refused beyond its span, which is told in the unit it is typed in', () => {
    expect(reading(of({ soc_pct: '100' }))?.soc_pct).toBe(100);
    expect(complaint(of({ soc_pct: '101' }))).toMatchObject({ kind: 'outside', least: 0, most: 100 });
    expect(complaint(of({ adapter_c: '400' }, { celsius: fahrenheit, isUs: true }))).toMatchObject({
      kind: 'outside',
      least: -58,
      most: 392,
    });
  });

  it('is refused where there is nothing in it', () => {
    expect(complaint(of({ minute: '3' }))).toEqual({ kind: 'empty' });
  });

  it('asks once about a minute more than an hour ahead of the clock and of the newest reading', () => {
    expect(reading(of({ kw: '50', minute: '75' }))?.t_s).toBe(4500);
    expect(complaint(of({ kw: '50', minute: '75.1' }))).toEqual({ kind: 'later', minute: 75.1 });
    expect(reading(of({ kw: '50', minute: '75.1' }, { asked: 75.1 }))?.t_s).toBe(4506);
    expect(complaint(of({ kw: '50', minute: '80' }, { asked: 75.1 }))).toEqual({ kind: 'later', minute: 80 });
    expect(reading(of({ kw: '50', minute: '80' }, { newestS: 1800 }))?.t_s).toBe(4800);
  });

  it('keeps Fahrenheit as Celsius', () => {
    expect(reading(of({ adapter_c: '104' }, { celsius: fahrenheit, isUs: true }))?.adapter_c).toBe(40);
  });
});

describe('a value that can hardly be what it was typed as', () => {
  const doubt = (checked: Checked) => ('doubt' in checked ? checked.doubt : null);

  it('is asked about where more kW stand there than the chain can give', () => {
    expect(doubt(of({ kw: '150' }))).toBeNull();
    expect(doubt(of({ kw: '151' }))).toEqual({ field: 'kw', kind: 'kwh' });
    expect(reading(of({ kw: '151' }, { sure: new Set<FieldName>(['kw']) }))?.kw).toBe(151);
  });

  it('is asked about where degrees look like Fahrenheit, unless the garage reads Fahrenheit', () => {
    expect(doubt(of({ handle_c: '75' }))).toEqual({ field: 'handle_c', kind: 'fahrenheit' });
    expect(doubt(of({ handle_c: '167' }, { celsius: fahrenheit, isUs: true }))).toBeNull();
    expect(inCelsius(95)).toBe('35');
  });

  it('is asked about where the amps are more than the chain can pass', () => {
    expect(doubt(of({ amps: '500.1' }))).toEqual({ field: 'amps', kind: 'amps' });
    expect(doubt(of({ amps: '500' }))).toBeNull();
    expect(reading(of({ amps: '2900' }, { sure: new Set<FieldName>(['amps']) }))?.amps).toBe(2900);
  });

  it('is asked about one after another, and never where the chain could not be asked', () => {
    const both = { kw: '400', adapter_c: '90' };

    expect(doubt(of(both))?.field).toBe('kw');
    expect(doubt(of(both, { sure: new Set<FieldName>(['kw']) }))?.field).toBe('adapter_c');
    expect(reading(of(both, { entries: null }))?.kw).toBe(400);
    expect(doubt(of(both, { entries: { most_kw: null, most_a: null, ask_from_c: 75 } }))?.field).toBe('adapter_c');
  });
});

describe('a reading that is corrected', () => {
  const old = { client_id: 'r', t_s: 123.4, kw: 50, adapter_c: 40, note: 'in the rain' } as Reading;

  it('is typed again unchanged read', () => {
    expect(typedOf(old, FIELDS, celsius)).toMatchObject({ kw: '50', adapter_c: '40', volts: '', minute: '2.06' });
    expect(typedOf(old, FIELDS, fahrenheit).adapter_c).toBe('104');
  });

  it('keeps its note, and its moment to the second unless the minute is changed', () => {
    const typed = { ...typedOf(old, FIELDS, celsius), kw: '51' };

    expect(reading(of(typed, { edits: old }))).toMatchObject({ t_s: 123.4, kw: 51, note: 'in the rain' });
    expect(reading(of({ ...typed, minute: '3' }, { edits: old }))?.t_s).toBe(180);
  });
});

describe('the third of volts, amps and kW', () => {
  it('follows from the other two, over every phase', () => {
    expect(follows({ volts: '400', amps: '125' }, 1)).toEqual({ kw: '50' });
    expect(follows({ volts: '230', amps: '16' }, 3)).toEqual({ kw: '11.0' });
    expect(follows({ volts: '400', kw: '50' }, 1)).toEqual({ amps: '125' });
    expect(follows({ amps: '125', kw: '50' }, 1)).toEqual({ volts: '400' });
  });

  it('follows from nothing less, and not from nought', () => {
    expect(follows({ volts: '400' }, 1)).toEqual({});
    expect(follows({ volts: '0', kw: '50' }, 1)).toEqual({});
    expect(follows({ volts: '400', amps: '125', kw: '49' }, 1)).toEqual({});
  });
});
