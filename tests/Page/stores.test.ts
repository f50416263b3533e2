import { useUndo } from '@/stores/undo';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, expect, test, vi } from 'vitest';
import { nextTick } from 'vue';
import type { Terms } from '@/api/client';
import { sameEnds, useRail } from '@/stores/rail';
import { MOST_BESIDE, useForecast } from '@/stores/forecast';
import { useBoard } from '@/stores/board';
import { useGarage } from '@/stores/garage';
import { useTerms } from '@/stores/terms';
import { useUnits } from '@/stores/units';
import { useAccount } from '@/stores/account';

// What the page remembers, and in which order answers may arrive.

interface Asked {
  path: string;
  body: unknown;
  answer: (data: unknown) => void;
  refuse: (message: string, field?: string) => void;
}

const asked = vi.hoisted(() => [] as Asked[]);

vi.mock(import('@/api/client'), async (original) => {
  const real = await original();
  const call = (path: string, init?: { body?: unknown; params?: unknown }) =>
    new Promise((resolve) => {
      asked.push({
        path,
        body: init?.body ?? init?.params,
        answer: (data) => resolve({ data, response: { ok: true, status: 200 } }),
        refuse: (message, field) =>
          resolve({
            error: { message, errors: field ? { [field]: [message] } : {} },
            response: { ok: false, status: 422 },
          }),
      });
    });
  return { ...real, api: { GET: call, POST: call, PUT: call, DELETE: call } as unknown as typeof real.api };
});

/** Lets everything that waits for an answer already given go on. */
const settle = () => new Promise((resolve) => setImmediate(resolve));

const question = (i: number): Asked => {
  const found = asked[i];
  if (!found) {
    throw new Error(`only ${asked.length} asked`);
  }
  return found;
};

const need: Terms['need'] = {
  soc_from: 10,
  soc_to: 80,
  ambient_c: 25,
  pack_prepared: true,
  pack_c: 25,
  ageing: 1,
  rested_minutes: 0,
  idle_minutes: 0,
  member: false,
  begins: {
    neighbour_at_minute: 10,
    neighbour_leaves_at_minute: 20,
    derated_kw: 50,
    next_stop_kw: 100,
    cabin_kw: 1.5,
    prepared_minutes: 20,
    km: 150,
    reserve_soc: 10,
  },
};

const kept = new Map<string, string>();

beforeEach(async () => {
  kept.clear();
  vi.stubGlobal('sessionStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
    removeItem: (key: string) => kept.delete(key),
  });
  setActivePinia(createPinia());
  const loading = [useTerms().load(), useGarage().load()];
  await settle();
  asked.splice(0).forEach(({ path, answer }) =>
    answer(
      path === '/terms'
        ? { sets: {}, outcome_short: { hazard: 'do not' }, couplers: [], sockets: [], retrofits: [], need }
        : {
            vehicles: [{ id: 'car' }, { id: 'van' }],
            adapters: [{ id: 'a1' }],
            kinds: [],
            networks: [],
            tours: [],
            places: [{ id: 'p', outlets: [{ id: 'post', spec: {} }] }],
          },
    ),
  );
  await Promise.all(loading);
});

const fit = (outcome: string) => ({ outlet: 'post', vehicle: 'car', outcome });

test('an answer that comes late does not stand in for a newer one', async () => {
  const rail = useRail();
  const first = rail.choose({ outlet: 'post', vehicle: 'car' });
  const second = rail.choose({ vehicle: 'van' });
  question(1).answer({ ...fit('charges'), vehicle: 'van' });
  question(0).answer(fit('hazard'));
  await Promise.all([first, second]);

  expect(rail.answer).toMatchObject({ vehicle: 'van', outcome: 'charges' });
  expect(rail.vehicle).toMatchObject({ id: 'van' });
});

test('what was refused is told, and the answer that was is gone', async () => {
  const rail = useRail();
  const chosen = rail.choose({ outlet: 'post', vehicle: 'car', adapters: ['a9'] });
  question(0).refuse('adapters[0]: is not in this garage', 'adapters[0]');
  await chosen;

  // The name of a field of the request says nothing to a person.
  expect([rail.answer, rail.error]).toEqual([null, 'Is not in this garage']);
  expect(question(0).body).toMatchObject({ adapters: ['a9'], exact: true });
});

test('a piece that has left the garage is not asked about', async () => {
  const rail = useRail();
  await rail.choose({ outlet: 'post', vehicle: 'sold' });

  expect(asked).toHaveLength(0);
  expect(rail.answer).toBeNull();
});

test('a forecast asks the newest question next, and only that one', async () => {
  const rail = useRail();
  const forecast = useForecast();
  const chosen = rail.choose({ outlet: 'post', vehicle: 'car' });
  question(0).answer(fit('charges'));
  await chosen;
  asked.length = 0;

  const done = forecast.refresh();
  for (const toSoc of [70, 60, 50]) {
    forecast.want({ toSoc });
    void forecast.refresh();
  }
  question(0).answer({ forecasts: [{ minutes: 30 }] });
  await settle();

  expect(asked.map((q) => (q.body as { conditions: { soc_to: number } }).conditions.soc_to)).toEqual([80, 50]);
  question(1).answer({ forecasts: [{ minutes: 12 }, { minutes: 15 }] });
  await done;

  expect(forecast.main).toEqual({ minutes: 12 });
  expect(forecast.others).toEqual([{ minutes: 15 }]);
});

test('a need is what is usual and what was changed, and can be put back', async () => {
  const forecast = useForecast();
  expect([forecast.isUsual, forecast.need.toSoc]).toEqual([true, 80]);

  forecast.want({ toSoc: 60, isMember: true });
  await nextTick();
  expect(forecast.isUsual).toBe(false);
  expect(forecast.conditions).toMatchObject({ soc_from: 10, soc_to: 60, member: true, pack_c: null });
  forecast.want({ isPrepared: false });
  expect(forecast.conditions).toMatchObject({ soc_to: 60, pack_prepared: false, pack_c: 25 });

  forecast.wantUsual();
  expect(forecast.isUsual).toBe(true);
});

test('warmth goes to the pieces that heat, the cable only at the outlet in the rail', async () => {
  const rail = useRail();
  const forecast = useForecast();
  const chosen = rail.choose({ outlet: 'post', vehicle: 'car' });
  question(0).answer({
    ...fit('charges'),
    links: [
      { id: 'post', kind: 'outlet', heats: false },
      { id: 'cable', kind: 'cable', heats: true },
      { id: 'a1', kind: 'adapter', heats: true },
      { id: 'a2', kind: 'adapter', heats: false },
    ],
  });
  await chosen;
  forecast.want({ warmth: 0.6, restedMinutes: 15 });

  expect(forecast.conditions).toMatchObject({ theta: { a1: 0.6 }, rested_minutes: 15 });
  expect(forecast.chains[0]).toMatchObject({ theta: { a1: 0.6, cable: 0.6 } });
  forecast.want({ warmth: 0 });
  expect(forecast.conditions).toMatchObject({ theta: {}, rested_minutes: 0 });
});

test('the newest chains stand beside, each once, and no more than fit', () => {
  const forecast = useForecast();
  const chain = (...adapters: string[]) => ({ outlet: 'post', vehicle: 'car', adapters });
  [chain('a1'), chain(), chain('a1'), chain('a1', 'a1')].forEach((c) => forecast.keepBeside(c));

  expect(forecast.beside).toEqual([chain('a1', 'a1'), chain('a1')]);
  expect(forecast.beside).toHaveLength(MOST_BESIDE);
  forecast.leaveOut(0);
  expect(forecast.beside).toEqual([chain('a1')]);
});

test('two chains have the same ends whatever stands between them', () => {
  expect(sameEnds({ outlet: 'o', vehicle: 'v' }, { outlet: 'o', vehicle: 'v' })).toBe(true);
  expect(sameEnds({ outlet: 'o', vehicle: 'v' }, { outlet: 'o', vehicle: 'w' })).toBe(false);
  expect(sameEnds({ outlet: 'o', vehicle: 'v' }, null)).toBe(false);
});

test('degrees and distances are those of the garage, there and back', () => {
  const account = useAccount();
  const inGarage = (units: 'metric' | 'us') => {
    account.me = { user: { id: 'u' }, garage: { units } } as typeof account.me;
    return useUnits();
  };

  const us = inGarage('us');
  expect([us.celsius(25), us.thermometer(40.04), us.rise(10)]).toEqual(['77 °F', '104.1 °F', '18.0 °F']);
  expect([us.perHour(160.9344), us.gained(16.09344), us.toCelsius(us.degrees(-12.5))]).toEqual([
    '100 mi/h',
    '10 mi gained',
    -12.5,
  ]);
  const metric = inGarage('metric');
  expect([metric.celsius(25), metric.thermometer(40.04), metric.rise(10)]).toEqual(['25 °C', '40.0 °C', '10.0 K']);
  expect([metric.perHour(null), metric.thermometer(null), metric.toCelsius(20)]).toEqual(['?', '–', 20]);
});

/** A garage of so many outlets and ten cars. */
function fleet(outlets: number): { ids: string[]; cars: string[] } {
  const ids = Array.from({ length: outlets }, (_, i) => `o${i}`);
  const cars = Array.from({ length: 10 }, (_, i) => `c${i}`);
  useGarage().$patch({
    vehicles: cars.map((id) => ({ id })) as never,
    places: [{ id: 'p', outlets: ids.map((id) => ({ id, spec: {} })) }] as never,
  });
  return { ids, cars };
}

const query = (i: number) => (question(i).body as { query: Record<string, string> }).query;
const cellsOf = (outlets: string[], cars: string[], outcome: string) => ({
  cells: outlets.flatMap((outlet) => cars.map((vehicle) => ({ outlet, vehicle, outcome }))),
});

test('of a large garage the board asks for what is in view, each pair once', async () => {
  const { ids, cars } = fleet(200);
  const board = useBoard();
  ids.slice(0, 40).forEach((id) => board.see(id, true));
  await settle();

  expect(asked.map((_, i) => query(i).outlets?.split(',').length)).toEqual([30, 10]);
  question(0).answer(cellsOf(ids.slice(0, 30), cars, 'charges'));
  question(1).answer(cellsOf(ids.slice(30, 40), cars, 'limited'));
  await settle();
  expect([board.cells.size, board.cell('o0', 'c9')?.outcome, board.cell('o39', 'c0')?.outcome]).toEqual([
    400,
    'charges',
    'limited',
  ]);

  // Scrolled on and back again: only what is new is asked for.
  board.see('o0', false);
  board.see('o40', true);
  board.see('o0', true);
  await settle();
  expect(query(2)).toMatchObject({ outlets: 'o40' });
  expect(asked).toHaveLength(3);

  // A whole column of the others.
  void board.loadColumn('c3');
  expect(query(3).outlets?.split(',')).toEqual(ids.slice(41));
  expect(query(3)).toMatchObject({ vehicles: 'c3' });
});

test('after a change the board asks anew for what is in view, and an answer from before it is not shown', async () => {
  const { ids, cars } = fleet(200);
  const board = useBoard();
  board.see('o7', true);
  await settle();
  const loaded = board.load();
  expect(query(1)).toMatchObject({ outlets: 'o7' });
  question(1).answer(cellsOf(['o7'], cars, 'limited'));
  question(0).answer(cellsOf(['o7', ...ids.slice(0, 5)], cars, 'charges'));
  await loaded;
  await settle();

  expect([board.cells.size, board.cell('o7', 'c0')?.outcome]).toEqual([10, 'limited']);
});

test('a row that could not be answered is asked for again when it comes back into view', async () => {
  fleet(200);
  const board = useBoard();
  board.see('o7', true);
  await settle();
  question(0).refuse('Somebody else is writing just now.');
  await settle();
  expect(board.error).toBe('Somebody else is writing just now.');
  board.see('o7', true);
  await settle();

  expect(asked).toHaveLength(2);
});

test('a small garage comes as a whole: the top first, and the rest where there is one', async () => {
  const { ids, cars } = fleet(30);
  const board = useBoard();
  const opened = board.open();
  expect(query(0)).toMatchObject({ first: 25 });
  question(0).answer(cellsOf(ids.slice(0, 25), cars, 'charges'));
  await opened;
  void board.complete();
  expect(query(1)).not.toHaveProperty('outlets');
  question(1).answer(cellsOf(ids, cars, 'charges'));
  await settle();
  await board.complete();

  expect([asked.length, board.cells.size]).toEqual([2, 300]);
});

test('what came before another kit was chosen is no part of the board for it', async () => {
  const { ids, cars } = fleet(200);
  const board = useBoard();
  const opened = board.open();
  question(0).answer(cellsOf(ids.slice(0, 25), cars, 'charges'));
  await opened;
  board.kit = 'buy';
  await nextTick();
  await board.complete();
  board.see('o0', true);
  await settle();

  expect(query(1)).toMatchObject({ kit: 'buy', outlets: 'o0' });
});

test('while something is being changed nothing can be undone; if it fails the last offer is there again', async () => {
  const { offer, done, during } = useUndo();
  const first = vi.fn();
  done('Pippin changed.', first);

  let finish: () => void = () => undefined;
  const change = during(() => new Promise<void>((resolve) => (finish = resolve)));
  expect(offer.value).toBeNull();
  finish();
  await change;
  expect(offer.value).toBeNull();

  done('Pippin changed.', first);
  await expect(during(() => Promise.reject(new Error('no network')))).rejects.toThrow('no network');
  expect(offer.value?.text).toBe('Pippin changed.');
  expect(offer.value?.undo).toBe(first);
});
