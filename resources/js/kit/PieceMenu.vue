<script setup lang="ts">
import { onClickOutside, useEventListener } from '@vueuse/core';
import { ref } from 'vue';
import { say } from '@/words/say';

/** The few things done to a piece besides editing it, behind one small button. */
defineProps<{ of: string }>();
const isOpen = ref(false);
const menu = ref<HTMLElement>();
const items = ref<HTMLElement>();
const button = ref<HTMLButtonElement>();
const close = (): void => {
  isOpen.value = false;
};
onClickOutside(menu, close);
useEventListener(items, 'click', close);
useEventListener(menu, 'keydown', (e: KeyboardEvent) => {
  if (e.key === 'Escape' && isOpen.value) {
    e.stopPropagation();
    close();
    button.value?.focus();
  }
});
</script>

<template>
  <div ref="menu" class="menu screen-only" :class="{ open: isOpen }">
    <button
      ref="button"
      type="button"
      class="plain-button"
      :aria-expanded="isOpen"
      :aria-label="say('button.of', { act: say('kit.more'), name: of })"
      @click="isOpen = !isOpen"
    >
      <svg viewBox="0 0 20 20" width="20" height="20" aria-hidden="true">
        <path d="M4 8.500h3v3H4zM8.500 8.500h3v3h-3zM13 8.500h3v3h-3z" />
      </svg>
    </button>
    <div v-if="isOpen" ref="items" class="items"><slot /></div>
  </div>
</template>

<style scoped>
.menu {
  position: relative;
  z-index: 2;
}

.menu > button {
  display: grid;
  place-items: center;
  width: 32px;
  height: 32px;
}

.menu > button:hover,
.menu.open > button {
  background: var(--ink-wash);
}

path {
  fill: var(--ink);
}

.items {
  position: absolute;
  top: 100%;
  inset-inline-end: 0;
  z-index: 5;
  display: flex;
  flex-direction: column;
  gap: var(--space-2);
  align-items: flex-start;
  width: max-content;
  max-width: 240px;
  padding: var(--space-4) var(--space-6);
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
}

.items :deep(.text-button) {
  min-height: 36px;
}
</style>
