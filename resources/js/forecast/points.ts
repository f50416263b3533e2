import type { ForecastPoint } from '@/api/client';
import { SECONDS, type TimeUnit } from '@/chart/timeUnit';

/** A curve over time or over charge: which value of a point is on the horizontal axis. */
export type Axis = 'time' | 'charge';

export const along = (axis: Axis, unit: TimeUnit) => (p: ForecastPoint) =>
  axis === 'time' ? p.t_s / SECONDS[unit] : p.soc;

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

/** When a charge is reached: over charge the handshake has no width, and between two points the charge rises evenly enough. */
export function secondsAtSoc(points: ForecastPoint[], soc: number): number {
  const next = points.findIndex((p) => p.soc > soc);
  const [left, right] = [points[next - 1], points[next]];
  if (!right) {
    return points.at(-1)?.t_s ?? 0;
  }
  return left ? left.t_s + Math.max(0, (soc - left.soc) / (right.soc - left.soc)) * (right.t_s - left.t_s) : right.t_s;
}
