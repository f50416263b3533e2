import type { Reading, Report } from '@/api/client';
import type { Act, EventCode } from '@/offline/pendingActions';
import type { Begun } from '@/offline/db';
import type { ServerReadings } from '@/offline/serverReadings';

/** What is known about a session without asking again: the server's answer, and what it was started with here. */
export interface Known extends ServerReadings {
  report: Report | null;
  begun: Begun | null;
}

export type TakenReading = Reading & { isWaiting?: boolean };
export interface NotedEvent {
  client_id: string;
  t_s: number;
  code: EventCode;
  detail: string | null;
}

export interface SessionState {
  /** Newest first, those that have not been sent among them. */
  readings: TakenReading[];
  count: number;
  /** In the order in which they happened. */
  events: NotedEvent[];
  stall: string | null;
  isFlowing: boolean;
  isFinished: boolean;
  isHere: boolean;
}

const ofKind = <K extends Act['kind']>(acts: Act[], kind: K) =>
  acts.filter((a): a is Extract<Act, { kind: K }> => a.kind === kind);

function readingsOf(onServer: Reading[], acts: Act[]): TakenReading[] {
  const taken = ofKind(acts, 'reading').map((a) => ({ ...a.reading, isWaiting: true }));
  const gone = new Set(ofKind(acts, 'forget').map((a) => a.clientId));
  const ids = new Set(taken.map((r) => r.client_id));
  return [...taken, ...onServer.filter((r) => !ids.has(r.client_id))]
    .filter((r) => !gone.has(r.client_id))
    .toSorted((a, b) => b.t_s - a.t_s || (a.client_id < b.client_id ? 1 : -1));
}

function eventsOf(told: NotedEvent[], acts: Act[]): NotedEvent[] {
  const noted = ofKind(acts, 'event').map((a) => a.event);
  const gone = new Set(ofKind(acts, 'forgetEvent').map((a) => a.clientId));
  const ids = new Set(noted.map((e) => e.client_id));
  return [...told.filter((e) => !ids.has(e.client_id)), ...noted]
    .filter((e) => !gone.has(e.client_id))
    .toSorted((a, b) => a.t_s - b.t_s);
}

/**
 * A session as it is now: what the server has told, and on top of it what was done here since and waits to be sent.
 *
 * @param acts that wait, of this session, in their order
 */
export function stateOf({ report, begun, onServer, serverCount }: Known, acts: Act[]): SessionState {
  const readings = readingsOf(onServer, acts);
  const events = eventsOf(report?.events ?? [], acts);
  const there = new Set(onServer.map((r) => r.client_id));
  return {
    readings,
    count: serverCount + readings.filter((r) => r.isWaiting && !there.has(r.client_id)).length,
    events,
    stall: events.findLast((e) => e.code === 'stall_changed')?.detail ?? report?.session.stall ?? begun?.stall ?? null,
    isFlowing:
      events.some((e) => e.code === 'current_flows') || readings.some((r) => (r.kw ?? 0) > 0 || (r.amps ?? 0) > 0),
    isFinished: ofKind(acts, 'finish').length > 0 || (report?.session.finished_at ?? null) !== null,
    isHere: report !== null || begun !== null,
  };
}

/** The four faces of an open session. */
export type Face = 'handshake' | 'ladder' | 'now' | 'after';

/** What a driver has said of where they are. */
export interface Standing {
  /** They are about to unplug. */
  isParting: boolean;
  /** They write readings down before the current flows. */
  skips: boolean;
  /** They try one thing after another to make it start. */
  isOnLadder: boolean;
  /** Readers look on. */
  mayRecord: boolean;
}

export function faceOf(standing: Standing, isFlowing: boolean): Face {
  if (standing.isParting) {
    return 'after';
  }
  if (isFlowing || standing.skips || !standing.mayRecord) {
    return 'now';
  }
  return standing.isOnLadder ? 'ladder' : 'handshake';
}

/** Longer without a reading than anybody stands beside a car (s). */
const FORGOTTEN_S = 3 * 3600;

/** @param elapsedS since the session began */
export const isForgotten = ({ readings }: SessionState, elapsedS: number): boolean =>
  elapsedS - (readings[0]?.t_s ?? 0) > FORGOTTEN_S;

/** Seconds since the last plugging in. */
export const sincePluggedS = ({ events }: SessionState, elapsedS: number): number =>
  Math.max(0, elapsedS - (events.findLast((e) => e.code === 'plugged')?.t_s ?? 0));

/** The rungs of the ladder that were tried: a failed start names its rung, and where it was tried. */
export const triedRungs = ({ events }: SessionState): Set<string> =>
  new Set(
    events.filter((e) => e.code === 'failed_start').flatMap((e) => (e.detail ? [e.detail.split(':')[0] ?? ''] : [])),
  );

/** The newest reading that says how much flows; else the newest. */
export const newestOf = ({ readings }: SessionState): TakenReading | null =>
  readings.find((r) => r.kw !== null || r.amps !== null) ?? readings[0] ?? null;

/** What was read, without what the device keeps beside it. */
export function valuesOf(reading: TakenReading): Omit<Reading, 'client_id'> {
  const values: Partial<TakenReading> & { t_s: number } = { ...reading };
  delete values.client_id;
  delete values.isWaiting;
  return values;
}
