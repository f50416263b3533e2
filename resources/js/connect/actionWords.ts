import type { Act } from '@/offline/pendingActions';
import { useTerms } from '@/stores/terms';
import { useUnits } from '@/stores/units';
import { clock, number } from '@/ui/figures';
import { listed, say } from '@/words/say';
import type { Code } from '@/words/say';
import { points } from './points';

const QUANTITIES: Record<string, Code> = {
  soc_pct: 'figure.percent',
  volts: 'figure.volts',
  amps: 'figure.amps',
  kw: 'figure.kw',
};

/** A pending action in words, with every value that was typed. */
export function actWords(act: Act): string {
  const terms = useTerms();
  const { thermometer } = useUnits();
  switch (act.kind) {
    case 'begin':
      return say('act.begin');
    case 'reading': {
      const values = Object.entries(QUANTITIES).flatMap(([name, code]) => {
        const value = act.reading[name as keyof typeof act.reading];
        return typeof value === 'number' ? [say(code, { n: number(value, 1) })] : [];
      });
      const heat = points().flatMap((p) => {
        const c = act.reading[`${p}_c`];
        return typeof c === 'number' ? [thermometer(c)] : [];
      });
      return say('act.reading', { time: clock(act.reading.t_s), values: listed('comma', [...values, ...heat]) });
    }
    case 'photo':
      return say('act.photo', { time: clock(act.tS) });
    case 'event':
      return say('act.event', { time: clock(act.event.t_s), event: terms.words('event', act.event.code) });
    case 'correct':
      return say('act.correct', {
        values: listed(
          'comma',
          Object.values(act.fields).flatMap((v) =>
            typeof v === 'object' && v !== null ? [say('act.money', { ...v })] : v === null ? [] : [String(v)],
          ),
        ),
      });
    case 'finish':
      return say('act.finish', { time: clock(act.tS) });
    case 'forget':
    case 'forgetEvent':
      return say('act.forget');
    case 'discard':
      return say('act.discard');
  }
}
