import type { Adapter, Trust } from '@/api/client';
import type { Code } from '@/words/say';

/** What an adapter needs before it is used; `stop` means that it must not be used. */
export interface Due {
  words: Code;
  figures: Record<string, string>;
  stop: boolean;
}

/** The most pressing thing about an adapter; null where there is none. */
export function due(adapter: Adapter, trust: Trust | undefined): Due | null {
  const { spec } = adapter;
  const say = (words: Code, stop = false, figures: Record<string, string> = {}): Due => ({ words, stop, figures });
  if (spec.recalled) {
    return say('crate.recalled', true);
  }
  if (spec.damaged) {
    return say('crate.damaged', true);
  }
  if (spec.test_overdue) {
    return say('crate.overdue');
  }
  if (spec.translates && spec.battery_ok === false) {
    return say('crate.charge');
  }
  if (spec.lent_to) {
    return say('crate.lent', false, { who: spec.lent_to });
  }
  if (trust?.next_test.due) {
    return say(trust.sessions === 0 ? 'crate.first_test' : 'crate.test');
  }
  return null;
}
