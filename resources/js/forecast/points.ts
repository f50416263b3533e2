import type { ForecastPoint } from '@/api/client';

/** A curve over time or over charge: which of a point's figures stands on the axis below. */
export type Axis = 'time' | 'charge';

export const SECONDS = { minutes: 60, hours: 3600 } as const;
export type TimeUnit = keyof typeof SECONDS;

/** Long sessions are told in hours. */
export const timeUnit = (lastS: number): TimeUnit => (lastS > 3 * SECONDS.hours ? 'hours' : 'minutes');

export const along = (axis: Axis, unit: TimeUnit) => (p: ForecastPoint) =>
  axis === 'time' ? p.t_s / SECONDS[unit] : p.soc;

/** The state of a session between two of its points; what is not a number is that of the earlier one. */
export function pointAt(points: ForecastPoint[], seconds: number): ForecastPoint | null {
  const next = points.findIndex((p) => p.t_s > seconds);
  const left = points[next === -1 ? points.length - 1 : Math.max(0, next - 1)];
  const right = points[next];
  if (!left || !right || seconds <= left.t_s) {
    return left ?? null;
  }
  const share = (seconds - left.t_s) / (right.t_s - left.t_s);
  const mix = (a: number, b: number) => a + share * (b - a);
  return {
    ...left,
    t_s: seconds,
    soc: mix(left.soc, right.soc),
    v: mix(left.v, right.v),
    a: mix(left.a, right.a),
    kw: mix(left.kw, right.kw),
    car_kw: left.car_kw === null || right.car_kw === null ? null : mix(left.car_kw, right.car_kw),
    km_per_hour:
      left.km_per_hour === null || right.km_per_hour === null ? null : mix(left.km_per_hour, right.km_per_hour),
    theta: Object.fromEntries(Object.entries(left.theta).map(([k, v]) => [k, mix(v, right.theta[k] ?? v)])),
  };
}

export interface Band {
  binding: string;
  link: string | null;
  first: ForecastPoint;
  last: ForecastPoint;
  points: ForecastPoint[];
}

/** The stretches of a curve that one link binds, each with the first point of the next so that they meet. */
export function bandsOf(points: ForecastPoint[]): Band[] {
  const bands: Band[] = [];
  for (const point of points) {
    const last = bands.at(-1);
    if (last && last.binding === point.binding && last.link === point.binding_link) {
      last.points.push(point);
      last.last = point;
    } else {
      if (last) {
        last.points.push(point);
        last.last = point;
      }
      bands.push({ binding: point.binding, link: point.binding_link, first: point, last: point, points: [point] });
    }
  }
  return bands.filter((b) => b.points.length > 1);
}

/** Hatchings tell the codes of one chain apart without colour; codes that never meet in a chain may share one. */
const HATCH: Record<string, string> = {
  vehicle_curve: 'plain',
  onboard_charger: 'plain',
  cold_pack: 'dots',
  vehicle_current: 'level',
  station_current: 'rise',
  station_power: 'fall',
  sharing: 'cross',
  cable_current: 'upright',
  adapter_current: 'dense',
  adapter_power: 'level',
  converter_power: 'fall',
  converter_current: 'rise',
  supply_current: 'upright',
};

export const hatchOf = (binding: string): string => HATCH[binding] ?? 'plain';

/** "the station's amps" as a label. */
export const label = (words: string | undefined): string => (words ?? '').replace(/^(the|a) /, '');
