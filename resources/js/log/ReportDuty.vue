<script setup lang="ts">
import { area, curveStepAfter, line } from 'd3-shape';
import { computed } from 'vue';
import type { SessionReview } from '@/api/client';
import { plain } from '@/words/habits';
import { percent } from '@/ui/figures';
import { say } from '@/words/say';
import { EDGE, upright, type Panel } from './axis';

type Duty = SessionReview['duty'][number];
type Point = Duty['points'][number];

/** The current through a piece compared with what its rating allows at every moment, and its thermal load as a filling bar. */
const props = defineProps<{
  duty: Duty;
  /** The highest thermal load, as the ratings check has it: the points of a curve are means. */
  reached: number | null;
  strip: Panel;
  heat: Panel;
  at: (seconds: number) => number;
  width: number;
  hatch: string;
  span: [number, number];
}>();

/** Cells of the heat bar. */
const CELLS = 30;

const y = computed(() => upright(props.strip, Math.max(1, ...props.duty.points.flatMap((p) => [p.a, p.allowed_a]))));
const amps = computed(
  () =>
    line<Point>()
      .x((p) => props.at(p.t_s))
      .y((p) => y.value(p.a))(props.duty.points) ?? '',
);
const allowed = computed(
  () =>
    line<Point>()
      .curve(curveStepAfter)
      .x((p) => props.at(p.t_s))
      .y((p) => y.value(p.allowed_a))(props.duty.points) ?? '',
);
/** Where more flowed than was allowed then. */
const over = computed(() =>
  area<Point>()
    .curve(curveStepAfter)
    .x((p) => props.at(p.t_s))
    .y0((p) => y.value(p.allowed_a))
    .y1((p) => y.value(Math.max(p.a, p.allowed_a)))(props.duty.points),
);
const levels = computed(() => [...new Set(props.duty.points.map((p) => Math.round(p.allowed_a)))].slice(0, 3));
const cells = computed(() => {
  const [from, to] = props.span;
  return Array.from({ length: CELLS }, (_, i) => {
    const [start, end] = [from + ((to - from) * i) / CELLS, from + ((to - from) * (i + 1)) / CELLS];
    const before = props.duty.points.filter((p) => p.t_s <= end);
    const theta = before.at(-1)?.theta ?? 0;
    return { x: props.at(start), width: Math.max(0, props.at(end) - props.at(start) - 2), theta };
  });
});
const hottest = computed(() =>
  props.duty.points.reduce<Point | null>((best, p) => (best === null || p.theta > best.theta ? p : best), null),
);
</script>

<template>
  <g>
    <text class="tick" :x="EDGE.left - 8" :y="strip.top - 9" text-anchor="end">{{ say('unit.amps') }}</text>
    <text v-for="level in levels" :key="level" class="tick" :x="EDGE.left - 8" :y="y(level) + 4" text-anchor="end">
      {{ plain(level) }}
    </text>
    <g :clip-path="`url(#${hatch}-clip)`">
      <path v-if="over" class="over" :d="over" />
      <path class="allowed" :d="allowed" />
      <path class="carried" :d="amps" />
    </g>
    <line class="floor" :x1="EDGE.left" :x2="width - EDGE.right" :y1="strip.floor" :y2="strip.floor" />
    <text class="note" :x="width - EDGE.right" :y="strip.top - 6" text-anchor="end">
      {{ say('report.allows', { name: duty.name }) }}
    </text>
    <text class="tick" :x="EDGE.left - 8" :y="heat.top + 15" text-anchor="end">{{ say('report.heat') }}</text>
    <rect
      v-for="(cell, i) in cells"
      :key="i"
      class="cell"
      :x="cell.x"
      :y="heat.top"
      :width="cell.width"
      :height="heat.floor - heat.top"
      :style="{ fillOpacity: Math.min(1, 0.08 + 0.92 * cell.theta) }"
    />
    <template v-if="hottest">
      <text class="note" :x="width - EDGE.right" :y="heat.floor + 14" text-anchor="end">
        {{ say('report.heat_reached', { theta: percent(reached ?? hottest.theta) }) }}
      </text>
    </template>
  </g>
</template>

<style scoped>
.tick,
.note {
  fill: var(--ink-soft);
  font-family: var(--face-wide);
  font-size: var(--size-small);
  font-variant-numeric: tabular-nums;
}

.note {
  font-family: var(--face-text);
}

.allowed {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}

.carried {
  fill: none;
  stroke: var(--copper);
  stroke-width: 2;
}

.over {
  fill: var(--brick);
  opacity: 0.75;
}

.cell {
  fill: var(--copper);
}
</style>
