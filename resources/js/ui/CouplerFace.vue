<script setup lang="ts">
import { computed } from 'vue';

/** A coupler's face, drawn from the contact geometry of its standard: seen from the front, as on the cable. */
const props = defineProps<{ coupler: string }>();

type Contact = readonly [x: number, y: number, r: number];

const type1: Contact[] = [
  [38, 30, 6],
  [62, 30, 6],
  [33, 47, 3.4],
  [67, 47, 3.4],
  [50, 56, 5.4],
];
const type2: Contact[] = [
  [40, 26, 3.2],
  [60, 26, 3.2],
  [32, 41, 5.2],
  [50, 41, 5.2],
  [68, 41, 5.2],
  [41, 57, 5.2],
  [59, 57, 5.2],
];
const below: Contact[] = [
  [36, 90, 9],
  [64, 90, 9],
];

const faces: Record<string, { outline: string[]; contacts: Contact[] }> = {
  type1: { outline: ['M50 14A29 29 0 1 1 49.900 14Z'], contacts: type1 },
  type2: { outline: ['M27 16H73Q80 32 77 48A29 29 0 0 1 23 48Q20 32 27 16Z'], contacts: type2 },
  ccs1: {
    outline: ['M50 14A29 29 0 1 1 49.900 14Z', 'M36 76H64A14 14 0 0 1 64 104H36A14 14 0 0 1 36 76Z'],
    contacts: [...type1, ...below],
  },
  ccs2: {
    outline: [
      'M27 16H73Q80 32 77 48A29 29 0 0 1 23 48Q20 32 27 16Z',
      'M36 76H64A14 14 0 0 1 64 104H36A14 14 0 0 1 36 76Z',
    ],
    contacts: [...type2, ...below],
  },
  j3400: {
    outline: ['M35 20H65Q80 20 78 38Q75 66 62 76Q50 83 38 76Q25 66 22 38Q20 20 35 20Z'],
    contacts: [
      [39, 37, 8],
      [61, 37, 8],
      [50, 56, 4.6],
      [39, 62, 2.8],
      [61, 62, 2.8],
    ],
  },
  chademo: {
    outline: ['M50 10A42 42 0 1 1 49.900 10Z'],
    contacts: [
      [29, 52, 8.5],
      [71, 52, 8.5],
      [43, 28, 3],
      [50, 25, 3],
      [57, 28, 3],
      [50, 33, 3],
      [43, 76, 3],
      [50, 79, 3],
      [57, 76, 3],
      [50, 71, 3],
    ],
  },
  gbt_ac: { outline: ['M27 16H73Q80 32 77 48A29 29 0 0 1 23 48Q20 32 27 16Z'], contacts: type2 },
  gbt_dc: {
    outline: ['M50 10A42 42 0 1 1 49.900 10Z'],
    contacts: [
      [34, 40, 8],
      [66, 40, 8],
      [50, 63, 5],
      [34, 66, 3],
      [66, 66, 3],
      [42, 24, 3],
      [58, 24, 3],
      [44, 78, 3.4],
      [56, 78, 3.4],
    ],
  },
  legacy_paddle: { outline: ['M40 12H60V70Q60 92 50 92Q40 92 40 70Z'], contacts: [] },
  legacy_butt: {
    outline: ['M20 20H80V80H20Z'],
    contacts: [
      [35, 36, 5],
      [50, 36, 5],
      [65, 36, 5],
      [35, 60, 5],
      [50, 60, 5],
      [65, 60, 5],
    ],
  },
};
/** A contact that carries direct current is as big as that. */
const BIG = 7.5;

const face = computed(() => faces[props.coupler] ?? { outline: ['M30 20H70V80H30Z'], contacts: [] });
</script>

<template>
  <svg class="face" viewBox="0 0 100 110" aria-hidden="true">
    <path v-for="d in face.outline" :key="d" :d="d" />
    <circle v-for="[x, y, r] in face.contacts" :key="`${x} ${y}`" :class="{ big: r >= BIG }" :cx="x" :cy="y" :r="r" />
  </svg>
</template>

<style scoped>
path {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2.5;
}

circle {
  fill: var(--ink);
}

/* Where the direct current passes. */
.big {
  fill: var(--copper);
}
</style>
