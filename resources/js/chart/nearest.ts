/** The point nearest to a moment: nothing is interpolated between readings. */
export const nearestTo = <T extends { t_s: number }>(points: T[], seconds: number): T | null =>
  points.reduce<T | null>(
    (best, p) => (best === null || Math.abs(p.t_s - seconds) < Math.abs(best.t_s - seconds) ? p : best),
    null,
  );
