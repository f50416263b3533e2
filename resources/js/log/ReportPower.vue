<script setup lang="ts">
import { area, line } from 'd3-shape';
import { computed } from 'vue';
import type { CurvePoint, HeldBack, Report } from '@/api/client';
import { hatchOf } from '@/chart/hatch';
import { plain } from '@/words/habits';
import { say } from '@/words/say';
import { EDGE, upright, type Panel } from './axis';

/** Measured power, cut into bands by what limited it, with the forecast and baselines over it. */
const props = defineProps<{
  report: Report;
  panel: Panel;
  at: (seconds: number) => number;
  width: number;
  hatch: string;
  shows: { forecast: boolean; baselines: boolean };
}>();
const emit = defineEmits<{ look: [from: number, to: number] }>();

const LETTER_PX = 6.6;
const AROUND_PX = 14;

const y = computed(() =>
  upright(
    props.panel,
    Math.max(
      5,
      ...props.report.curve.map((p) => p.kw ?? 0),
      ...(props.shows.forecast ? props.report.review.expected.map((p) => p.kw) : []),
      ...(props.shows.baselines ? props.report.baselines.flatMap((b) => b.curve.map((p) => p.kw ?? 0)) : []),
    ),
  ),
);
const path = (points: { t_s: number; kw: number | null }[]) =>
  line<{ t_s: number; kw: number | null }>()
    .defined((p) => p.kw !== null)
    .x((p) => props.at(p.t_s))
    .y((p) => y.value(p.kw ?? 0))(points) ?? '';

/** The power at a moment, straight between its neighbours. */
function kwAt(seconds: number): number | null {
  const next = props.report.curve.findIndex((p) => p.t_s >= seconds);
  const after = props.report.curve[next];
  const before = props.report.curve[Math.max(0, next - 1)];
  if (!after || !before || after.kw === null || before.kw === null) {
    return after?.kw ?? before?.kw ?? null;
  }
  const length = after.t_s - before.t_s;
  return length <= 0 ? after.kw : before.kw + ((after.kw - before.kw) * (seconds - before.t_s)) / length;
}
function under(segment: HeldBack): CurvePoint[] {
  const inside = props.report.curve.filter((p) => p.t_s > segment.from_s && p.t_s < segment.to_s && p.kw !== null);
  const end = (t_s: number): CurvePoint => ({ t_s, soc: null, v: null, a: null, kw: kwAt(t_s) });
  return [end(segment.from_s), ...inside, end(segment.to_s)].filter((p) => p.kw !== null);
}
const bands = computed(() =>
  (props.report.judgement.held_back_by ?? [])
    .filter((segment) => segment.cause !== 'not_enough_readings' && segment.to_s > segment.from_s)
    .map((segment) => {
      const [left, right] = [props.at(segment.from_s), props.at(segment.to_s)];
      const inView = Math.min(right, props.width - EDGE.right) - Math.max(left, EDGE.left);
      return {
        segment,
        d:
          area<CurvePoint>()
            .x((p) => props.at(p.t_s))
            .y0(y.value(0))
            .y1((p) => y.value(p.kw ?? 0))(under(segment)) ?? '',
        // What the car itself sets, and what nothing explains, is drawn in ink.
        fill: `url(#${props.hatch}-${segment.of_car || segment.cause === 'unexplained' ? 'own' : 'held'}-${hatchOf(segment.cause)})`,
        middle: (Math.max(left, EDGE.left) + Math.min(right, props.width - EDGE.right)) / 2,
        isNamed: inView > segment.words.length * LETTER_PX + AROUND_PX,
      };
    }),
);
</script>

<template>
  <g>
    <template v-for="tick in y.ticks(4)" :key="tick">
      <line class="grid-line" :x1="EDGE.left" :x2="width - EDGE.right" :y1="y(tick)" :y2="y(tick)" />
      <text class="tick" :x="EDGE.left - 8" :y="y(tick) + 4" text-anchor="end">{{ plain(tick) }}</text>
    </template>
    <text class="tick" :x="EDGE.left - 8" :y="panel.top - 13" text-anchor="end">{{ say('unit.kw') }}</text>
    <g :clip-path="`url(#${hatch}-clip)`">
      <path
        v-for="band in bands"
        :key="band.segment.from_s"
        :d="band.d"
        :fill="band.fill"
        @dblclick.stop="emit('look', band.segment.from_s, band.segment.to_s)"
      />
      <template v-if="shows.baselines">
        <path v-for="b in report.baselines" :key="b.id" class="baseline" :d="path(b.curve)" />
      </template>
      <path v-if="shows.forecast" class="forecast" :d="path(report.review.expected)" />
      <path class="power" :d="path(report.curve)" />
    </g>
    <line class="floor" :x1="EDGE.left" :x2="width - EDGE.right" :y1="y(0)" :y2="y(0)" />
    <template v-for="band in bands" :key="band.segment.from_s">
      <text v-if="band.isNamed" class="name" :x="band.middle" :y="panel.floor - 10" text-anchor="middle">
        {{ band.segment.words }}
      </text>
    </template>
  </g>
</template>

<style scoped>
.forecast {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
  stroke-dasharray: 2 3;
}

.baseline {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.6;
}
</style>
