<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { scaleLinear } from 'd3-scale';
import { computed, ref, useId } from 'vue';
import type { Report } from '@/api/client';
import ChartFrame from '@/chart/ChartFrame.vue';
import HatchDefs from '@/chart/HatchDefs.vue';
import { nearestTo } from '@/chart/nearest';
import { SECONDS, timeUnit } from '@/chart/timeUnit';
import { useCursor } from '@/chart/useCursor';
import { useFrame } from '@/chart/useFrame';
import type { Scale } from '@/chart/useScales';
import { useAccount } from '@/stores/account';
import { useUnits } from '@/stores/units';
import { clock, day, quantity, soc } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import { plain } from '@/words/habits';
import { listed, say } from '@/words/say';
import { EDGE, endOf } from './axis';
import { BASELINE_LETTERS } from './sessionNames';
import ReportDuty from './ReportDuty.vue';
import ReportPower from './ReportPower.vue';
import ReportWarmth from './ReportWarmth.vue';

/** Power, duty, heat, temperatures and events of a session on one time axis, with one cursor and one zoom. */
const props = defineProps<{ report: Report }>();
/** The stretch that is looked at, in seconds; null is the whole session. */
const zoom = defineModel<[number, number] | null>('zoom', { required: true });

/** A pointer that moved less has not dragged (px), and so short a stretch is none (s). */
const DRAG_PX = 8;
const SHORTEST_S = 30;

const units = useUnits();
const account = useAccount();
const hatch = useId();
const frame = useFrame();
const cursorS = ref<number | null>(null);
const shows = ref({ forecast: true, baselines: true });
const dragged = ref<{ from: number; to: number } | null>(null);

const endS = computed(() => endOf(props.report));
const span = computed<[number, number]>(() => zoom.value ?? [0, endS.value]);
const unit = computed(() => timeUnit(endS.value));
const { width } = useElementSize(frame);
const x = computed<Scale>(() =>
  scaleLinear(
    span.value.map((s) => s / SECONDS[unit.value]),
    [EDGE.left, Math.max(EDGE.left + 60, width.value - EDGE.right)],
  ),
);
const at = (seconds: number) => x.value(seconds / SECONDS[unit.value]);

/** The piece under test: the first adapter that heats, else the cable. */
const duty = computed(() => {
  const adapters = props.report.session.adapters.map((a) => a.id);
  return props.report.review.duty.find((d) => adapters.includes(d.link)) ?? props.report.review.duty[0] ?? null;
});
const reached = computed(
  () =>
    props.report.judgement.plate_check.find((r) => r.link === duty.value?.link && r.theta_max !== null)?.theta_max ??
    null,
);
const panels = computed(() => {
  const power = { top: EDGE.top, floor: EDGE.top + 190 };
  const strip = { top: power.floor + 34, floor: power.floor + 34 + (duty.value ? 74 : -34) };
  const heat = { top: strip.floor + 12, floor: strip.floor + 12 + (duty.value ? 22 : -12) };
  const hasWarmth = props.report.review.warmth.length > 0;
  const warmth = { top: heat.floor + 26, floor: heat.floor + (hasWarmth ? 100 : duty.value ? 18 : 0) };
  return { power, strip, heat, warmth, height: warmth.floor + EDGE.bottom };
});

const nearest = computed(() => (cursorS.value === null ? null : nearestTo(props.report.curve, cursorS.value)));
const heard = computed(() => {
  const seconds = cursorS.value;
  const p = nearest.value;
  if (seconds === null || !p) {
    return say('forecast.cursor_unset');
  }
  const values = (['kw', 'v', 'a'] as const).flatMap((q) => (p[q] === null ? [] : [quantity(p[q], q)]));
  const warm = props.report.review.warmth
    .filter((w) => w.point !== 'ambient')
    .flatMap((w) => {
      const c = nearestTo(w.points, seconds);
      return c ? [units.thermometer(c.c)] : [];
    });
  return say('report.curve_at', {
    time: clock(p.t_s),
    values:
      listed('dot', [...(p.soc === null ? [] : [soc(p.soc)]), ...values, ...warm.slice(0, 1)]) ||
      say('report.not_read'),
  });
});
const { follow, step } = useCursor(frame, cursorS, x, endS, (value) => value * SECONDS[unit.value]);

const secondsAt = (event: PointerEvent): number => {
  const box = frame.value?.getBoundingClientRect();
  const s = x.value.invert(event.clientX - (box?.left ?? 0)) * SECONDS[unit.value];
  return Math.min(span.value[1], Math.max(span.value[0], s));
};
function press(event: PointerEvent): void {
  follow(event);
  if (event.pointerType === 'mouse') {
    dragged.value = { from: secondsAt(event), to: secondsAt(event) };
  }
}
function move(event: PointerEvent): void {
  follow(event);
  if (dragged.value) {
    dragged.value = { ...dragged.value, to: secondsAt(event) };
  }
}
function release(): void {
  const drag = dragged.value;
  dragged.value = null;
  if (drag && Math.abs(at(drag.to) - at(drag.from)) >= DRAG_PX) {
    look(Math.min(drag.from, drag.to), Math.max(drag.from, drag.to));
  }
}
function look(from: number, to: number): void {
  const middle = (from + to) / 2;
  const half = Math.max(SHORTEST_S, to - from) / 2;
  zoom.value = [Math.max(0, middle - half), Math.min(endS.value, middle + half)];
}
/** Plus and minus look closer and further around the cursor. */
function key(event: KeyboardEvent): void {
  const [from, to] = span.value;
  const middle = cursorS.value ?? (from + to) / 2;
  const factor = { '+': 0.5, '=': 0.5, '-': 2 }[event.key];
  if (factor === undefined) {
    step(event);
    return;
  }
  event.preventDefault();
  event.stopPropagation();
  const length = (to - from) * factor;
  zoom.value =
    length >= endS.value ? null : [Math.max(0, middle - length / 2), Math.min(endS.value, middle + length / 2)];
}

const ticks = computed(() => x.value.ticks(Math.max(3, Math.floor(width.value / 90))));
const events = computed(() =>
  props.report.events
    .filter((e) => e.t_s >= span.value[0] && e.t_s <= span.value[1])
    .map((e) => ({ ...e, x: at(e.t_s) })),
);
</script>

<template>
  <figure class="session">
    <figcaption>
      <span class="figures now" :class="{ quiet: !nearest }">{{ nearest ? heard : say('report.zoom_how') }}</span>
      <span class="layers">
        <label v-if="report.review.expected.length > 1" class="layer"
          ><input v-model="shows.forecast" type="checkbox" />
          <svg width="22" height="8" aria-hidden="true"><path d="M0 4H22" class="key-forecast" /></svg
          >{{ say('report.forecast_line') }}</label
        >
        <label v-for="(b, i) in report.baselines" :key="b.id" class="layer"
          ><input v-model="shows.baselines" type="checkbox" />
          {{
            say('report.baseline_line', { letter: BASELINE_LETTERS[i] ?? '', day: day(b.started_at, account.zone) })
          }}</label
        >
        <TextButton v-if="zoom" @click="zoom = null">{{ say('report.whole') }}</TextButton>
      </span>
    </figcaption>
    <ChartFrame
      ref="frame"
      :label="say('report.axis')"
      :last-s="endS"
      :cursor-s="cursorS"
      :heard="heard"
      :width="width"
      :height="panels.height"
      :style="{ height: `${panels.height}px` }"
      @pointermove="move"
      @pointerdown="press"
      @pointerup="release"
      @pointerleave="dragged = null"
      @dblclick="zoom = null"
      @keydown="key"
    >
      <HatchDefs :prefix="hatch" />
      <clipPath :id="`${hatch}-clip`">
        <rect :x="EDGE.left" :y="0" :width="Math.max(0, width - EDGE.left - EDGE.right)" :height="panels.height" />
      </clipPath>
      <ReportPower
        :report="report"
        :panel="panels.power"
        :at="at"
        :width="width"
        :hatch="hatch"
        :shows="shows"
        @look="look"
      />
      <ReportDuty
        v-if="duty"
        :duty="duty"
        :reached="reached"
        :strip="panels.strip"
        :heat="panels.heat"
        :at="at"
        :width="width"
        :hatch="hatch"
        :span="span"
      />
      <ReportWarmth
        v-if="report.review.warmth.length > 0"
        :warmth="report.review.warmth"
        :panel="panels.warmth"
        :at="at"
        :width="width"
        :hatch="hatch"
      />
      <g v-for="e in events" :key="e.client_id" class="event">
        <line :x1="e.x" :x2="e.x" :y1="EDGE.top - 8" :y2="panels.warmth.floor" />
        <path :d="`M${e.x - 4} ${EDGE.top - 12}h8l-4 6z`" />
        <title>{{ say('report.event_at', { time: clock(e.t_s), words: e.words }) }}</title>
      </g>
      <text
        v-for="tick in ticks"
        :key="tick"
        class="tick"
        :x="x(tick)"
        :y="panels.warmth.floor + 17"
        text-anchor="middle"
      >
        {{ plain(tick) }}
      </text>
      <text class="tick" :x="width - EDGE.right" :y="panels.height - 3" text-anchor="end">
        {{ unit === 'hours' ? say('report.hours') : say('report.minutes') }}
      </text>
      <rect
        v-if="dragged"
        class="chosen"
        :x="Math.min(at(dragged.from), at(dragged.to))"
        :y="EDGE.top"
        :width="Math.abs(at(dragged.to) - at(dragged.from))"
        :height="panels.warmth.floor - EDGE.top"
      />
      <g v-if="nearest" class="cursor">
        <line :x1="at(nearest.t_s)" :x2="at(nearest.t_s)" :y1="EDGE.top" :y2="panels.warmth.floor" />
      </g>
    </ChartFrame>
  </figure>
</template>

<style scoped>
.session {
  margin: 0;
  min-width: 0;
}

figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-7);
  align-items: center;
  justify-content: space-between;
  min-height: 30px;
  font-size: var(--size-small);
}

.now {
  font-weight: 640;
}

.now.quiet {
  font-weight: 400;
}

.layers {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-7);
  align-items: center;
}

.layer {
  display: inline-flex;
  gap: var(--space-2);
  align-items: center;
  min-height: 24px;
}

.layer input {
  width: 15px;
  height: 15px;
}

.key-forecast {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
  stroke-dasharray: 2 3;
}

.event line {
  stroke: var(--ink-soft);
  stroke-dasharray: 1 3;
}

.event path {
  fill: var(--ink);
}

.chosen {
  fill: var(--ink);
  opacity: 0.12;
}

@media print {
  .now,
  .layers {
    display: none;
  }
}
</style>
