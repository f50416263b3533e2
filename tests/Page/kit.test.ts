import { describe, expect, it } from 'vitest';
import type { Adapter, Trust } from '@/api/client';
import { due } from '@/kit/crate/plateState';

const adapter = (spec: Partial<Adapter['spec']> = {}): Adapter => ({
  id: 'a',
  version: 1,
  tag: 'A1',
  name: 'Tenon T-11',
  blurb: '',
  lines: [],
  spec: { input: 'ccs1', output: 'j3400', ...spec },
});
const trust = (isDue: boolean, sessions = 3): Trust => ({ sessions, next_test: { due: isDue } }) as Trust;

describe('what an adapter needs before it is used', () => {
  it('says the most pressing thing first', () => {
    const everything = {
      recalled: true,
      damaged: true,
      test_overdue: true,
      translates: {},
      battery_ok: false,
      lent_to: 'Ida',
    };
    const order: (keyof typeof everything)[] = ['recalled', 'damaged', 'test_overdue', 'battery_ok', 'lent_to'];
    const said = order.map((_, i) => {
      const left = Object.fromEntries(
        Object.entries(everything).filter(([key]) => !order.slice(0, i).includes(key as never)),
      );
      return due(adapter(left), trust(true))?.words;
    });
    expect(said).toEqual(['crate.recalled', 'crate.damaged', 'crate.overdue', 'crate.charge', 'crate.lent']);
  });

  it('forbids only what is recalled or damaged', () => {
    expect(due(adapter({ recalled: true }), undefined)?.stop).toBe(true);
    expect(due(adapter({ damaged: true }), undefined)?.stop).toBe(true);
    expect(due(adapter({ test_overdue: true }), undefined)?.stop).toBe(false);
    expect(due(adapter({ lent_to: 'Ida' }), undefined)).toEqual({
      words: 'crate.lent',
      stop: false,
      figures: { who: 'Ida' },
    });
  });

  it('tells a first test from a later one, and says nothing of a sound piece', () => {
    expect(due(adapter(), trust(true, 0))?.words).toBe('crate.first_test');
    expect(due(adapter(), trust(true))?.words).toBe('crate.test');
    expect(due(adapter(), trust(false))).toBeNull();
    expect(due(adapter(), undefined)).toBeNull();
  });

  it('asks no passive adapter for a charged battery', () => {
    expect(due(adapter({ battery_ok: false }), trust(false))).toBeNull();
    expect(due(adapter({ translates: {}, battery_ok: null }), trust(false))).toBeNull();
  });
});
