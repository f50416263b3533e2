import { scaleLinear } from 'd3-scale';
import type { HeldBack, Report } from '@/api/client';
import type { Scale } from '@/chart/useScales';

/** Top and bottom of a panel in the report's chart (px). */
export interface Panel {
  top: number;
  floor: number;
}

/** Room around the panels (px). */
export const EDGE = { left: 48, right: 14, top: 26, bottom: 36 };

/** An upright scale of a panel, from the least to the most, with some room above it. */
export const upright = (panel: Panel, most: number, least = 0): Scale =>
  scaleLinear([least, least + (most - least) * 1.08], [panel.floor, panel.top]);

/** When the last of what is drawn was read (s). */
export function endOf(report: Report): number {
  return Math.max(
    1,
    report.curve.at(-1)?.t_s ?? 0,
    ...(report.judgement.held_back_by ?? []).map((held: HeldBack) => held.to_s),
    ...report.review.warmth.map((point) => point.points.at(-1)?.t_s ?? 0),
  );
}
