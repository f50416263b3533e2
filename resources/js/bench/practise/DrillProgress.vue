<script setup lang="ts">
import type { Drills } from '@/api/client';
import { day } from '@/ui/figures';
import { say } from '@/words/say';

/** How far one is with each kind of drill: four joints, filled as the times between two questions grow. */
defineProps<{ kinds: Drills['kinds'] }>();
const STEPS = 4;
</script>

<template>
  <section aria-labelledby="progress-title">
    <h2 id="progress-title">{{ say('drill.progress') }}</h2>
    <ul>
      <li v-for="k in kinds" :key="k.kind">
        <span class="name">{{ k.name }}</span>
        <svg viewBox="0 0 56 12" aria-hidden="true">
          <path
            v-for="i in STEPS"
            :key="i"
            :class="{ filled: k.step !== null && i <= k.step }"
            :d="`M${(i - 1) * 14 + 1} 1h9v3l3 -1.5v7l-3 -1.500v3h-9z`"
          />
        </svg>
        <span class="quiet">{{
          k.due_on === null
            ? say('drill.never')
            : say('drill.back', { day: day(k.due_on, 'UTC'), missed: k.missed, asked: k.asked })
        }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 var(--space-4);
  font-size: var(--size-title);
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 56px;
  gap: 0 var(--space-4);
  padding: var(--space-3) 0;
  border-bottom: 1px solid var(--line);
  font-size: var(--size-small);
}

.name {
  font-weight: 600;
}

.quiet {
  grid-column: 1 / -1;
}

svg {
  width: 56px;
  height: 12px;
}

path {
  fill: none;
  stroke: var(--line-strong);
}

.filled {
  fill: var(--ink);
  stroke: var(--ink);
}
</style>
