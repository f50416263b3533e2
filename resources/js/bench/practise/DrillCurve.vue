<script setup lang="ts">
import { computed, ref } from 'vue';
import ChartGrid from '@/chart/ChartGrid.vue';
import { useScales, type Spans } from '@/chart/useScales';
import { kw, number } from '@/ui/figures';
import { say } from '@/words/say';

/** The power of a session over time: as it was read, and as forecast in dashes. */
const props = withDefaults(defineProps<{ curve: number[][]; expected?: number[][] }>(), { expected: () => [] });
const frame = ref<HTMLElement | null>(null);
const both = computed(() => [...props.curve, ...props.expected]);
const last = computed(() => Math.max(1, ...both.value.map((p) => p[0] ?? 0)));
const most = computed(() => Math.max(1, ...both.value.map((p) => p[1] ?? 0)));
/** What is told of it to those who don't see it. */
const told = computed(() => (props.curve.length > 0 ? props.curve : props.expected));
const spans = computed<Spans>(() => ({ x: [0, last.value], y: most.value, y2: null }));
const { width, height, edge, x, y } = useScales(frame, spans);
const line = (points: number[][]): string =>
  points
    .map((p, i) => `${i === 0 ? 'M' : 'L'}${x.value(p[0] ?? 0).toFixed(1)} ${y.value(p[1] ?? 0).toFixed(1)}`)
    .join('');
</script>

<template>
  <div
    ref="frame"
    class="curve"
    role="img"
    :aria-label="
      say('drill.curve', {
        most: kw(Math.max(...told.map((p) => p[1] ?? 0))),
        minutes: number(told.at(-1)?.[0] ?? 0),
        end: kw(told.at(-2)?.[1] ?? 0),
        half: kw(told[Math.floor(told.length / 2)]?.[1] ?? 0),
      })
    "
  >
    <svg v-if="width > 0" :width="width" :height="height" aria-hidden="true">
      <ChartGrid
        :width="width"
        :height="height"
        :edge="edge"
        :x="x"
        :y="y"
        :x-unit="say('play.minutes')"
        :y-unit="say('play.kilowatt')"
      />
      <path class="forecast" :d="line(expected)" />
      <path :d="line(curve)" />
    </svg>
  </div>
</template>

<style scoped>
.curve {
  height: 200px;
}

path {
  fill: none;
  stroke: var(--copper);
  stroke-width: 2.5;
}

.forecast {
  stroke: var(--ink-soft);
  stroke-width: 1.5;
  stroke-dasharray: 6 4;
}
</style>
