<script setup lang="ts">
import { computed } from 'vue';
import type { PieceKind } from '@/stores/edit';
import { useAccount } from '@/stores/account';
import { useGarage } from '@/stores/garage';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';
import PieceMenu from './PieceMenu.vue';
import { useKitActions } from './useKitActions';

/** A car, a charger or a wish: its faces, its name, its ratings. The whole card opens the editor. */
const props = defineProps<{
  kind: PieceKind;
  id: string;
  name: string;
  blurb: string;
  lines: string[];
  isCopied?: boolean;
}>();

const kit = useKitActions();
const account = useAccount();
const garage = useGarage();
const choice = computed(() => kit.choice(props.kind, props.id));
const unread = computed(() => garage.unread[props.id] ?? 0);
</script>

<template>
  <article class="card">
    <header>
      <slot name="faces" />
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
        <slot name="menu" />
        <TextButton v-if="isCopied" :words="say('kit.copy')" :of="name" @click="kit.copy(id)" />
        <TextButton
          v-if="account.may('keep')"
          :words="say('kit.remove')"
          :of="name"
          @click="kit.remove(kind, id, name)"
        />
      </PieceMenu>
    </header>
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

header {
  display: flex;
  gap: var(--space-4);
  align-items: center;
  min-height: 32px;
}

header :deep(svg.face),
header > :deep(svg) {
  flex: none;
  width: 38px;
  height: 44px;
}

h3 {
  flex: 1;
  min-width: 0;
  margin: 0;
}

p {
  margin: 0;
  font-size: var(--size-small);
}

.open {
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}

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
  outline-offset: -4px;
}

.choose,
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
