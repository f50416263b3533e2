import createClient from 'openapi-fetch';
import { say, sentence } from '@/words/say';
import { answered, making, nameOf } from './once';
import type { components, paths } from './schema';

type Schemas = components['schemas'];
export type Adapter = Schemas['Adapter'];
export type Vehicle = Schemas['Vehicle'];
export type Outlet = Schemas['Outlet'];
export type Network = Schemas['Network'];
export type Tour = Schemas['Tour'];
export type Wish = Schemas['Wish'];
export type SmallestKit = Schemas['SmallestKit'];
export type Vetting = Schemas['Vetting'];
export type Packing = Schemas['Packing'];
export type FirstTest = Schemas['FirstTest'];
export type Simulation = Schemas['Simulation'];
export type Drills = Schemas['Drills'];
export type DrillJudged = Schemas['DrillJudged'];
export type KindGroup = Schemas['KindGroup'];
export type Place = Schemas['Place'];
export type Cell = Schemas['Cell'];
export type ChainAnswer = Schemas['ChainAnswer'];
export type Conditions = Schemas['Conditions'];
export type Forecast = Schemas['Forecast'];
export type ForecastPoint = Schemas['ForecastPoint'];
export type Forecasts = Schemas['Forecasts'];
export type Stop = Schemas['Stop'];
export type FitAnswer = Schemas['FitAnswer'];
export type Gate = Schemas['Gate'];
export type Judgement = Schemas['Judgement'];
export type Me = Schemas['Me'];
export type Outcome = Schemas['Outcome'];
export type PlateRow = Schemas['PlateRow'];
export type Policy = Schemas['Policy'];
export type Reading = Schemas['Reading'];
export type Report = Schemas['Report'];
export type HeldBack = Schemas['HeldBack'];
export type SessionReview = Schemas['SessionReview'];
export type Baseline = Schemas['Baseline'];
export type Comparison = Schemas['Comparison'];
export type Sums = Schemas['Sums'];
export type Trust = Schemas['Trust'];
export type LogMemory = Schemas['LogMemory'];
export type SessionLine = Schemas['SessionLine'];
export type Term = Schemas['Term'];
export type Terms = Schemas['Terms'];
export type Link = Schemas['Link'];
export type Verdict = Schemas['Verdict'];
export type CurvePoint = Schemas['CurvePoint'];
export type Import = Schemas['Import'];
export type Arrival = Schemas['Arrival'];
export type ImportLook = Schemas['ImportLook'];
export type Mapping = Schemas['Mapping'];

/** A refused call's complaints, field by field; nothing was written. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly fields: Record<string, string[]> = {},
    /** The piece as it is now, where it was changed meanwhile. */
    readonly now: Schemas['OutOfDate']['now'] | null = null,
  ) {
    super(message);
  }

  /** For a person, to whom the name of a field inside a request says nothing. */
  plain(): string {
    const path = Object.keys(this.fields).find((p) => this.message.startsWith(`${p}: `));
    const complaint = path === undefined ? this.message : this.message.slice(path.length + 2);
    return sentence(complaint);
  }

  /** The first complaint about a field or anything below it. */
  about(field: string): string | undefined {
    const path = Object.keys(this.fields).find((p) => p === field || p.endsWith(`.${field}`));
    return path ? this.fields[path]?.[0] : undefined;
  }
}

/** What went wrong, in words for a person. */
export const wordsOf = (e: unknown): string =>
  e instanceof ApiError ? e.plain() : e instanceof Error ? e.message : String(e);

function csrfToken(): string {
  const cookie = document.cookie.split('; ').find((c) => c.startsWith('XSRF-TOKEN='));
  return cookie ? decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) : '';
}

// Past the browser's cache: two who ask for the same would wait for each other there.
export const api = createClient<paths>({ baseUrl: '/api', cache: 'no-store', headers: { Accept: 'application/json' } });

/** Whose page this is and which garage it shows: what is written from it is theirs and belongs there, whoever signed in in another tab. */
let shown: { account: string | null; garage: string | null } = { account: null, garage: null };
export const showing = (account: string | null, garage: string | null): void => {
  shown = { account, garage };
};

/** How it is that the server does not know who is asking, or knows somebody else. */
export type Estranged = 'expired' | 'ended' | 'another';
const CODES: Record<string, Estranged> = { 'app.signed_out_elsewhere': 'ended', 'app.other_account': 'another' };

const estranged = new Set<(how: Estranged) => void>();

/** Called whenever the server no longer knows who is asking, or takes them for somebody else. */
export function onEstranged(listener: (how: Estranged) => void): void {
  estranged.add(listener);
}

async function codeOf(response: Response): Promise<string> {
  const said = (await response
    .clone()
    .json()
    .catch(() => null)) as { code?: string } | null;
  return said?.code ?? '';
}

/** Null where nothing is wrong with who asks. A session that has ended is told by its token before it is told by its absence. */
export function howEstranged(status: number, code: string): Estranged | null {
  if (status === 401 || status === 419) {
    return CODES[code] ?? 'expired';
  }
  return status === 412 ? (CODES[code] ?? null) : null;
}

/** What each call under way makes. */
const made = new Map<string, string>();

api.use({
  async onRequest({ request, schemaPath, id }) {
    request.headers.set('X-XSRF-TOKEN', csrfToken());
    const what = await making(request.method, schemaPath, request);
    if (what !== null) {
      made.set(id, what);
      request.headers.set('Idempotency-Key', nameOf(what));
    }
    for (const [header, is] of [
      ['X-Account', shown.account],
      ['X-Garage', shown.garage],
    ] as const) {
      if (is !== null && !request.headers.has(header)) {
        request.headers.set(header, is);
      }
    }
    return request;
  },
  async onResponse({ response, schemaPath, id }) {
    const what = made.get(id);
    made.delete(id);
    if (what !== undefined && response.status < 500) {
      answered(what);
    }
    const how = schemaPath === '/me' || response.ok ? null : howEstranged(response.status, await codeOf(response));
    if (how !== null) {
      estranged.forEach((tell) => tell(how));
    }
    return response;
  },
  onError({ id, request }) {
    made.delete(id);
    // Where nothing was to be written, nothing was typed.
    return new ApiError(0, say(request.method === 'GET' ? 'api.unreachable_read' : 'api.unreachable'));
  },
});

interface Outcomes<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** The answer of a call, or an ApiError that says what was wrong. */
export async function ask<T>(call: Promise<Outcomes<T>>): Promise<T> {
  const { data, error, response } = await call;
  if (response.ok) {
    return data as T;
  }
  if (response.status === 419) {
    throw new ApiError(419, say('api.stale'));
  }
  const said = (typeof error === 'object' && error !== null ? error : {}) as {
    message?: string;
    errors?: Record<string, string[]>;
    now?: Schemas['OutOfDate']['now'];
  };
  const message = said.message ?? say('api.answered', { status: response.status });
  throw new ApiError(response.status, message, said.errors, said.now);
}
