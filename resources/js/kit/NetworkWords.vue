<script setup lang="ts">
import type { components } from '@/api/schema';
import { useTerms } from '@/stores/terms';
import { say } from '@/words/say';

type Term = components['schemas']['OcpiTerm'];

/** Words that a network made up, each with our meaning for it, which can be changed. */
defineProps<{ terms: Term[] }>();
const emit = defineEmits<{ assign: [term: Term, ours: string] }>();

const { known, all } = useTerms();
const KINDS = { standard: 'ocpi.word_standard', status: 'ocpi.word_status' } as const;
const LEFT_OUT = '';
/** An option that says nothing; an empty value already means "leave out". */
const NOT_SAID = '?';

function chosen(term: Term, event: Event): void {
  emit('assign', term, (event.target as HTMLSelectElement).value);
}
</script>

<template>
  <section class="words" :aria-label="say('ocpi.words_title')">
    <h3>{{ say('ocpi.words_title') }}</h3>
    <p class="quiet">{{ say('ocpi.words_lead') }}</p>
    <label v-for="term in terms" :key="`${term.kind} ${term.theirs}`">
      <span>{{ say(KINDS[term.kind], { theirs: term.theirs, times: term.times }) }}</span>
      <select :value="term.ours ?? NOT_SAID" @change="chosen(term, $event)">
        <option v-if="term.ours === null" :value="NOT_SAID">
          {{ term.kind === 'standard' ? say('ocpi.not_said') : say('ocpi.status_not_said') }}
        </option>
        <template v-if="term.kind === 'standard'">
          <option :value="LEFT_OUT">{{ say('ocpi.leave_out') }}</option>
          <option v-for="one in [...known().couplers, ...known().sockets]" :key="one.id" :value="one.id">
            {{ say('entry.named', one) }}
          </option>
        </template>
        <template v-else>
          <option v-for="one in all('evse_status')" :key="one.id" :value="one.id">{{ one.words }}</option>
        </template>
      </select>
    </label>
  </section>
</template>

<style scoped>
.words {
  padding: var(--space-5) var(--space-6);
  border-inline-start: 4px solid var(--ochre);
  background: var(--paper);
}

label {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-6);
  align-items: baseline;
  justify-content: space-between;
  padding: var(--space-2) 0;
}

select {
  max-width: 100%;
}
</style>
