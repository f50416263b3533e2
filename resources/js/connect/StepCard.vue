<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';
import StepDrawing from './StepDrawing.vue';
import StepRail from './StepRail.vue';
import { useSpeech } from './useSpeech';
import type { Visit, VisitStep } from './useVisit';

/** One step at a time: what to do, how to see that it worked, and what to do if it didn't. */
const props = defineProps<{
  visit: Visit;
  steps: VisitStep[];
  car: string;
  /** What the first line calls this part of the visit. */
  kicker: string;
}>();
const done = defineModel<string[]>('done', { required: true });
const emit = defineEmits<{ ended: []; stuck: [step: VisitStep] }>();

const { canSpeak, speak } = useSpeech();
const titleId = useId();
const at = ref(0);
const says = ref(false);
const step = computed(() => props.steps[at.value]);
const next = computed(() => props.steps[at.value + 1]);
const doneSet = computed(() => new Set(done.value));
/** Joints closed by what comes before this step in the whole visit. */
const closed = computed(() => {
  const joints = new Set<number>();
  for (const s of props.visit.steps) {
    if (s.code === step.value?.code) {
      break;
    }
    if (s.closes !== null) {
      joints.add(s.closes);
    }
    if (s.opens !== null) {
      joints.delete(s.opens);
    }
  }
  return joints;
});
const moves = computed(() => step.value?.closes !== null || step.value.opens !== null);
const hears = computed(() => step.value?.phase === 'join' && step.value.closes !== null);
/** The same picture as the step before, where nothing moves, would only push the words down. */
const isDrawn = computed(() => props.visit.pieces.length > 0 && moves.value);

watch(
  () => props.steps.map((s) => s.code).join(),
  () => {
    const first = props.steps.findIndex((s) => !doneSet.value.has(s.code));
    at.value = first < 0 ? Math.max(0, props.steps.length - 1) : first;
  },
  { immediate: true },
);

function tick(): void {
  const code = step.value?.code;
  if (code === undefined) {
    return;
  }
  // What was written into the model stands in it a moment later.
  const ticked = new Set([...done.value, code]);
  done.value = [...ticked];
  says.value = false;
  const left = props.steps.findIndex((s) => !ticked.has(s.code));
  if (left < 0) {
    emit('ended');
  } else {
    at.value = left;
  }
}

function notSo(): void {
  if (step.value) {
    says.value = true;
    emit('stuck', step.value);
  }
}

function aloud(): void {
  const s = step.value;
  if (s) {
    speak([s.title, s.caution, s.do, s.sign].filter(Boolean).join('. '));
  }
}

function to(index: number): void {
  at.value = index;
  says.value = false;
}
</script>

<template>
  <section v-if="step" class="card" :aria-labelledby="titleId">
    <p class="kicker">{{ say('step.of', { part: kicker, n: at + 1, all: steps.length }) }}</p>
    <StepDrawing
      v-if="isDrawn"
      :key="step.code"
      class="picture"
      :pieces="visit.pieces"
      :closed="closed"
      :step="step"
      :car="car"
    />
    <h2 :id="titleId" aria-live="polite">{{ step.title }}</h2>
    <p class="do">{{ step.do }}</p>
    <p v-if="step.caution" class="caution">{{ step.caution }}</p>
    <p v-if="step.sign" class="quiet">{{ say('step.sign', { sign: step.sign }) }}</p>
    <p v-if="step.default" class="quiet">{{ say('step.default') }}</p>
    <p v-if="says && step.if_not" class="complaint" role="alert">{{ step.if_not }}</p>
    <div class="ticks">
      <button type="button" class="notched tick" @click="tick">
        {{ hears ? say('step.clicked') : say('step.done') }}
      </button>
      <button v-if="step.if_not" type="button" class="not" @click="notSo">
        {{ hears ? say('step.no_click') : say('step.not_so') }}
      </button>
    </div>
    <StepRail :steps="steps" :at="at" :done="doneSet" @to="to" />
    <p class="after quiet">
      <span v-if="next">{{ say('step.next', { title: next.title }) }}</span>
      <TextButton v-if="canSpeak" @click="aloud">{{ say('step.aloud') }}</TextButton>
      <slot name="after" />
    </p>
  </section>
</template>

<style scoped>
.card {
  display: flex;
  flex-direction: column;
  gap: var(--space-5);
  max-width: 560px;
}

.picture {
  margin: var(--space-3) 0;
}

h2 {
  font-size: var(--size-heading);
}

.do {
  font-size: var(--size-lead);
}

.caution {
  padding: var(--space-4) var(--space-6);
  border-inline-start: 4px solid var(--ochre);
  background: var(--paper-raised);
}

.ticks {
  display: flex;
  gap: var(--space-5);
}

.tick {
  flex: 3;
}

.not {
  flex: 1 0 108px;
  min-height: 56px;
  border: 1.5px solid var(--ink);
  background: none;
  color: inherit;
  cursor: pointer;
  font-family: var(--face-wide);
  font-size: var(--size-lead);
  font-weight: 660;
}

.after {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-7);
  align-items: baseline;
}

@media print {
  .card {
    display: none;
  }
}
</style>
