<script setup lang="ts">
import { computed, ref } from 'vue';
import ChartGrid from '@/chart/ChartGrid.vue';
import { useScales, type Spans } from '@/chart/useScales';
import { kw, number } from '@/ui/figures';
import { say } from '@/words/say';

/** The power that was read in a session, over time. */
const props = defineProps<{ curve: number[][] }>();
const frame = ref<HTMLElement | null>(null);
const last = computed(() => props.curve.at(-1)?.[0] ?? 1);
const most = computed(() => Math.max(1, ...props.curve.map((p) => p[1] ?? 0)));
const spans = computed<Spans>(() => ({ x: [0, last.value], y: most.value, y2: null }));
const { width, height, edge, x, y } = useScales(frame, spans);
const line = computed(() =>
  props.curve
    .map((p, i) => `${i === 0 ? 'M' : 'L'}${x.value(p[0] ?? 0).toFixed(1)} ${y.value(p[1] ?? 0).toFixed(1)}`)
    .join(''),
);
</script>

<template>
  <div
    ref="frame"
    class="curve"
    role="img"
    :aria-label="
      say('drill.curve', {
        most: kw(most),
        minutes: number(last),
        end: kw(curve.at(-2)?.[1] ?? 0),
        half: kw(curve[Math.floor(curve.length / 2)]?.[1] ?? 0),
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
      <path :d="line" />
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
</style>
