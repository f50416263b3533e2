<script setup lang="ts">
import { useAccount } from '@/stores/account';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';

/** A piece of the garage as its plate. */
defineProps<{
  tag?: string;
  name: string;
  blurb: string;
  lines: string[];
  /** Facts that nobody has read. */
  unread?: number;
  /** Whether it is often needed twice, with little changed. */
  isCopied?: boolean;
  /** Whether pieces are being chosen, and this one is among them; null where it cannot be. */
  choice?: { isChosen: boolean; isOpen: boolean } | undefined;
}>();
const account = useAccount();
const emit = defineEmits<{ edit: []; copy: []; remove: []; choose: [isChosen: boolean] }>();
</script>

<template>
  <article class="card">
    <h3>
      <span v-if="tag" class="tag">{{ tag }}</span> {{ name }}
    </h3>
    <label v-if="choice" class="choose">
      <input
        type="checkbox"
        :checked="choice.isChosen"
        :disabled="!choice.isOpen"
        :aria-label="say('button.of', { act: say('several.choose'), name })"
        @change="emit('choose', ($event.target as HTMLInputElement).checked)"
      />
      {{ say('several.choose') }}
    </label>
    <p class="quiet">{{ blurb }}</p>
    <p v-for="line in lines" :key="line" class="figures">{{ line }}</p>
    <p v-if="unread" class="unread">{{ say('filter.n_unread', { n: unread }) }}</p>
    <p class="acts">
      <TextButton v-if="account.may('edit')" :words="say('kit.edit')" :of="name" @click="emit('edit')" />
      <TextButton v-if="isCopied && account.may('edit')" :words="say('kit.copy')" :of="name" @click="emit('copy')" />
      <TextButton v-if="account.may('keep')" :words="say('kit.remove')" :of="name" @click="emit('remove')" />
    </p>
    <slot />
  </article>
</template>

<style scoped>
.card {
  display: flex;
  flex-direction: column;
  padding: var(--space-5) var(--space-6);
  border: 1.5px solid var(--line-strong);
  background: var(--paper-raised);
}

.tag {
  margin-right: var(--space-4);
  padding: 0 var(--space-2);
  border: 1.5px solid var(--ink);
}

.quiet,
.figures {
  font-size: var(--size-small);
}

.unread {
  color: var(--ochre-text);
  font-size: var(--size-small);
}

.choose {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  font-size: var(--size-small);
}

.acts {
  display: flex;
  gap: var(--space-7);
  padding-top: var(--space-3);
  font-size: var(--size-small);
}
</style>
