<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { computed, ref, useTemplateRef, watch } from 'vue';
import type { CurvePoint, ImportLook } from '@/api/client';
import { SECONDS, timeUnit } from '@/chart/timeUnit';
import { useUnits } from '@/stores/units';
import { clock, quantity, soc } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import { plain } from '@/words/habits';
import { vTyped } from '@/ui/typed';
import { say } from '@/words/say';
import { useReadingFields } from '@/connect/readingFields';

/** The session above, the file below, on one time axis: drag the file until both show the same moment. */
const props = defineProps<{ curve: CurvePoint[]; look: ImportLook; beside: string | null; shiftS: number }>();
const emit = defineEmits<{ shift: [seconds: number] }>();

type Points = [number, number][];
const EDGE = { left: 10, right: 10 };
const LANE = { top: 22, height: 84, gap: 30 };
const ARROW_S = 1;
const SHIFT_ARROW_S = 10;
const PAGE_S = 60;
/** A pushed file is told to the server when it has come to rest (ms). */
const REST_MS = 500;
/** The server keeps whole milliseconds. */
const NO_DIFFERENCE_S = 0.01;

const units = useUnits();
const { screen, heat } = useReadingFields();
const frame = useTemplateRef<HTMLElement>('frame');
const { width } = useElementSize(frame);
/** Where it is while it is pushed. */
const now = ref(props.shiftS);
/** What the server was told last and has not answered; pushes since then outrank its answers. */
let told: number | null = null;
let timer: ReturnType<typeof setTimeout> | undefined;
const drag = ref<{ x: number; from: number } | null>(null);
watch(
  () => props.shiftS,
  (s) => {
    const isOfAnEarlierPush = told !== null && Math.abs(s - told) > NO_DIFFERENCE_S;
    if (timer === undefined && !drag.value && !isOfAnEarlierPush) {
      told = null;
      now.value = s;
    }
  },
);
const moved = computed(() => now.value - props.shiftS);

const own = computed<Points>(() => {
  const figure = (['kw', 'a', 'soc'] as const).find((f) => props.curve.some((p) => p[f] !== null));
  return figure === undefined
    ? []
    : props.curve.flatMap((p): Points => (p[figure] === null ? [] : [[p.t_s, p[figure]]]));
});
const lines = computed(() => Object.entries(props.look.curve) as unknown as [string, Points][]);
const ends = computed(() => {
  const starts = [0, ...lines.value.map(([, p]) => (p[0]?.[0] ?? 0) + moved.value)];
  const lasts = [60, own.value.at(-1)?.[0] ?? 0, ...lines.value.map(([, p]) => (p.at(-1)?.[0] ?? 0) + moved.value)];
  return [Math.min(...starts), Math.max(...lasts)] as const;
});
/** It stands still while the file is pushed. */
const span = ref(ends.value);
const unit = computed(() => timeUnit(span.value[1]));
const x = computed(() =>
  scaleLinear(
    span.value.map((s) => s / SECONDS[unit.value]),
    [EDGE.left, Math.max(EDGE.left + 60, width.value - EDGE.right)],
  ),
);
const at = (seconds: number) => x.value(seconds / SECONDS[unit.value]);
const settle = () => (span.value = ends.value);
watch(() => [props.look, props.curve], settle);

const lanes = computed(() => {
  const above = { top: LANE.top, floor: LANE.top + LANE.height };
  const below = { top: above.floor + LANE.gap, floor: above.floor + LANE.gap + LANE.height };
  return { above, below, height: below.floor + 34 };
});
/** Every line fills its lane: it is the shape that is compared. */
function path(points: Points, lane: { top: number; floor: number }, by = 0): string {
  const values = points.map(([, v]) => v);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  // What never changes runs through the middle.
  const y = scaleLinear(most === least ? [least - 1, least + 1] : [least, most], [lane.floor, lane.top]);
  return (
    line<[number, number]>()
      .x(([t]) => at(t + by))
      .y(([, v]) => y(v))(points) ?? ''
  );
}
const labels = computed<Record<string, string>>(() =>
  Object.fromEntries([...screen, ...heat.value].map((f) => [f.name, f.label])),
);
const figure = (field: string, v: number): string => {
  switch (field) {
    case 'kw':
      return quantity(v, 'kw');
    case 'amps':
      return quantity(v, 'a');
    case 'volts':
      return quantity(v, 'v');
    case 'soc_pct':
      return soc(v);
    default:
      return units.celsius(v);
  }
};
const legend = computed(() =>
  lines.value.map(([field, points], i) => {
    const values = points.map(([, v]) => v);
    return {
      field,
      dash: ['', '7 4', '2 3', '9 3 2 3'][i % 4] ?? '',
      text: `${labels.value[field] ?? field} ${figure(field, Math.min(...values))} – ${figure(field, Math.max(...values))}`,
    };
  }),
);
const when = (s: number) =>
  s === 0 ? say('look.at_plug') : say(s > 0 ? 'look.after' : 'look.before', { time: clock(Math.abs(s)) });

const toTenths = (seconds: number) => Math.round(seconds * 10) / 10;
function push(seconds: number): void {
  now.value = toTenths(seconds);
  clearTimeout(timer);
  timer = setTimeout(() => tell(now.value), REST_MS);
}
function tell(seconds: number): void {
  clearTimeout(timer);
  timer = undefined;
  told = now.value = seconds;
  emit('shift', seconds);
}
function press(event: PointerEvent): void {
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  drag.value = { x: event.clientX, from: now.value };
}
/** What was pushed need not rest first: the next click may already add the file. */
function settlePush(): void {
  drag.value = null;
  if (timer !== undefined) {
    tell(now.value);
  }
}
function move(event: PointerEvent): void {
  if (drag.value) {
    const seconds = (x.value.invert(event.clientX) - x.value.invert(drag.value.x)) * SECONDS[unit.value];
    push(Math.round(drag.value.from + seconds));
  }
}
function key(event: KeyboardEvent): void {
  const arrow = event.shiftKey ? SHIFT_ARROW_S : ARROW_S;
  const by = { ArrowLeft: -arrow, ArrowRight: arrow, PageDown: -PAGE_S, PageUp: PAGE_S }[event.key];
  if (by !== undefined) {
    event.preventDefault();
    event.stopPropagation();
    push(now.value + by);
  }
}
</script>

<template>
  <figure class="slide">
    <figcaption class="quiet">{{ say('look.curve') }}</figcaption>
    <div
      ref="frame"
      class="chart lanes"
      role="slider"
      tabindex="0"
      :style="{ height: `${lanes.height}px` }"
      :aria-label="say('look.shift')"
      :aria-valuenow="now"
      :aria-valuetext="when(now)"
      @pointerdown="press"
      @pointermove="move"
      @pointerup="settlePush"
      @pointercancel="settlePush"
      @blur="settlePush"
      @keydown="key"
    >
      <svg v-if="width > 0" :width="width" :height="lanes.height" aria-hidden="true" focusable="false">
        <text class="lane" :x="EDGE.left" :y="lanes.above.top - 8">
          {{ own.length > 0 ? say('look.session') : say('look.session_none') }}
        </text>
        <path v-if="own.length > 0" class="own" :d="path(own, lanes.above)" />
        <line class="plug" :x1="at(0)" :x2="at(0)" :y1="lanes.above.top" :y2="lanes.below.floor" />
        <text class="lane" :x="EDGE.left" :y="lanes.below.top - 8">{{ say('look.file') }}</text>
        <path
          v-for="([field, points], i) in lines"
          :key="field"
          class="theirs"
          :d="path(points, lanes.below, moved)"
          :stroke-dasharray="legend[i]?.dash"
        />
        <text
          v-for="tick in x.ticks(6)"
          :key="tick"
          class="tick"
          :x="x(tick)"
          :y="lanes.below.floor + 16"
          text-anchor="middle"
        >
          {{ plain(tick) }}
        </text>
        <text class="tick" :x="width - EDGE.right" :y="lanes.height - 3" text-anchor="end">
          {{ unit === 'hours' ? say('report.hours') : say('look.minutes') }}
        </text>
      </svg>
    </div>
    <p class="legend">
      <span v-for="l in legend" :key="l.field" class="figures"
        ><svg width="26" height="8" aria-hidden="true">
          <path class="theirs" d="M0 4H26" :stroke-dasharray="l.dash" /></svg
        >{{ l.text }}</span
      >
    </p>
    <p class="begins">
      <strong>{{ say('look.begins', { when: when(now) }) }}</strong>
      <TextButton v-if="now !== 0" @click="tell(0)">
        {{ say('look.at_plug') }}
      </TextButton>
      <TextButton v-if="look.clock_shift_s !== null && look.clock_shift_s !== now" @click="tell(look.clock_shift_s)">
        {{
          beside === null
            ? say('look.by_clock', { when: when(look.clock_shift_s) })
            : say('look.by_clock_of', { name: beside, when: when(look.clock_shift_s) })
        }}
      </TextButton>
      <label
        >{{ say('look.shift') }}
        <input
          v-typed="now"
          type="number"
          step="0.1"
          @change="(e) => tell(toTenths(Number((e.target as HTMLInputElement).value)))"
      /></label>
    </p>
  </figure>
</template>

<style scoped>
.slide {
  min-width: 0;
  margin: 0;
}

figcaption {
  font-size: var(--size-small);
}

.lanes {
  margin-bottom: var(--space-3);
  cursor: ew-resize;
  touch-action: pan-y;
}

.lane {
  fill: var(--ink-soft);
  font-size: var(--size-small);
}

.own,
.theirs {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.8;
}

.plug {
  stroke: var(--ink-soft);
  stroke-dasharray: 1 3;
}

.legend,
.begins {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-7);
  align-items: center;
  font-size: var(--size-small);
}

.legend span {
  display: inline-flex;
  gap: var(--space-3);
  align-items: center;
}

input {
  width: 92px;
  min-height: 32px;
  padding: var(--space-1) var(--space-3);
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
  color: var(--ink);
  font: inherit;
}
</style>
