<script setup lang="ts">
import { computed } from 'vue';
import { useAccount } from '@/stores/account';
import type { PieceKind } from '@/stores/edit';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';
import PieceMenu from './PieceMenu.vue';
import { useKitActions } from './useKitActions';

/** The heading of a piece: its name, which opens the editor from anywhere on its card, and its menu or its tick box. */
const props = defineProps<{ kind: PieceKind; id: string; name: string; isCopied?: boolean }>();

const kit = useKitActions();
const account = useAccount();
const choice = computed(() => kit.choice(props.kind, props.id));
</script>

<template>
  <header>
    <slot />
    <h3>
      <button
        v-if="account.may('edit')"
        type="button"
        class="open"
        :aria-label="say('button.of', { act: say('kit.edit'), name })"
        @click="kit.open(id)"
      >
        {{ name }}
      </button>
      <template v-else>{{ name }}</template>
    </h3>
    <slot name="state" />
    <label v-if="choice" class="choose">
      <input
        type="checkbox"
        :checked="choice.isChosen"
        :disabled="!choice.isOpen"
        :aria-label="say('button.of', { act: say('several.choose'), name })"
        @change="kit.choose(kind, id, ($event.target as HTMLInputElement).checked)"
      />
    </label>
    <PieceMenu v-else-if="account.may('edit')" :of="name">
      <TextButton v-if="isCopied" :words="say('kit.copy')" :of="name" @click="kit.copy(id)" />
      <slot name="menu" />
      <TextButton
        v-if="account.may('keep')"
        :words="say('kit.remove')"
        :of="name"
        @click="kit.remove(kind, id, name)"
      />
    </PieceMenu>
  </header>
</template>

<style scoped>
header {
  display: flex;
  gap: var(--space-4);
  align-items: center;
  min-height: 32px;
}

h3 {
  flex: 1;
  min-width: 0;
  margin: 0;
}

.open {
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: start;
  cursor: pointer;
}

/* The whole card opens the editor; what lies on it keeps its own clicks. */
.open::after {
  position: absolute;
  inset: 0;
  content: '';
}

.open:focus-visible {
  outline: none;
}

.open:focus-visible::after {
  outline: 2px solid var(--focus);
  outline-offset: -5px;
}

.choose {
  position: relative;
  z-index: 1;
}

@media (width <= 400px) {
  header {
    flex-wrap: wrap;
  }
}
</style>
