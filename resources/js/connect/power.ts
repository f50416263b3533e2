/**
 * Power, volts and amps, each from the other two. Shown while one types, also without a network; what is kept and judged is
 * derived by the server.
 *
 * @param phases that carry the current; 1 for DC
 */
export const kwOf = (volts: number, amps: number, phases: number): number => (volts * amps * phases) / 1000;
export const ampsOf = (kw: number, volts: number, phases: number): number => (kw * 1000) / (volts * phases);
export const voltsOf = (kw: number, amps: number, phases: number): number => (kw * 1000) / (amps * phases);
