<script setup lang="ts">
import type { RouteLocationRaw } from 'vue-router';
import { say } from '@/words/say';

/** Kinds in the catalogue that can be added to the garage, each opened with its usual figures. */
defineProps<{ kinds: { name: string; to: RouteLocationRaw }[] }>();
</script>

<template>
  <template v-if="kinds.length > 0">
    <p class="quiet">{{ say('identify.kinds') }}</p>
    <ul>
      <li v-for="k in kinds" :key="k.name">
        <RouterLink :to="k.to">{{ k.name }}</RouterLink>
      </li>
    </ul>
  </template>
</template>

<style scoped>
ul {
  margin: 0;
  padding-inline-start: var(--space-7);
}
</style>
