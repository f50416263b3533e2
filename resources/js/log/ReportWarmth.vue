<script setup lang="ts">
import { line } from 'd3-shape';
import { computed } from 'vue';
import type { SessionReview } from '@/api/client';
import { useTerms } from '@/stores/terms';
import { useUnits } from '@/stores/units';
import { plain } from '@/words/habits';
import { EDGE, upright, type Panel } from './axis';

type Warmth = SessionReview['warmth'][number];
type Point = Warmth['points'][number];

/** What thermometers showed, point by point, in the garage's own scale. */
const props = defineProps<{
  warmth: Warmth[];
  panel: Panel;
  at: (seconds: number) => number;
  width: number;
  hatch: string;
}>();

/** So few readings are marked one by one. */
const MARKED = 40;
/** Names stand so far apart. */
const ROOM_PX = 14;

const { degrees, entry } = useUnits();
const terms = useTerms();

const all = computed(() => props.warmth.flatMap((w) => w.points.map((p) => degrees(p.c))));
const y = computed(() => {
  const [least, most] = [Math.min(...all.value), Math.max(...all.value)];
  const room = Math.max(2, (most - least) * 0.1);
  return upright(props.panel, most + room, Math.floor(least - room));
});
const path = (w: Warmth) =>
  line<Point>()
    .x((p) => props.at(p.t_s))
    .y((p) => y.value(degrees(p.c)))(w.points) ?? '';
/** Names at the right end, apart from each other. */
const names = computed(() => {
  const placed = props.warmth
    .map((w) => ({ point: w.point, y: y.value(degrees(w.points.at(-1)?.c ?? 0)) }))
    .sort((a, b) => a.y - b.y);
  placed.forEach((name, i) => {
    const above = placed[i - 1];
    if (above) {
      name.y = Math.max(name.y, above.y + ROOM_PX);
    }
  });
  return placed;
});
</script>

<template>
  <g>
    <text class="tick" :x="EDGE.left - 8" :y="panel.top - 6" text-anchor="end">{{ entry('celsius').unit }}</text>
    <template v-for="tick in y.ticks(3)" :key="tick">
      <line class="grid-line" :x1="EDGE.left" :x2="width - EDGE.right" :y1="y(tick)" :y2="y(tick)" />
      <text class="tick" :x="EDGE.left - 8" :y="y(tick) + 4" text-anchor="end">{{ plain(tick) }}</text>
    </template>
    <g :clip-path="`url(#${hatch}-clip)`">
      <template v-for="w in warmth" :key="w.point">
        <path class="warm" :class="w.point" :d="path(w)" />
        <template v-if="w.points.length < MARKED">
          <rect
            v-for="p in w.points"
            :key="p.t_s"
            class="mark"
            :x="at(p.t_s) - 2.5"
            :y="y(degrees(p.c)) - 2.5"
            width="5"
            height="5"
          />
        </template>
      </template>
    </g>
    <line class="floor" :x1="EDGE.left" :x2="width - EDGE.right" :y1="panel.floor" :y2="panel.floor" />
    <text
      v-for="name in names"
      :key="name.point"
      class="name"
      :x="width - EDGE.right - 4"
      :y="name.y - 4"
      text-anchor="end"
    >
      {{ terms.words('point', name.point) }}
    </text>
  </g>
</template>

<style scoped>
.warm {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.8;
}

.warm.ambient {
  stroke: var(--ink-soft);
  stroke-dasharray: 5 3;
}

.warm.inlet,
.warm.cable {
  stroke-dasharray: 8 2;
}

.mark {
  fill: var(--ink);
}
</style>
