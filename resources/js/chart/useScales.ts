import { useElementSize } from '@vueuse/core';
import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { computed, type ComputedRef, type Ref } from 'vue';

export type Scale = ScaleLinear<number, number>;

/** The ranges of a chart's axes, in the units they are drawn in. */
export interface Spans {
  x: readonly [from: number, to: number];
  /** The highest value of the left axis; it begins at 0. */
  y: number;
  /** The same of the right axis; null without one. */
  y2: number | null;
}

export interface Edge {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** Room above the highest value, so that a curve does not touch the edge. */
const HEADROOM = 1.06;

/** The size of a chart and the scales of its axes, which follow it. */
export function useScales(frame: Readonly<Ref<HTMLElement | null>>, spans: ComputedRef<Spans>) {
  const { width, height } = useElementSize(frame);
  const edge = computed<Edge>(() => ({ left: 42, right: spans.value.y2 === null ? 12 : 46, top: 16, bottom: 34 }));
  const x = computed<Scale>(() =>
    scaleLinear(spans.value.x, [edge.value.left, Math.max(60, width.value) - edge.value.right]),
  );
  const upright = (most: number): Scale =>
    scaleLinear([0, most * HEADROOM], [Math.max(80, height.value) - edge.value.bottom, edge.value.top]);
  const y = computed(() => upright(spans.value.y));
  const y2 = computed(() => (spans.value.y2 === null ? null : upright(spans.value.y2)));

  return { width, height, edge, x, y, y2 };
}
