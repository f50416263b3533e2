<script setup lang="ts">
import { computed } from 'vue';

/** A household or industrial socket, drawn from the front by the openings of its standard. */
const props = defineProps<{ socket: string }>();

type Opening = readonly [kind: 'slot' | 'hole', x: number, y: number, w: number, h: number, turn?: number];

const shapes: Record<string, { outline: string; openings: Opening[] }> = {
  '5-15': {
    outline: 'M18 18H82V92H18Z',
    openings: [
      ['slot', 34, 44, 5, 20],
      ['slot', 66, 44, 5, 16],
      ['hole', 50, 72, 6, 6],
    ],
  },
  '5-20': {
    outline: 'M18 18H82V92H18Z',
    openings: [
      ['slot', 34, 44, 5, 20],
      ['slot', 29, 44, 14, 5],
      ['slot', 66, 44, 5, 16],
      ['hole', 50, 72, 6, 6],
    ],
  },
  'tt-30': {
    outline: 'M50 12A42 42 0 1 1 49.900 12Z',
    openings: [
      ['slot', 34, 48, 5, 22, 35],
      ['slot', 66, 48, 5, 22, -35],
      ['hole', 50, 72, 6, 6],
    ],
  },
  '6-20': {
    outline: 'M18 18H82V92H18Z',
    openings: [
      ['slot', 34, 44, 18, 5],
      ['slot', 66, 44, 5, 18],
      ['hole', 50, 72, 6, 6],
    ],
  },
  '14-30': {
    outline: 'M14 14H86V96H14Z',
    openings: [
      ['slot', 30, 54, 5, 22],
      ['slot', 70, 54, 5, 22],
      ['hole', 50, 30, 7, 7],
      ['slot', 50, 76, 5, 16],
      ['slot', 55, 83, 14, 5],
    ],
  },
  '14-50': {
    outline: 'M14 14H86V96H14Z',
    openings: [
      ['slot', 30, 54, 5, 22],
      ['slot', 70, 54, 5, 22],
      ['hole', 50, 30, 7, 7],
      ['slot', 50, 78, 5, 18],
    ],
  },
  'household-230': {
    outline: 'M50 12A42 42 0 1 1 49.900 12Z',
    openings: [
      ['hole', 34, 54, 6, 6],
      ['hole', 66, 54, 6, 6],
    ],
  },
};
const round = (count: number, r: number, big: number): { outline: string; openings: Opening[] } => ({
  outline: `M50 ${54 - r}A${r} ${r} 0 1 1 49.900 ${54 - r}Z`,
  openings: Array.from({ length: count }, (_, i): Opening => {
    const angle = Math.PI / 2 + (i * 2 * Math.PI) / count;
    const size = i === 0 ? big + 1.5 : big;
    return ['hole', 50 + r * 0.55 * Math.cos(angle), 54 + r * 0.55 * Math.sin(angle), size, size];
  }),
});
const shape = computed(() => {
  const known = shapes[props.socket];
  if (known) {
    return known;
  }
  const [, colour, amps] = /^(blue|red)-(\d+)$/.exec(props.socket) ?? [];
  const r = Number(amps) > 16 ? 44 : 34;
  return colour === 'red' ? round(5, r, 5) : round(3, r, 5.5);
});
</script>

<template>
  <svg class="face" viewBox="0 0 100 110" aria-hidden="true">
    <path :d="shape.outline" />
    <template v-for="[kind, x, y, w, h, turn] in shape.openings" :key="`${x} ${y} ${w}`">
      <circle v-if="kind === 'hole'" :cx="x" :cy="y" :r="w" />
      <rect v-else :x="x - w / 2" :y="y - h / 2" :width="w" :height="h" :transform="`rotate(${turn ?? 0} ${x} ${y})`" />
    </template>
  </svg>
</template>

<style scoped>
path {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2.5;
}

circle,
rect {
  fill: var(--ink);
}
</style>
