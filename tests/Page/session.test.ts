import { describe, expect, it } from 'vitest';
import type { Reading, Report } from '@/api/client';
import type { Act, Doing } from '@/offline/pendingActions';
import { afterNews } from '@/offline/serverReadings';
import { mayBeAboveS } from '@/connect/boostSince';
import {
  faceOf,
  isForgotten,
  newestOf,
  sincePluggedS,
  stateOf,
  triedRungs,
  valuesOf,
  type Known,
  type NotedEvent,
} from '@/connect/sessionState';

const reading = (client_id: string, t_s: number, figures: Partial<Reading> = {}): Reading =>
  ({ client_id, t_s, kw: null, amps: null, ...figures }) as Reading;
const event = (client_id: string, t_s: number, code: NotedEvent['code'], detail: string | null = null): NotedEvent => ({
  client_id,
  t_s,
  code,
  detail,
});
const acts = (...doings: Doing[]): Act[] => doings.map((d) => ({ ...d, session: 's', garage: 'g' }));
const told = (events: NotedEvent[] = [], session: object = {}): Report => ({ events, session }) as unknown as Report;
const nothing: Known = { report: null, begun: null, onServer: [], serverCount: 0 };

describe('minutes above the continuous amps since the last judgement', () => {
  const at = (t_s: number, amps: number | null, isWaiting = false) => ({
    ...reading(`r${t_s}`, t_s, { amps }),
    isWaiting,
  });

  it('runs from the newest reading while that is above', () => {
    expect(mayBeAboveS([at(100, 450), at(40, 450)], 130, 400)).toBe(30);
    expect(mayBeAboveS([at(100, 350), at(40, 450)], 130, 400)).toBe(0);
    expect(mayBeAboveS([], 130, 400)).toBe(0);
  });

  it('gives nothing back for readings that wait on the device', () => {
    expect(mayBeAboveS([at(280, 450, true), at(190, 450, true), at(100, 450)], 300, 400)).toBe(200);
    expect(mayBeAboveS([at(280, 300, true), at(190, 450, true), at(100, 300)], 300, 400)).toBe(180);
    expect(mayBeAboveS([at(280, 450, true), at(190, null, true), at(100, 450)], 300, 400)).toBe(200);
  });
});

describe('a session as it is now', () => {
  it('holds what waits on top of what the server has, once, newest first', () => {
    const onServer = [reading('b', 20), reading('a', 10)];
    const state = stateOf(
      { ...nothing, onServer, serverCount: 57 },
      acts({ kind: 'reading', reading: reading('b', 20) }, { kind: 'reading', reading: reading('c', 15) }),
    );

    expect(state.readings.map((r) => [r.client_id, r.isWaiting ?? false])).toEqual([
      ['b', true],
      ['c', true],
      ['a', false],
    ]);
    expect(state.count).toBe(58);
  });

  it('shows no reading and no event that was taken back, whether or not the server knows', () => {
    const known = {
      ...nothing,
      report: told([event('e', 0, 'plugged')]),
      onServer: [reading('a', 10)],
      serverCount: 1,
    };
    const state = stateOf(
      known,
      acts(
        { kind: 'event', event: event('f', 5, 'authorised') },
        { kind: 'forget', clientId: 'a' },
        { kind: 'forgetEvent', clientId: 'e' },
      ),
    );

    expect(state.readings).toEqual([]);
    expect(state.events.map((e) => e.client_id)).toEqual(['f']);
  });

  it('flows once somebody says so, or reads power or amps', () => {
    const flows = (...doings: Doing[]) => stateOf(nothing, acts(...doings)).isFlowing;

    expect(flows({ kind: 'reading', reading: reading('a', 1, { kw: 0, amps: 0 }) })).toBe(false);
    expect(flows({ kind: 'reading', reading: reading('a', 1, { amps: 3 }) })).toBe(true);
    expect(flows({ kind: 'reading', reading: reading('a', 1, { kw: 0.4 }) })).toBe(true);
    expect(flows({ kind: 'event', event: event('e', 1, 'current_flows') })).toBe(true);
  });

  it('has ended when the server says so or the end waits to be sent', () => {
    const ended = (finished_at: string | null) =>
      stateOf({ ...nothing, report: told([], { finished_at }) }, []).isFinished;

    expect([ended(null), ended('2026-05-01T10:00:00Z')]).toEqual([false, true]);
    expect(stateOf(nothing, acts({ kind: 'finish', tS: 9 })).isFinished).toBe(true);
    expect([stateOf(nothing, []).isHere, stateOf({ ...nothing, report: told() }, []).isHere]).toEqual([false, true]);
  });

  it('stands at the stall that was changed to last, else at the one it began at', () => {
    const report = told([event('1', 5, 'stall_changed', 'B'), event('2', 9, 'stall_changed', 'C')], {
      stall: 'continuous current',
    });

    expect(stateOf({ ...nothing, report }, []).stall).toBe('C');
    expect(stateOf({ ...nothing, report: told([], { stall: 'continuous current' }) }, []).stall).toBe(
      'continuous current',
    );
    expect(stateOf(nothing, []).stall).toBeNull();
  });
});

describe('what the screen makes of it', () => {
  const standing = { isParting: false, skips: false, isOnLadder: false, mayRecord: true };

  it('goes from the handshake to readings, over the ladder where nothing starts, and to parting', () => {
    expect(faceOf(standing, false)).toBe('handshake');
    expect(faceOf({ ...standing, isOnLadder: true }, false)).toBe('ladder');
    expect(faceOf({ ...standing, isOnLadder: true }, true)).toBe('now');
    expect(faceOf({ ...standing, skips: true, isOnLadder: true }, false)).toBe('now');
    expect(faceOf({ ...standing, isParting: true }, true)).toBe('after');
  });

  it('shows readers what there is, and no handshake to stand through', () => {
    expect(faceOf({ ...standing, mayRecord: false }, false)).toBe('now');
  });

  it('counts from the last plugging in, and knows the rungs that were tried', () => {
    const state = stateOf(
      {
        ...nothing,
        report: told([
          event('1', 10, 'plugged'),
          event('2', 60, 'failed_start', 'unplug_firmly'),
          event('3', 70, 'plugged'),
          event('4', 90, 'failed_start', 'other_stall: B'),
        ]),
      },
      [],
    );

    expect(sincePluggedS(state, 100)).toBe(30);
    expect(sincePluggedS(state, 20)).toBe(0);
    expect([...triedRungs(state)]).toEqual(['unplug_firmly', 'other_stall']);
  });

  it('takes a session for forgotten after three hours without a reading', () => {
    const state = stateOf({ ...nothing, onServer: [reading('a', 100)], serverCount: 1 }, []);

    expect([isForgotten(state, 100 + 3 * 3600), isForgotten(state, 101 + 3 * 3600)]).toEqual([false, true]);
    expect(isForgotten(stateOf(nothing, []), 3 * 3600 + 1)).toBe(true);
  });

  it('names the newest reading of what flows before a newer one of heat alone', () => {
    const onServer = [reading('heat', 30, { adapter_c: 50 }), reading('power', 20, { kw: 40 })];

    expect(newestOf(stateOf({ ...nothing, onServer, serverCount: 2 }, []))?.client_id).toBe('power');
    expect(newestOf(stateOf({ ...nothing, onServer: onServer.slice(0, 1), serverCount: 1 }, []))?.client_id).toBe(
      'heat',
    );
    expect(newestOf(stateOf(nothing, []))).toBeNull();
  });
});

describe('what an answer of the server changes', () => {
  it('counts a reading it already has once, and one it has forgotten no more', () => {
    const before = { onServer: [reading('a', 1)], serverCount: 12 };

    expect(afterNews(before, { taken: [reading('a', 1), reading('b', 2)] }).serverCount).toBe(13);
    const after = afterNews(before, { forgotten: 'a' });
    expect([after.onServer, after.serverCount]).toEqual([[], 11]);
    expect(afterNews(before, {})).toEqual(before);
  });

  it('takes the values of a reading without its id and whether it waits', () => {
    expect(valuesOf({ ...reading('a', 1, { kw: 5 }), isWaiting: true })).toEqual({ t_s: 1, kw: 5, amps: null });
  });
});
