<script setup lang="ts">
import { say } from '@/words/say';
import type { VisitStep } from './useVisit';

/** The steps as pieces of a chain: finished ones are solid, the current one is copper. */
defineProps<{ steps: VisitStep[]; at: number; done: ReadonlySet<string> }>();
const emit = defineEmits<{ to: [index: number] }>();
</script>

<template>
  <ol class="steps" :aria-label="say('step.all')">
    <li v-for="(s, i) in steps" :key="s.code" :class="{ done: done.has(s.code), here: i === at }">
      <button
        type="button"
        class="plain-button"
        :aria-current="i === at ? 'step' : undefined"
        :title="s.title"
        @click="emit('to', i)"
      >
        <svg viewBox="0 0 60 26" preserveAspectRatio="none" aria-hidden="true" focusable="false">
          <path d="M0 0H52V7L60 4V22L52 19V26H0V19L8 22V4L0 7Z" />
        </svg>
        <span class="sr-only">{{ done.has(s.code) ? say('step.done_of', { title: s.title }) : s.title }}</span>
      </button>
    </li>
  </ol>
</template>

<style scoped>
.steps {
  display: flex;
  gap: var(--space-1);
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  flex: 1 1 24px;
  max-width: 64px;
}

button {
  display: block;
  width: 100%;
  min-width: 24px;
  height: 28px;
}

svg {
  width: 100%;
  height: 26px;
  overflow: visible;
}

path {
  fill: none;
  stroke: var(--line-strong);
  stroke-width: 1.4;
  vector-effect: non-scaling-stroke;
}

.done path {
  fill: var(--ink);
  stroke: var(--ink);
}

.here path {
  fill: var(--copper);
  stroke: var(--copper);
}
</style>
