<script setup lang="ts">
/** Hatchings in copper for what holds the car back from outside, in ink for what is the car's own. */
defineProps<{ prefix: string }>();

const inks = ['own', 'held'] as const;
</script>

<template>
  <defs>
    <template v-for="ink in inks" :key="ink">
      <pattern :id="`${prefix}-${ink}-plain`" width="8" height="8" patternUnits="userSpaceOnUse">
        <rect width="8" height="8" :class="`wash ${ink}`" />
      </pattern>
      <pattern
        :id="`${prefix}-${ink}-rise`"
        width="7"
        height="7"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="7" height="7" :class="`wash ${ink}`" />
        <path d="M0 0V7" :class="`stroke ${ink}`" />
      </pattern>
      <pattern
        :id="`${prefix}-${ink}-fall`"
        width="7"
        height="7"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(-45)"
      >
        <rect width="7" height="7" :class="`wash ${ink}`" />
        <path d="M0 0V7" :class="`stroke ${ink}`" />
      </pattern>
      <pattern
        :id="`${prefix}-${ink}-dense`"
        width="4"
        height="4"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="4" height="4" :class="`wash ${ink}`" />
        <path d="M0 0V4" :class="`stroke ${ink}`" />
      </pattern>
      <pattern :id="`${prefix}-${ink}-upright`" width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" :class="`wash ${ink}`" />
        <path d="M0 0V7" :class="`stroke ${ink}`" />
      </pattern>
      <pattern :id="`${prefix}-${ink}-level`" width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" :class="`wash ${ink}`" />
        <path d="M0 0H7" :class="`stroke ${ink}`" />
      </pattern>
      <pattern :id="`${prefix}-${ink}-cross`" width="8" height="8" patternUnits="userSpaceOnUse">
        <rect width="8" height="8" :class="`wash ${ink}`" />
        <path d="M0 0L8 8M8 0L0 8" :class="`stroke ${ink}`" />
      </pattern>
      <pattern :id="`${prefix}-${ink}-dots`" width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" :class="`wash ${ink}`" />
        <circle cx="3.5" cy="3.5" r="1.2" :class="`dot ${ink}`" />
      </pattern>
    </template>
  </defs>
</template>

<style scoped>
.wash.own {
  fill: var(--paper-sunk);
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

.dot.own {
  fill: var(--ink-soft);
}

.dot.held {
  fill: var(--copper);
}
</style>
