import { say } from '@/words/say';

/** At how many chargers, or kinds of charger, a car charges: what is counted is always said. */
export function counted(n: number, all: number, areKinds: boolean): { short: string; long: string } {
  return {
    short: say('board.count', { n, all }),
    long: say(areKinds ? 'board.count_kinds' : 'board.count_chargers', { n, all }),
  };
}
