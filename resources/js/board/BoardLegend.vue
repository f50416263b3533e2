<script setup lang="ts">
import type { Outcome } from '@/api/client';
import { useTerms } from '@/stores/terms';
import JointGlyph from '@/ui/JointGlyph.vue';
import { say } from '@/words/say';

const terms = useTerms();
/** Every outcome, and how an adapter is drawn. */
const legend: { outcome: Outcome; tags?: string[]; words: string }[] = terms.all('outcome').flatMap((term) => {
  const outcome = term.id as Outcome;
  const plain = { outcome, words: term.words };
  return outcome === 'limited'
    ? [plain, { outcome: 'charges', tags: ['A1'], words: say('board.through_adapter') }]
    : [plain];
});
</script>

<template>
  <ul class="legend" :aria-label="say('board.legend')">
    <li v-for="item in legend" :key="item.words">
      <JointGlyph :outcome="item.outcome" :tags="item.tags" />{{ item.words }}
    </li>
  </ul>
</template>

<style scoped>
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3) var(--space-7);
  margin: var(--space-6) 0 0;
  padding: 0;
  color: var(--ink-soft);
  font-size: var(--size-small);
  list-style: none;
}

li {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  --glyph-width: 46px;
}
</style>
