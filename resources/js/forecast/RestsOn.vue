<script setup lang="ts">
import type { Forecast } from '@/api/client';
import { useTerms } from '@/stores/terms';
import AskForm from '@/plates/AskForm.vue';
import { say } from '@/words/say';

/** What a forecast rests on although nobody has read it: the fact whose reading narrows it most first. */
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
  padding: 8px 0 4px;
}

h2 {
  margin: 0 0 2px;
  font-size: 15px;
}

details {
  border-bottom: 1px solid var(--line);
}

summary {
  padding: 5px 0;
  cursor: pointer;
}

summary .origin {
  margin-left: 8px;
  padding: 0 6px;
  border: 1px dashed var(--ochre);
  color: var(--ochre-text);
  font-size: 12.5px;
}
</style>
