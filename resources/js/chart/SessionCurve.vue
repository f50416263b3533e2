<script setup lang="ts">
import { area, line } from 'd3-shape';
import { computed, ref } from 'vue';
import type { CurvePoint } from '@/api/client';
import ChartFrame from '@/chart/ChartFrame.vue';
import ChartGrid from '@/chart/ChartGrid.vue';
import { nearestTo } from '@/chart/nearest';
import { SECONDS, timeUnit } from '@/chart/timeUnit';
import { useCursor } from '@/chart/useCursor';
import { useFrame } from '@/chart/useFrame';
import { useScales, type Scale } from '@/chart/useScales';
import { clock, quantity } from '@/ui/figures';
import { listed, say } from '@/words/say';

/** Power, current and voltage of a session over time, as they were read. */
const props = defineProps<{ curve: CurvePoint[] }>();

type Figure = 'kw' | 'a' | 'v';

/** So few readings are marked one by one. */
const MARKED = 40;

const frame = useFrame();
const cursorS = ref<number | null>(null);
const lastS = computed(() => props.curve.at(-1)?.t_s ?? 0);
const unit = computed(() => timeUnit(lastS.value));
const at = (p: CurvePoint) => p.t_s / SECONDS[unit.value];
const most = (...figures: Figure[]) => Math.max(1, ...props.curve.flatMap((p) => figures.map((f) => p[f] ?? 0)));
const spans = computed(() => ({
  x: [0, Math.max(lastS.value, 1) / SECONDS[unit.value]] as const,
  y: most('kw'),
  y2: most('a', 'v'),
}));
const { width, height, edge, x, y, y2 } = useScales(frame, spans);

/** A line is broken where a figure was neither read nor follows from the rest. */
const path = (figure: Figure, scale: Scale) =>
  line<CurvePoint>()
    .defined((p) => p[figure] !== null)
    .x((p) => x.value(at(p)))
    .y((p) => scale(p[figure] ?? 0))(props.curve) ?? '';
const below = computed(
  () =>
    area<CurvePoint>()
      .defined((p) => p.kw !== null)
      .x((p) => x.value(at(p)))
      .y0(y.value(0))
      .y1((p) => y.value(p.kw ?? 0))(props.curve) ?? '',
);
const marks = computed(() => (props.curve.length < MARKED ? props.curve.filter((p) => p.kw !== null) : []));

const nearest = computed(() => (cursorS.value === null ? null : nearestTo(props.curve, cursorS.value)));
const heard = computed(() => {
  const p = nearest.value;
  if (!p) {
    return say('forecast.cursor_unset');
  }
  const values = (['kw', 'a', 'v'] as const).flatMap((figure) => {
    const value = p[figure];
    return value === null ? [] : [quantity(value, figure)];
  });
  return say('report.curve_at', { time: clock(p.t_s), values: listed('dot', values) || say('report.not_read') });
});
const { follow, step } = useCursor(frame, cursorS, x, lastS, (value) => value * SECONDS[unit.value]);
</script>

<template>
  <figure class="session">
    <figcaption>
      <ul class="legend">
        <li v-for="f in ['kw', 'a', 'v'] as const" :key="f">
          <svg class="chart-key" width="22" height="8" aria-hidden="true"><path d="M0 4H22" :class="f" /></svg>
          {{ { kw: say('unit.kw'), a: say('unit.amps'), v: say('unit.volts') }[f] }}
        </li>
      </ul>
      <span class="figures" :class="{ quiet: !nearest, 'screen-only': !nearest }">{{
        nearest ? heard : say('forecast.cursor_how')
      }}</span>
    </figcaption>
    <ChartFrame
      ref="frame"
      :label="say('report.curve')"
      :last-s="lastS"
      :cursor-s="cursorS"
      :heard="heard"
      :width="width"
      :height="height"
      @pointermove="follow"
      @pointerdown="follow"
      @keydown="step"
    >
      <ChartGrid
        :width="width"
        :height="height"
        :edge="edge"
        :x="x"
        :y="y"
        :y2="y2"
        :y-unit="say('unit.kw')"
        :y2-unit="say('unit.volts_amps')"
        :x-unit="unit === 'hours' ? say('forecast.hours_since') : say('forecast.minutes_since')"
      />
      <path class="below" :d="below" />
      <line class="floor" :x1="edge.left" :x2="width - edge.right" :y1="y(0)" :y2="y(0)" />
      <template v-if="y2">
        <path class="volts" :d="path('v', y2)" />
        <path class="amps" :d="path('a', y2)" />
      </template>
      <path class="power" :d="path('kw', y)" />
      <rect
        v-for="p in marks"
        :key="p.t_s"
        class="mark"
        :x="x(at(p)) - 2.5"
        :y="y(p.kw ?? 0) - 2.5"
        width="5"
        height="5"
      />
      <g v-if="nearest" class="cursor">
        <line :x1="x(at(nearest))" :x2="x(at(nearest))" :y1="edge.top" :y2="y(0)" />
        <rect v-if="nearest.kw !== null" :x="x(at(nearest)) - 4.5" :y="y(nearest.kw) - 4.5" width="9" height="9" />
      </g>
    </ChartFrame>
  </figure>
</template>

<style scoped>
.session {
  display: flex;
  flex-direction: column;
  gap: var(--space-2);
  margin: 0;
  min-width: 0;
}

figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-7);
  justify-content: space-between;
  min-height: 24px;
  font-size: var(--size-small);
}

.legend {
  display: flex;
  gap: var(--space-7);
  margin: 0;
  padding: 0;
  list-style: none;
}

.legend svg {
  margin-inline-end: var(--space-2);
}

.legend path {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.6;
}

.legend .kw {
  stroke: var(--copper);
  stroke-width: 2.6;
}

.legend .v {
  stroke-dasharray: 5 3;
}

.chart {
  flex: 1;
}

.below {
  fill: var(--copper-wash);
}

.mark {
  fill: var(--copper);
}
</style>
