import type { ForecastPoint } from '@/api/client';

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
