import type { Reading } from '@/api/client';
import { number } from '@/plates/entries';
import { celsiusOfFahrenheit } from '@/stores/units';
import { plain } from '@/words/habits';
import { kw as kwAtAGlance } from '@/ui/figures';
import { ampsOf, kwOf, voltsOf } from './power';
import type { FieldName, ReadingField } from './readingFields';

/** The form's contents: text by field name, and the minute. */
export type Typed = Record<string, string>;

/** The way from what is stored to what is typed and back. */
export interface Scale {
  show: (stored: number) => number;
  store: (shown: number) => number;
}

/** What a draft is checked against. */
export interface Situation {
  fields: ReadingField[];
  celsius: Scale;
  isUs: boolean;
  /** The spans beyond which nothing is accepted, as stored; temperatures under `celsius`. */
  ranges: Record<string, number[] | undefined>;
  /** What an entry can hardly be; null where the chain could not be asked about. */
  entries: { most_kw: number | null; most_a: number | null; ask_from_c: number } | null;
  /** Of those, what the driver has said is meant so. */
  sure: ReadonlySet<FieldName>;
  /** Since the session began. */
  elapsedS: number;
  /** When the newest reading was taken. */
  newestS: number;
  /** A minute that has not come yet, and that was asked about. */
  asked: number | null;
  /** A reading that is being corrected. */
  edits: Reading | null;
}

export type Doubt = { field: FieldName; kind: 'kwh' | 'amps' | 'fahrenheit' };
export type Complaint =
  | { kind: 'not_number'; field: FieldName | 'minute' }
  | { kind: 'outside'; field: ReadingField; least: number; most: number }
  | { kind: 'empty' }
  | { kind: 'later'; minute: number };
export type Checked = { complaint: Complaint } | { doubt: Doubt } | { reading: Omit<Reading, 'client_id'> };

/** A session typed from notes runs ahead of the clock; further ahead than this looks like a slip (s). */
const LATER_S = 3600;

export const twoPlaces = (n: number): number => Math.round(n * 100) / 100;

/** What was typed; text where it is no number, null where nothing was. */
export const parsed = (text: string | undefined): number | string | null => (!text?.trim() ? null : number(text));

export const minuteOf = (reading: Reading): string => plain(twoPlaces(reading.t_s / 60));

/** A reading as it is typed, to be corrected. */
export function typedOf(reading: Reading, fields: ReadingField[], celsius: Scale): Typed {
  const typed = fields.map((f): [string, string] => {
    const value = reading[f.name];
    return [f.name, typeof value === 'number' ? plain(f.isHeat ? twoPlaces(celsius.show(value)) : value) : ''];
  });
  return { ...Object.fromEntries(typed), minute: minuteOf(reading) };
}

/** The third of V, A and kW, where the other two stand there. It is not kept: the server derives it itself. */
export function follows(typed: Typed, phases: number): Partial<Record<FieldName, string>> {
  const [v, a, k] = [parsed(typed.volts), parsed(typed.amps), parsed(typed.kw)];
  const isNumber = (n: unknown): n is number => typeof n === 'number' && n > 0;
  if (k === null && isNumber(v) && isNumber(a)) {
    return { kw: kwAtAGlance(kwOf(v, a, phases)) };
  }
  if (a === null && isNumber(v) && isNumber(k)) {
    return { amps: plain(Math.round(ampsOf(k, v, phases))) };
  }
  return v === null && isNumber(a) && isNumber(k) ? { volts: plain(Math.round(voltsOf(k, a, phases))) } : {};
}

/** The span beyond which nothing is accepted, in the unit it is typed in. */
function spanOf(field: ReadingField, { ranges, celsius }: Situation): [number, number] | null {
  const [least, most] = ranges[field.isHeat ? 'celsius' : field.name] ?? [];
  if (least === undefined || most === undefined) {
    return null;
  }
  return field.isHeat ? [celsius.show(least), celsius.show(most)] : [least, most];
}

function outside(typed: Typed, now: Situation): Complaint | null {
  for (const field of now.fields) {
    const value = parsed(typed[field.name]);
    const span = spanOf(field, now);
    if (typeof value === 'number' && span !== null && (value < span[0] || value > span[1])) {
      return { kind: 'outside', field, least: span[0], most: span[1] };
    }
  }
  return null;
}

/** A value that can hardly be what it was typed as: energy in place of power, a digit too many, Fahrenheit in place of Celsius. */
function doubted(typed: Typed, now: Situation): Doubt | null {
  const bounds = now.entries;
  for (const field of bounds ? now.fields.filter((f) => !now.sure.has(f.name)) : []) {
    const value = parsed(typed[field.name]);
    if (typeof value !== 'number' || !bounds) {
      continue;
    }
    if (field.name === 'kw' && bounds.most_kw !== null && value > bounds.most_kw) {
      return { field: field.name, kind: 'kwh' };
    }
    if (field.name === 'amps' && bounds.most_a !== null && value > bounds.most_a) {
      return { field: field.name, kind: 'amps' };
    }
    if (field.isHeat && !now.isUs && now.celsius.store(value) >= bounds.ask_from_c) {
      return { field: field.name, kind: 'fahrenheit' };
    }
  }
  return null;
}

function complaintOf(typed: Typed, now: Situation): Complaint | null {
  const wrong = [...now.fields.map((f) => f.name), 'minute' as const].find(
    (name) => typeof parsed(typed[name]) === 'string',
  );
  if (wrong) {
    return { kind: 'not_number', field: wrong };
  }
  const beyond = outside(typed, now);
  if (beyond) {
    return beyond;
  }
  if (now.fields.every((f) => parsed(typed[f.name]) === null)) {
    return { kind: 'empty' };
  }
  const minute = parsed(typed.minute);
  const isLater = typeof minute === 'number' && minute * 60 > Math.max(now.elapsedS, now.newestS) + LATER_S;
  return isLater && minute !== now.asked ? { kind: 'later', minute } : null;
}

/** What becomes of what is typed: a reading, or what stands in its way. */
export function check(typed: Typed, now: Situation): Checked {
  const complaint = complaintOf(typed, now);
  if (complaint) {
    return { complaint };
  }
  const doubt = doubted(typed, now);
  if (doubt) {
    return { doubt };
  }
  const numbers = now.fields.map((f): [FieldName, number | null] => {
    const value = parsed(typed[f.name]);
    return [f.name, typeof value === 'number' ? (f.isHeat ? now.celsius.store(value) : value) : null];
  });
  const minute = parsed(typed.minute);
  const at = typeof minute === 'number' ? minute * 60 : Math.round(now.elapsedS * 10) / 10;
  // What no field shows of a reading that is corrected stays: its note, and its moment to the second.
  const old = now.edits;
  const t_s = old && typed.minute === minuteOf(old) ? old.t_s : at;
  return {
    reading: {
      ...(old?.note ? { note: old.note } : {}),
      t_s,
      ...(Object.fromEntries(numbers) as Partial<Reading>),
      source: 'typed',
    },
  };
}

/** Degrees that were read in Fahrenheit, as they are typed in Celsius. */
export const inCelsius = (fahrenheit: number): string => plain(twoPlaces(celsiusOfFahrenheit(fahrenheit)));
