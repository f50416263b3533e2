import { availableParallelism } from 'node:os';

/** Browsers at once, one a core; each has a server and a garage of its own. */
export const WORKERS = Number(process.env.HARMOZON_TEST_WORKERS ?? availableParallelism());

const firstPort = Number(process.env.HARMOZON_TEST_PORT ?? 8179);

export const portOf = (worker: number): number => firstPort + worker;

/** Of a server of a worker's own that a journey may kill. */
export const mortalPortOf = (worker: number): number => firstPort + WORKERS + worker;
