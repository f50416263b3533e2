<script setup lang="ts">
import { area, line } from 'd3-shape';
import { computed, useId } from 'vue';
import type { Forecast, ForecastPoint } from '@/api/client';
import ChartFrame from '@/chart/ChartFrame.vue';
import ChartGrid from '@/chart/ChartGrid.vue';
import { SECONDS, timeUnit } from '@/chart/timeUnit';
import { useCursor } from '@/chart/useCursor';
import { useFrame } from '@/chart/useFrame';
import { useScales, type Scale } from '@/chart/useScales';
import { clock, kw, soc } from '@/ui/figures';
import { pointAt } from '@/ui/pointAt';
import { say } from '@/words/say';
import HatchDefs from '@/chart/HatchDefs.vue';
import { hatchOf } from '@/chart/hatch';
import { along, bandsOf, secondsAtSoc, type Axis } from './points';

/** Power over time or charge; the area under the first curve is cut into bands by the link that binds. */
const props = defineProps<{
  main: Forecast;
  others: Forecast[];
  axis: Axis;
  showsVoltsAmps: boolean;
}>();
/** Seconds after plugging in at which the cursor stands on the first curve. */
const cursorS = defineModel<number | null>('cursor', { required: true });

/** Room that a letter of a band's name takes, and the room around it (px). */
const LETTER_PX = 6.4;
const AROUND_PX = 12;

const hatch = useId();
const frame = useFrame();

const all = computed(() => [props.main, ...props.others]);
const unit = computed(() => timeUnit(Math.max(...all.value.map((f) => f.points.at(-1)?.t_s ?? 0))));
const at = computed(() => along(props.axis, unit.value));
const most = (figure: (p: ForecastPoint) => number, of: Forecast[]) =>
  Math.max(1, ...of.flatMap((f) => f.points.map(figure)));
const spans = computed(() => {
  const ends = all.value.flatMap((f) => [f.points[0], f.points.at(-1)]).filter((p) => p !== undefined);
  const values = ends.map(at.value);
  return {
    x: [Math.min(...values), Math.max(...values, Math.min(...values) + 1)] as const,
    y: Math.max(
      most((p) => p.kw, all.value),
      most((p) => p.car_kw ?? 0, [props.main]),
    ),
    y2: props.showsVoltsAmps ? most((p) => Math.max(p.v, p.a), [props.main]) : null,
  };
});
const { width, height, edge, x, y, y2 } = useScales(frame, spans);

const path = (of: ForecastPoint[], figure: (p: ForecastPoint) => number, scale: Scale) =>
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
      const words = named?.label ?? '';
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
        isNamed: right - left > words.length * LETTER_PX + AROUND_PX,
      };
    }),
);
/** Where the other curves end, for their letters. */
const ends = computed(() =>
  props.others.flatMap((f, i) => {
    const end = f.points.at(-1);
    return end ? [{ letter: ['B', 'C'][i], x: x.value(at.value(end)) - 4, y: y.value(end.kw) - 7 }] : [];
  }),
);
const voltsAmps = computed(() => {
  const [end, scale] = [props.main.points.at(-1), y2.value];
  return end && scale
    ? [
        { letter: say('unit.volts'), x: x.value(at.value(end)) - 6, y: scale(end.v) },
        { letter: say('unit.amps'), x: x.value(at.value(end)) - 6, y: scale(end.a) },
      ]
    : [];
});
const cursor = computed(() => (cursorS.value === null ? null : pointAt(props.main.points, cursorS.value)));
const cursorX = computed(() => (cursor.value ? x.value(at.value(cursor.value)) : 0));
const lastS = computed(() => props.main.points.at(-1)?.t_s ?? 0);
const heard = computed(() =>
  cursor.value
    ? say('forecast.cursor_at', {
        time: clock(cursor.value.t_s),
        percent: soc(cursor.value.soc),
        kw: say('figure.kw', { n: kw(cursor.value.kw) }),
        link: props.main.bindings[cursor.value.binding]?.words ?? cursor.value.binding,
      })
    : say('forecast.cursor_unset'),
);
const { follow, step } = useCursor(frame, cursorS, x, lastS, (value) =>
  props.axis === 'time' ? value * SECONDS[unit.value] : secondsAtSoc(props.main.points, value),
);
</script>

<template>
  <ChartFrame
    ref="frame"
    :label="say('forecast.cursor')"
    :last-s="lastS"
    :cursor-s="cursorS"
    :heard="heard"
    :width="width"
    :height="height"
    @pointermove="follow"
    @pointerdown="follow"
    @keydown="step"
  >
    <HatchDefs :prefix="hatch" />
    <ChartGrid
      :width="width"
      :height="height"
      :edge="edge"
      :x="x"
      :y="y"
      :y2="y2"
      :y-unit="say('unit.kw')"
      :y2-unit="say('unit.volts_amps')"
      :x-unit="
        axis === 'charge'
          ? say('forecast.charge')
          : unit === 'hours'
            ? say('forecast.hours_since')
            : say('forecast.minutes_since')
      "
    />
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
    <template v-if="y2">
      <path class="volts" :d="path(main.points, (p) => p.v, y2)" />
      <path class="amps" :d="path(main.points, (p) => p.a, y2)" />
      <text v-for="mark in voltsAmps" :key="mark.letter" class="name" :x="mark.x" :y="mark.y - 5" text-anchor="end">
        {{ mark.letter }}
      </text>
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
  </ChartFrame>
</template>

<style scoped>
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

.letter {
  fill: var(--ink);
  font-family: var(--face-wide);
  font-size: var(--size-small);
  font-weight: 700;
}
</style>
