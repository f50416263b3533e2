<script setup lang="ts">
import { computed } from 'vue';
import type { PieceKind } from '@/stores/edit';
import { useGarage } from '@/stores/garage';
import { say } from '@/words/say';
import PieceHead from './PieceHead.vue';

/** A car, a charger or a wish: its faces, its name, its ratings. The whole card opens the editor. */
const props = defineProps<{
  kind: PieceKind;
  id: string;
  name: string;
  blurb: string;
  lines: string[];
  isCopied?: boolean;
}>();

const garage = useGarage();
const unread = computed(() => garage.unread[props.id] ?? 0);
</script>

<template>
  <article class="card">
    <PieceHead :id="id" :kind="kind" :name="name" :is-copied="isCopied">
      <slot name="faces" />
      <template #menu><slot name="menu" /></template>
    </PieceHead>
    <p v-if="blurb" class="quiet">{{ blurb }}</p>
    <p v-for="line in lines" :key="line" class="figures">{{ line }}</p>
    <p v-if="unread > 0" class="unread">{{ say('filter.n_unread', { n: unread }) }}</p>
    <div class="own"><slot /></div>
  </article>
</template>

<style scoped>
.card {
  position: relative;
  display: flex;
  flex-direction: column;
  gap: var(--space-2);
  padding: var(--space-5) var(--space-6);
  border: 1.5px solid var(--line-strong);
  background: var(--paper-raised);
}

.card:hover {
  border-color: var(--ink);
}

.card:has(.menu.open) {
  z-index: 4;
}

header :deep(svg.face),
header > :deep(svg) {
  flex: none;
  width: 38px;
  height: 44px;
}

p {
  margin: 0;
  font-size: var(--size-small);
}

.own :deep(button),
.own :deep(a),
.own :deep(summary) {
  position: relative;
  z-index: 1;
}

.unread {
  color: var(--ochre-text);
}

@media print {
  .card {
    break-inside: avoid;
  }
}
</style>
