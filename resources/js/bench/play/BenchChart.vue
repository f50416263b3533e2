<script setup lang="ts">
import { computed } from 'vue';
import type { Simulation } from '@/api/client';
import ChartFrame from '@/chart/ChartFrame.vue';
import ChartGrid from '@/chart/ChartGrid.vue';
import { useCursor } from '@/chart/useCursor';
import { useFrame } from '@/chart/useFrame';
import { useScales, type Spans } from '@/chart/useScales';
import { kw, number } from '@/ui/figures';
import { say } from '@/words/say';

/** Before the current: volts of station and battery. Then: power over time, what has flowed in full, what is to come in outline. */
const props = defineProps<{ session: Simulation; tS: number }>();
const emit = defineEmits<{ put: [seconds: number] }>();
const frame = useFrame();

const currentS = computed(() => props.session.phases.find((p) => p.phase === 'current')?.from_s ?? Infinity);
const isBefore = computed(() => props.tS < currentS.value || props.session.outcome === 'never_started');
const lastS = computed(() =>
  isBefore.value && props.session.outcome !== 'never_started'
    ? currentS.value
    : Math.max(1, props.session.minutes * 60),
);
/** Minutes where that is how long it lasts, seconds before the current. */
const perUnit = computed(() => (isBefore.value ? 1 : 60));
const points = computed(() => props.session.frames.filter((f) => f.t_s <= lastS.value + 0.5));
const value = (f: Simulation['frames'][number]): number => (isBefore.value ? f.station_v : f.kw);
const spans = computed<Spans>(() => ({
  x: [0, lastS.value / perUnit.value],
  y: isBefore.value
    ? Math.max(1, ...points.value.map((f) => Math.max(f.plug_v, f.station_v)))
    : Math.max(1, ...points.value.map((f) => f.kw)),
  y2: null,
}));
const { width, height, edge, x, y } = useScales(frame, spans);
const at = (s: number): number => x.value(s / perUnit.value);
const line = (list: typeof points.value, of = value): string =>
  list.map((f, i) => `${i === 0 ? 'M' : 'L'}${at(f.t_s).toFixed(1)} ${y.value(of(f)).toFixed(1)}`).join('');
const past = computed(() => points.value.filter((f) => f.t_s <= props.tS));
const area = computed(() => {
  const [first, last] = [past.value[0], past.value.at(-1)];
  return first && last
    ? `${line(past.value)}L${at(last.t_s).toFixed(1)} ${y.value(0)}L${at(first.t_s).toFixed(1)} ${y.value(0)}Z`
    : '';
});
const now = computed(() => past.value.at(-1) ?? points.value[0]);
const heard = computed(() =>
  now.value
    ? isBefore.value
      ? say('play.chart_volts', { station: number(now.value.station_v), battery: number(now.value.plug_v) })
      : say('figure.kw', { n: kw(now.value.kw) })
    : '',
);

const cursorS = computed<number | null>({
  get: () => props.tS,
  set: (seconds) => emit('put', seconds ?? 0),
});
const { follow, step } = useCursor(frame, cursorS, x, lastS, (at) => at * perUnit.value);
</script>

<template>
  <figure>
    <figcaption>{{ isBefore ? say('play.volts_over_time') : say('play.power_over_time') }}</figcaption>
    <ChartFrame
      ref="frame"
      class="frame"
      :label="isBefore ? say('play.volts_over_time') : say('play.power_over_time')"
      :last-s="lastS"
      :cursor-s="Math.min(tS, lastS)"
      :heard="heard"
      :width="width"
      :height="height"
      @pointerdown="follow"
      @pointermove="($event: PointerEvent) => $event.buttons > 0 && follow($event)"
      @keydown="step"
    >
      <ChartGrid
        :width="width"
        :height="height"
        :edge="edge"
        :x="x"
        :y="y"
        :x-unit="isBefore ? say('play.seconds') : say('play.minutes')"
        :y-unit="isBefore ? say('play.volt') : say('play.kilowatt')"
      />
      <template v-if="isBefore">
        <path class="battery" :d="line(points, (f) => f.plug_v)" />
        <text class="name" :x="edge.left + 6" :y="y(points[0]?.plug_v ?? 0) - 6">{{
          say(session.current === 'ac' ? 'play.mains_line' : 'play.battery_line')
        }}</text>
        <path class="station" :d="line(past)" />
      </template>
      <template v-else>
        <path class="outline" :d="line(points)" />
        <path class="area" :d="area" />
        <path class="station" :d="line(past)" />
      </template>
      <line class="cursor" :x1="at(Math.min(tS, lastS))" :x2="at(Math.min(tS, lastS))" :y1="edge.top" :y2="y(0)" />
    </ChartFrame>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}

figcaption {
  color: var(--ink-soft);
  font-size: var(--size-small);
}

.frame {
  height: 210px;
  touch-action: pan-y;
}

path {
  fill: none;
  stroke-width: 2;
}

.station {
  stroke: var(--copper);
  stroke-width: 2.5;
}

.outline {
  stroke: var(--line-strong);
  stroke-dasharray: 4 4;
}

.battery {
  stroke: var(--ink);
  stroke-dasharray: 6 4;
}

.area {
  fill: var(--copper-wash);
}

.name {
  fill: var(--ink);
  font-size: var(--size-small);
}

.cursor {
  stroke: var(--ink);
}
</style>
