export const SECONDS = { minutes: 60, hours: 3600 } as const;
export type TimeUnit = keyof typeof SECONDS;

/** Long sessions are shown in hours. */
export const timeUnit = (lastS: number): TimeUnit => (lastS > 3 * SECONDS.hours ? 'hours' : 'minutes');
