import { ulid } from '@/api/ulid';
import type { EventCode } from '@/offline/pendingActions';
import type { Simulation } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useGarage } from '@/stores/garage';
import { useOutbox } from '@/stores/outbox';
import { say } from '@/words/say';
import type { SimulationQuestion } from '@/bench/usePlay';

export type Taken = NonNullable<Simulation['taken']>[number];

/** Starts a session of the chain that is played, and writes simulated readings into it. All of it goes through the outbox. */
export function useRecording() {
  const account = useAccount();
  const garage = useGarage();
  const outbox = useOutbox();

  /**
   * @param secondsAgo when it began: what has been played by now lies in the past
   * @returns the session's id
   */
  async function begin(question: SimulationQuestion, session: Simulation, secondsAgo: number): Promise<string> {
    const car = garage.vehicle(question.vehicle);
    const outlet = garage.outlet(question.outlet);
    const garageId = account.me?.garage?.id;
    if (!car || !outlet || garageId === undefined) {
      throw new Error(say('play.chain_gone'));
    }
    const id = ulid();
    const startedMs = Date.now() - 1000 * secondsAgo;
    const adapters = question.adapters ?? [];
    const note = say('play.recorded', { seed: session.seed });
    await outbox.begin(
      {
        id,
        garage: garageId,
        startedMs,
        car: { id: car.id, name: car.name },
        outlet: { id: outlet.id, name: outlet.name },
        adapters: adapters.map((a) => ({ id: a, name: session.links.find((l) => l.id === a)?.name ?? a })),
        stall: null,
        note,
        question: null,
        visit: null,
      },
      {
        kind: 'begin',
        startedMs,
        body: {
          outlet: outlet.id,
          vehicle: car.id,
          adapters,
          policy: question.policy ?? 'certified',
          note,
          stall: null,
          conditions: question.conditions ?? {},
        },
      },
    );
    return id;
  }

  const reading = (session: string, taken: Taken): Promise<void> =>
    outbox.add(session, { kind: 'reading', reading: { client_id: ulid(), ...taken } });

  const event = (session: string, found: Simulation['events'][number]): Promise<void> =>
    outbox.add(session, {
      kind: 'event',
      event: { client_id: ulid(), t_s: found.t_s, code: found.code as EventCode, detail: found.detail },
    });

  return { begin, reading, event };
}
