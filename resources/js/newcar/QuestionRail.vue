<script setup lang="ts">
import { say, type Code } from '@/words/say';
import type { CarQuestion } from './useNewCar';

/** The questions as pieces of a chain: what is answered is solid, what is open gapes. */
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
  gap: 6px 4px;
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
  width: 100%;
  min-height: 52px;
  padding: 6px 12px 6px 22px;
  background: var(--line-strong);
  clip-path: polygon(
    0 0,
    calc(100% - 9px) 0,
    calc(100% - 9px) 30%,
    100% 22%,
    100% 78%,
    calc(100% - 9px) 70%,
    calc(100% - 9px) 100%,
    0 100%,
    0 70%,
    9px 78%,
    9px 22%,
    0 30%
  );
}

button::before {
  position: absolute;
  z-index: 0;
  inset: 1.5px;
  background: var(--paper);
  clip-path: polygon(
    0 0,
    calc(100% - 9px) 0,
    calc(100% - 9px) 30%,
    100% 22%,
    100% 78%,
    calc(100% - 9px) 70%,
    calc(100% - 9px) 100%,
    0 100%,
    0 70%,
    9px 78%,
    9px 22%,
    0 30%
  );
  content: '';
}

button > span {
  position: relative;
  z-index: 1;
}

.name {
  color: var(--ink-soft);
  font-size: 12.5px;
  line-height: 1.25;
}

.answer {
  overflow: hidden;
  font-family: var(--face-wide);
  font-size: 13.5px;
  font-weight: 660;
  line-height: 1.25;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.told button,
.told button::before {
  background: var(--ink);
}

.told .name,
.told .answer {
  color: var(--on-ink);
}

.here button {
  background: var(--ink);
}

.here:not(.told) button::before {
  background: var(--paper-raised);
}

.here .answer {
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
