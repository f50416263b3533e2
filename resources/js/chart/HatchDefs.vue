<script setup lang="ts">
/** Hatchings: copper for limits outside the car, ink for the car's own. */
defineProps<{ prefix: string }>();

const inks = ['own', 'held'] as const;
const hatchings = [
  { id: 'plain', size: 8 },
  { id: 'rise', size: 7, turn: 45, line: 'M0 0V7' },
  { id: 'fall', size: 7, turn: -45, line: 'M0 0V7' },
  { id: 'dense', size: 4, turn: 45, line: 'M0 0V4' },
  { id: 'upright', size: 7, line: 'M0 0V7' },
  { id: 'level', size: 7, line: 'M0 0H7' },
  { id: 'cross', size: 8, line: 'M0 0L8 8M8 0L0 8' },
  { id: 'dots', size: 7, line: 'M3 3H4V4H3Z' },
];
</script>

<template>
  <defs>
    <template v-for="ink in inks" :key="ink">
      <pattern
        v-for="h in hatchings"
        :id="`${prefix}-${ink}-${h.id}`"
        :key="h.id"
        :width="h.size"
        :height="h.size"
        patternUnits="userSpaceOnUse"
        :patternTransform="h.turn ? `rotate(${h.turn})` : undefined"
      >
        <rect :width="h.size" :height="h.size" :class="`wash ${ink}`" />
        <path v-if="h.line" :d="h.line" :class="`stroke ${ink}`" />
      </pattern>
    </template>
  </defs>
</template>

<style scoped>
.wash.own {
  fill: var(--ink-wash);
}

.wash.held {
  fill: var(--copper-wash);
}

.stroke {
  stroke-width: 1.6;
  fill: none;
}

.stroke.own {
  stroke: var(--line-strong);
}

.stroke.held {
  stroke: var(--copper);
}
</style>
