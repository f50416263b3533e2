<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { computed, useId, useTemplateRef } from 'vue';
import type { Forecast, ForecastPoint } from '@/api/client';
import { clock, kw as kwWords } from '@/ui/words';
import HatchDefs from './HatchDefs.vue';
import { along, bandsOf, hatchOf, label, pointAt, SECONDS, timeUnit, type Axis } from './points';

/** Power over time or charge; the area under the first curve is cut into bands by the link that binds. */
const props = defineProps<{
  main: Forecast;
  others: Forecast[];
  axis: Axis;
  showsVoltsAmps: boolean;
}>();
/** Seconds after plugging in at which the cursor stands on the first curve. */
const cursorS = defineModel<number | null>('cursor', { required: true });

const hatch = useId();
const frame = useTemplateRef<HTMLElement>('frame');
const { width, height } = useElementSize(frame);
const edge = computed(() => ({ left: 42, right: props.showsVoltsAmps ? 46 : 12, top: 16, bottom: 34 }));

const all = computed(() => [props.main, ...props.others]);
const unit = computed(() => timeUnit(Math.max(...all.value.map((f) => f.points.at(-1)?.t_s ?? 0))));
const at = computed(() => along(props.axis, unit.value));
const span = computed(() => {
  const ends = all.value.flatMap((f) => [f.points[0], f.points.at(-1)]).filter((p) => p !== undefined);
  const values = ends.map(at.value);
  return [Math.min(...values), Math.max(...values, Math.min(...values) + 1)] as const;
});
const most = (figure: (p: ForecastPoint) => number, of: Forecast[]) =>
  Math.max(1, ...of.flatMap((f) => f.points.map(figure)));
const x = computed(() => scaleLinear(span.value, [edge.value.left, Math.max(60, width.value) - edge.value.right]));
const y = computed(() =>
  scaleLinear(
    [
      0,
      Math.max(
        most((p) => p.kw, all.value),
        most((p) => p.car_kw ?? 0, [props.main]),
      ) * 1.06,
    ],
    [Math.max(80, height.value) - edge.value.bottom, edge.value.top],
  ),
);
const yVoltsAmps = computed(() =>
  scaleLinear([0, most((p) => Math.max(p.v, p.a), [props.main]) * 1.06], y.value.range()),
);

const path = (of: ForecastPoint[], figure: (p: ForecastPoint) => number, scale: typeof y.value) =>
  line<ForecastPoint>()
    .x((p) => x.value(at.value(p)))
    .y((p) => scale(figure(p)))(of) ?? '';

/** What the car alone would take: the gap below it is what the chain costs. */
const carKw = computed(() => {
  const known = props.main.points.filter((p) => p.car_kw !== null && p.binding !== 'handshake');
  return known.length > 1 ? path(known, (p) => p.car_kw ?? 0, y.value) : '';
});

const bands = computed(() =>
  bandsOf(props.main.points)
    .filter((b) => b.binding !== 'handshake')
    .map((b) => {
      const named = props.main.bindings[b.binding];
      const [left, right] = [x.value(at.value(b.first)), x.value(at.value(b.last))];
      const words = label(named?.words);
      return {
        key: `${b.binding} ${b.first.t_s}`,
        d:
          area<ForecastPoint>()
            .x((p) => x.value(at.value(p)))
            .y0(y.value(0))
            .y1((p) => y.value(p.kw))(b.points) ?? '',
        fill: `url(#${hatch}-${named?.is_vehicles_own === false ? 'held' : 'own'}-${hatchOf(b.binding)})`,
        words,
        middle: (left + right) / 2,
        // A name that does not fit stands in the legend only.
        isNamed: right - left > words.length * 6.4 + 12,
      };
    }),
);
/** Where the other curves end, for their letters. */
const ends = computed(() =>
  props.others.flatMap((f, i) => {
    const end = f.points.at(-1);
    return end ? [{ letter: 'BC'[i], x: x.value(at.value(end)) - 4, y: y.value(end.kw) - 7 }] : [];
  }),
);
const voltsAmps = computed(() => {
  const end = props.main.points.at(-1);
  return end
    ? [
        { letter: 'V', x: x.value(at.value(end)) - 6, y: yVoltsAmps.value(end.v) },
        { letter: 'A', x: x.value(at.value(end)) - 6, y: yVoltsAmps.value(end.a) },
      ]
    : [];
});
const cursor = computed(() => (cursorS.value === null ? null : pointAt(props.main.points, cursorS.value)));
const cursorX = computed(() => (cursor.value ? x.value(at.value(cursor.value)) : 0));
const lastS = computed(() => props.main.points.at(-1)?.t_s ?? 0);
const heard = computed(() =>
  cursor.value
    ? `${clock(cursor.value.t_s)}, ${cursor.value.soc.toFixed(0)} %, ${kwWords(cursor.value.kw)} kW, held by ${props.main.bindings[cursor.value.binding]?.words ?? cursor.value.binding}`
    : 'not set',
);

function follow(event: PointerEvent): void {
  const box = frame.value?.getBoundingClientRect();
  if (!box) {
    return;
  }
  const value = x.value.invert(event.clientX - box.left);
  if (props.axis === 'time') {
    cursorS.value = Math.min(lastS.value, Math.max(0, value * SECONDS[unit.value]));
    return;
  }
  // Over charge the handshake has no width; between two points the charge rises evenly enough.
  const next = props.main.points.findIndex((p) => p.soc > value);
  const [left, right] = [props.main.points[Math.max(0, next - 1)], props.main.points[next]];
  cursorS.value =
    left && right && right.soc > left.soc
      ? Math.max(left.t_s, left.t_s + ((value - left.soc) / (right.soc - left.soc)) * (right.t_s - left.t_s))
      : lastS.value;
}

function step(event: KeyboardEvent): void {
  const stride = event.shiftKey ? 10 : 1;
  const moves: Record<string, number> = { ArrowLeft: -stride, ArrowDown: -stride, ArrowRight: stride, ArrowUp: stride };
  const moved = moves[event.key];
  if (moved !== undefined) {
    cursorS.value = Math.min(lastS.value, Math.max(0, (cursorS.value ?? 0) + (moved * lastS.value) / 100));
  } else if (event.key === 'Home' || event.key === 'End') {
    cursorS.value = event.key === 'Home' ? 0 : lastS.value;
  } else if (event.key === 'Escape') {
    cursorS.value = null;
  } else {
    return;
  }
  event.preventDefault();
  event.stopPropagation();
}
</script>

<template>
  <div
    ref="frame"
    class="chart"
    role="slider"
    tabindex="0"
    aria-label="Cursor on the power curve"
    :aria-valuemin="0"
    :aria-valuemax="Math.round(lastS)"
    :aria-valuenow="Math.round(cursorS ?? 0)"
    :aria-valuetext="heard"
    @pointermove="follow"
    @pointerdown="follow"
    @keydown="step"
  >
    <svg v-if="width > 0" :width="width" :height="height" aria-hidden="true" focusable="false">
      <HatchDefs :prefix="hatch" />
      <g class="grid">
        <template v-for="tick in y.ticks(5)" :key="tick">
          <line :x1="edge.left" :x2="width - edge.right" :y1="y(tick)" :y2="y(tick)" />
          <text :x="edge.left - 7" :y="y(tick) + 4" text-anchor="end">{{ tick }}</text>
        </template>
        <template v-for="tick in x.ticks(Math.max(3, Math.floor(width / 90)))" :key="tick">
          <text :x="x(tick)" :y="height - edge.bottom + 16" text-anchor="middle">{{ tick }}</text>
        </template>
        <text class="unit" :x="edge.left - 7" :y="edge.top - 5" text-anchor="end">kW</text>
        <text class="unit" :x="width - edge.right" :y="height - 4" text-anchor="end">
          {{ axis === 'time' ? `${unit} since plugging in` : 'charge, %' }}
        </text>
      </g>
      <path v-for="band in bands" :key="band.key" class="band" :d="band.d" :fill="band.fill" />
      <line class="floor" :x1="edge.left" :x2="width - edge.right" :y1="y(0)" :y2="y(0)" />
      <path
        v-for="(other, i) in others"
        :key="other.chain.join()"
        class="other"
        :class="`o${i}`"
        :d="path(other.points, (p) => p.kw, y)"
      />
      <path v-if="carKw" class="car" :d="carKw" />
      <path class="power" :d="path(main.points, (p) => p.kw, y)" />
      <template v-if="showsVoltsAmps">
        <path class="volts" :d="path(main.points, (p) => p.v, yVoltsAmps)" />
        <path class="amps" :d="path(main.points, (p) => p.a, yVoltsAmps)" />
        <text v-for="mark in voltsAmps" :key="mark.letter" class="name" :x="mark.x" :y="mark.y - 5" text-anchor="end">
          {{ mark.letter }}
        </text>
        <g class="grid">
          <text v-for="tick in yVoltsAmps.ticks(5)" :key="tick" :x="width - edge.right + 7" :y="yVoltsAmps(tick) + 4">
            {{ tick }}
          </text>
          <text class="unit" :x="width - edge.right + 7" :y="edge.top - 5">V, A</text>
        </g>
      </template>
      <g v-for="band in bands" :key="band.key">
        <text v-if="band.isNamed" class="name" :x="band.middle" :y="y(0) - 10" text-anchor="middle">
          {{ band.words }}
        </text>
      </g>
      <text v-for="end in ends" :key="end.letter" class="letter" :x="end.x" :y="end.y" text-anchor="end">
        {{ end.letter }}
      </text>
      <g v-if="cursor" class="cursor">
        <line :x1="cursorX" :x2="cursorX" :y1="edge.top" :y2="y(0)" />
        <rect :x="cursorX - 4.5" :y="y(cursor.kw) - 4.5" width="9" height="9" />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.chart {
  position: relative;
  overflow: hidden;
  min-width: 0;
  cursor: crosshair;
  touch-action: pan-y;
}

svg {
  display: block;
  position: absolute;
  inset: 0;
}

.grid line {
  stroke: var(--line);
}

.grid text {
  fill: var(--ink-soft);
  font-family: var(--face-wide);
  font-size: 12.5px;
  font-variant-numeric: tabular-nums;
}

.floor {
  stroke: var(--ink-soft);
}

.power {
  fill: none;
  stroke: var(--copper);
  stroke-width: 2.6;
  stroke-linejoin: round;
}

.car {
  fill: none;
  stroke: var(--ink-faint);
  stroke-width: 1.3;
  stroke-dasharray: 1.5 3.5;
}

.other {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.8;
}

.o0 {
  stroke-dasharray: 8 4;
}

.o1 {
  stroke-dasharray: 2 4;
  stroke-linecap: round;
}

.volts,
.amps {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.4;
}

.volts {
  stroke-dasharray: 5 3;
}

/* Names stand on their own paper, so that the hatching does not run through the letters. */
.name {
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--paper-raised);
  stroke-width: 5px;
  stroke-linejoin: round;
  font-size: 13px;
  font-weight: 600;
}

.letter {
  fill: var(--ink);
  font-family: var(--face-wide);
  font-size: 13px;
  font-weight: 700;
}

.cursor line {
  stroke: var(--ink);
}

.cursor rect {
  fill: var(--ink);
}
</style>
