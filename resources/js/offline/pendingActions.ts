import type { components } from '@/api/schema';
import type { Reading } from '@/api/client';

type Schemas = components['schemas'];
export type EventCode = Schemas['EventCode'];

/** One action at the car. Sent twice, it changes nothing the second time. */
export type Doing =
  | { kind: 'begin'; body: Schemas['BeginSession']; startedMs: number }
  | { kind: 'reading'; reading: Reading }
  | { kind: 'forget'; clientId: string }
  | { kind: 'event'; event: { client_id: string; t_s: number; code: EventCode; detail: string | null } }
  | { kind: 'forgetEvent'; clientId: string }
  | { kind: 'photo'; id: string; tS: number; file: Blob }
  | { kind: 'correct'; fields: Schemas['SessionCorrection'] }
  | { kind: 'finish'; tS: number }
  | { kind: 'discard' };

export type Act = Doing & {
  /** Its place in the queue; given when it is written down. */
  n?: number;
  session: string;
  garage: string;
  /** Whose it is; missing where it was written down before that was noted. */
  account?: string;
  /** It was sent at least once: the server may have it, whether or not its answer came back. */
  isTried?: boolean;
  /** Why the server will not have it; it stays until somebody says what becomes of it. */
  refused?: string;
};
