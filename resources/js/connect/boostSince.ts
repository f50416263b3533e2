import type { TakenReading } from './sessionState';

/**
 * Seconds that amps may have been above a limit since the newest reading that was judged: a stretch counts whole where it
 * begins or ends above. What waits on the device is counted too, so that nothing is given back while there is no network.
 *
 * @param readings newest first
 * @param elapsedS now, since the session began
 */
export function mayBeAboveS(readings: TakenReading[], elapsedS: number, limitA: number): number {
  let toS = elapsedS;
  let isAboveAfter = false;
  let aboveS = 0;
  for (const reading of readings) {
    if (reading.amps === null || reading.amps === undefined) {
      if (reading.isWaiting) {
        continue;
      }
      break;
    }
    const isAbove = reading.amps > limitA;
    if (isAbove || isAboveAfter) {
      aboveS += Math.max(0, toS - reading.t_s);
    }
    [toS, isAboveAfter] = [reading.t_s, isAbove];
    if (!reading.isWaiting) {
      break;
    }
  }
  return aboveS;
}
