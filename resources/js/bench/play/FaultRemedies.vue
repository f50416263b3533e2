<script setup lang="ts">
import type { Simulation } from '@/api/client';
import { say } from '@/words/say';

/** What helps against a fault, what comes first, and why other things don't. */
defineProps<{ fault: NonNullable<Simulation['fault']> }>();
</script>

<template>
  <section class="remedies" aria-live="polite">
    <h2>{{ fault.name }}</h2>
    <h3>{{ say('play.helps') }}</h3>
    <ol>
      <li v-for="r in fault.remedies" :key="r">{{ r }}</li>
    </ol>
    <h3>{{ say('play.does_not_help') }}</h3>
    <ul>
      <li v-for="w in fault.wrong" :key="w.code">
        <strong>{{ w.do }}</strong> {{ w.why_not }}
      </li>
    </ul>
  </section>
</template>

<style scoped>
.remedies {
  margin: var(--space-8) 0 var(--space-6);
  padding: var(--space-6) var(--space-7);
  border-inline-start: 4px solid var(--brick);
  background: var(--paper-raised);
}

h2 {
  margin: 0;
  font-size: var(--size-lead);
}

h3 {
  margin: var(--space-4) 0 var(--space-2);
  font-size: var(--size-small);
}

ol,
ul {
  margin: 0;
  padding-inline-start: 1.3em;
  font-size: var(--size-small);
}

li {
  padding: var(--space-1) 0;
}
</style>
