<script setup lang="ts">
/** One of several answers, drawn as a block; what is chosen is framed in ink. */
defineProps<{ title: string; hint?: string; isChosen: boolean }>();
const emit = defineEmits<{ choose: [] }>();
</script>

<template>
  <button type="button" class="choice" :aria-pressed="isChosen" @click="emit('choose')">
    <slot />
    <strong>{{ title }}</strong>
    <span v-if="hint" class="quiet">{{ hint }}</span>
  </button>
</template>

<style scoped>
.choice {
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: flex-end;
  min-height: 56px;
  padding: var(--space-6) var(--space-5);
  border: 1.5px solid var(--line-strong);
  background: var(--paper-raised);
  color: inherit;
  cursor: pointer;
  font: inherit;
  line-height: 1.25;
  text-align: center;
}

.choice:hover {
  border-color: var(--ink);
}

.choice[aria-pressed='true'] {
  border-color: var(--ink);
  outline: 1.5px solid var(--ink);
  outline-offset: -3px;
}

.choice .quiet {
  font-size: var(--size-small);
}
</style>
