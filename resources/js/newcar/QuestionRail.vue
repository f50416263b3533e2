<script setup lang="ts">
import { say, type Code } from '@/words/say';
import type { CarQuestion } from './useNewCar';

/** The questions as pieces of a chain: answered ones are solid, open ones have a gap. */
defineProps<{ asks: CarQuestion[]; step: CarQuestion; told: Partial<Record<CarQuestion, string>> }>();
const emit = defineEmits<{ to: [question: CarQuestion] }>();

const names: Record<CarQuestion, Code> = {
  inlet: 'new_car.inlet',
  language: 'new_car.language',
  pack: 'new_car.pack',
  energy: 'new_car.energy',
  peak: 'new_car.peak',
  onboard: 'new_car.onboard',
};
</script>

<template>
  <ol class="questions" :aria-label="say('new_car.questions')">
    <li v-for="q in asks" :key="q" :class="{ told: told[q], here: q === step }">
      <button type="button" class="plain-button" :aria-current="q === step ? 'step' : undefined" @click="emit('to', q)">
        <svg viewBox="0 0 100 40" preserveAspectRatio="none" aria-hidden="true" focusable="false">
          <path d="M0 0H93V13L100 9V31L93 27V40H0V27L7 31V9L0 13Z" />
        </svg>
        <span class="name">{{ say(names[q]) }}</span>
        <span class="answer">{{ told[q] ?? (q === step ? say('new_car.here') : say('new_car.open')) }}</span>
      </button>
    </li>
  </ol>
</template>

<style scoped>
.questions {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3) var(--space-1);
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  flex: 1 1 108px;
  max-width: 172px;
}

button {
  position: relative;
  display: flex;
  flex-direction: column;
  justify-content: center;
  width: 100%;
  min-height: 52px;
  padding-block: var(--space-3);
  padding-inline: var(--space-8) var(--space-6);
}

svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  overflow: visible;
}

path {
  fill: var(--paper-raised);
  stroke: var(--line-strong);
  stroke-dasharray: 5 4;
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}

.here path,
.told path {
  stroke: var(--ink);
  stroke-dasharray: none;
}

.told path {
  fill: var(--ink);
}

button > span {
  position: relative;
}

.name {
  color: var(--ink-soft);
  font-size: var(--size-small);
  line-height: 1.25;
}

.answer {
  overflow: hidden;
  font-family: var(--face-wide);
  font-size: var(--size-small);
  font-weight: 660;
  line-height: 1.25;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.told .name,
.told .answer {
  color: var(--on-ink);
}

.here .answer {
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
