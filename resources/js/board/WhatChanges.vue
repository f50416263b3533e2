<script setup lang="ts">
import type { FitAnswer } from '@/api/client';
import { promised } from '@/ui/figures';
import { say } from '@/words/say';

/** What a driver could change, and the power it would bring. */
defineProps<{ changes: FitAnswer['changes'] }>();
</script>

<template>
  <template v-if="changes.length > 0">
    <h3>{{ say('why.changes') }}</h3>
    <ul>
      <li v-for="change in changes" :key="change.change">
        <span class="change">{{ change.change }}</span>
        <span class="figures">{{ promised(change) }}</span>
      </li>
    </ul>
  </template>
</template>

<style scoped>
h3 {
  margin: var(--space-7) 0 var(--space-1);
}

ul {
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--line);
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-6);
  justify-content: space-between;
  padding: var(--space-3) 0;
  border-bottom: 1px solid var(--line);
  line-height: 1.35;
}

.change {
  flex: 1 1 12em;
}

.change::first-letter {
  text-transform: uppercase;
}

.figures {
  font-weight: 640;
}
</style>
