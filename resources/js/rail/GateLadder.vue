<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue';
import type { Gate } from '@/api/client';
import { useTerms } from '@/stores/terms';
import TermHint from '@/ui/TermHint.vue';
import { OF_GATE } from '@/words/glossaryTerms';
import { say } from '@/words/say';

/** A form for a fact that nobody has read: most chains have none. */
const AskForm = defineAsyncComponent(() => import('@/plates/AskForm.vue'));

const props = defineProps<{ gates: Gate[] }>();

const terms = useTerms();
/** Below the first failure the rungs are drawn faint: the chain is broken there. */
const breaksAt = computed(() => {
  const at = props.gates.findIndex((g) => g.result === 'fail');
  return at < 0 ? props.gates.length : at;
});
</script>

<template>
  <ol class="ladder">
    <li v-for="(gate, i) in gates" :key="gate.gate" :class="[gate.result, { below: i > breaksAt }]">
      <svg viewBox="0 0 16 16" width="16" height="16" aria-hidden="true">
        <path v-if="gate.result === 'pass'" d="M2 2H14V14H2Z" />
        <path v-else-if="gate.result === 'caution'" d="M8 1L15 8L8 15L1 8Z" />
        <path v-else-if="gate.result === 'unknown'" class="open" d="M8 2L14 8L8 14L2 8Z" />
        <path v-else class="cross" d="M3 3L13 13M13 3L3 13" />
      </svg>
      <span class="name"
        ><TermHint v-if="OF_GATE[gate.gate]" :term="OF_GATE[gate.gate]!">{{ terms.words('gate', gate.gate) }}</TermHint
        ><span v-else aria-hidden="true">{{ terms.words('gate', gate.gate) }}</span
        ><span class="sr-only">{{
          say('why.result', { gate: terms.words('gate', gate.gate), result: terms.words('result', gate.result) })
        }}</span></span
      >
      <span class="reason">
        {{ gate.reason }}
        <AskForm v-for="ask in gate.asks" :key="ask.piece + ask.path" :ask="ask" />
      </span>
    </li>
  </ol>
</template>

<style scoped>
.ladder {
  position: relative;
  margin: var(--space-4) 0 0;
  padding: 0;
  list-style: none;
}

.ladder::before {
  position: absolute;
  top: 14px;
  bottom: 18px;
  inset-inline-start: 7px;
  width: 2px;
  background: var(--line-strong);
  content: '';
}

li {
  position: relative;
  display: grid;
  grid-template-columns: 16px 78px minmax(0, 1fr);
  gap: var(--space-5);
  padding: var(--space-2) 0;
  line-height: 1.35;
}

svg {
  margin-top: var(--space-1);
  background: var(--paper-raised);
}

path {
  fill: var(--ink);
}

.caution path {
  fill: var(--ochre);
}

.unknown .open {
  fill: var(--paper-raised);
  stroke: var(--ochre);
  stroke-dasharray: 3 2;
  stroke-width: 2;
}

.cross {
  stroke: var(--ink);
  stroke-width: 3;
}

.name {
  font-family: var(--face-wide);
  font-size: var(--size-small);
  font-weight: 650;
}

.reason {
  font-size: var(--size-label);
}

.fail .reason {
  font-weight: 600;
}

.below {
  color: var(--ink-faint);
}

.below path {
  fill: var(--line-strong);
}
</style>
