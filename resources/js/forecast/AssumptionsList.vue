<script setup lang="ts">
import type { Forecast } from '@/api/client';
import { useTerms } from '@/stores/terms';
import AskForm from '@/plates/AskForm.vue';
import { say } from '@/words/say';

/** The unread facts that a forecast depends on: first the one that would narrow it most. */
defineProps<{ facts: Forecast['rests_on'] }>();
const terms = useTerms();
</script>

<template>
  <section v-if="facts.length > 0" class="rests" aria-labelledby="rests-title">
    <h2 id="rests-title">{{ say('rests.title', { n: facts.length }) }}</h2>
    <details v-for="fact in facts" :key="fact.path">
      <summary>
        <span>{{ fact.words }}</span>
        <span class="origin">{{ terms.words('origin', fact.origin) }}</span>
      </summary>
      <AskForm :ask="fact" />
    </details>
  </section>
</template>

<style scoped>
.rests {
  padding: var(--space-4) 0 var(--space-2);
}

h2 {
  margin: 0 0 var(--space-1);
  font-size: var(--size-text);
}

details {
  border-bottom: 1px solid var(--line);
}

summary {
  padding: var(--space-2) 0;
  cursor: pointer;
}

summary .origin {
  margin-inline-start: var(--space-4);
  padding: 0 var(--space-3);
  border: 1px dashed var(--ochre);
  color: var(--ochre-text);
  font-size: var(--size-small);
}
</style>
