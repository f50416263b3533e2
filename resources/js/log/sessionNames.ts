import type { SessionLine } from '@/api/client';
import { listed, say } from '@/words/say';

/** Letters for the sessions that another is compared with; the session itself is A. */
export const BASELINE_LETTERS = ['B', 'C', 'D', 'E', 'F'];

const names = (session: SessionLine): string =>
  listed(
    'and',
    session.adapters.map((a) => a.name),
  );

/** The adapters of a session, in a list of its marks. */
export const adaptersOf = (session: SessionLine): string => names(session) || say('log.direct');

/** The way through its adapters, as a phrase. */
export const wayOf = (session: SessionLine): string =>
  names(session) ? say('connect.through', { adapters: names(session) }) : say('log.direct');
