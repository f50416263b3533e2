<script setup lang="ts">
import type { Outcome } from '@/api/client';
import JointGlyph from '@/ui/JointGlyph.vue';

const legend: { outcome: Outcome; tags?: string[]; words: string }[] = [
  { outcome: 'charges', words: 'charges' },
  { outcome: 'limited', words: 'charges, held back' },
  { outcome: 'charges', tags: ['A1'], words: 'through an adapter' },
  { outcome: 'unverified', words: 'check first' },
  { outcome: 'wont_charge', words: "mates, won't charge" },
  { outcome: 'no_joint', words: 'no joint' },
  { outcome: 'hazard', words: 'do not connect' },
];
</script>

<template>
  <ul class="legend" aria-label="What the joints mean">
    <li v-for="item in legend" :key="item.words">
      <JointGlyph :outcome="item.outcome" :tags="item.tags" />{{ item.words }}
    </li>
  </ul>
</template>

<style scoped>
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  margin: 12px 0 0;
  padding: 0;
  color: var(--ink-soft);
  font-size: 12.5px;
  list-style: none;
}

li {
  display: flex;
  gap: 7px;
  align-items: center;
}

li :deep(svg) {
  width: 46px;
  height: 17px;
}
</style>
