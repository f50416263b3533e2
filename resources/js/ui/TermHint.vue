<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { computed, ref, useTemplateRef } from 'vue';
import { learn, say } from '@/words/say';
import type { GlossaryTerm } from '@/words/glossaryTerms';

/** Explains a term in place: by touch, by mouse, or with Enter. `isMark` shows a question mark next to a name. */
const props = defineProps<{ term: GlossaryTerm; isMark?: boolean }>();
const isOpen = ref(false);
const isKnown = ref(false);
const trigger = useTemplateRef<HTMLElement>('trigger');
const card = useTemplateRef<HTMLElement>('card');
const name = computed(() => (isKnown.value ? say(`glossary.${props.term}`) : ''));

/** The glossary comes with the first press; a mark needs the term's name before. */
async function know(): Promise<void> {
  await learn();
  isKnown.value = true;
}

if (props.isMark) {
  void know();
}

function close(): void {
  isOpen.value = false;
  trigger.value?.focus();
}

// Before anybody else: Escape closes the card alone, not the drawer that it lies over.
useEventListener(
  document,
  'keydown',
  (event: KeyboardEvent) => {
    if (isOpen.value && event.key === 'Escape') {
      event.stopPropagation();
      close();
    }
  },
  { capture: true },
);
</script>

<template>
  <el-popover
    v-model:visible="isOpen"
    trigger="click"
    placement="bottom-start"
    :width="300"
    :show-arrow="false"
    :persistent="false"
    @before-enter="know"
    @after-enter="card?.focus()"
  >
    <template #reference>
      <button
        ref="trigger"
        type="button"
        class="term"
        :class="{ mark: isMark }"
        :aria-expanded="isOpen"
        :aria-label="isMark ? say('glossary.what_is', { term: name }) : undefined"
      >
        <slot>?</slot>
      </button>
    </template>
    <div v-if="isKnown" ref="card" class="card" tabindex="-1">
      <strong>{{ name }}</strong>
      <p>{{ say(`glossary.${term}_what`) }}</p>
      <RouterLink :to="{ path: '/glossary', hash: `#${term}` }" @click="isOpen = false">{{
        say('glossary.all')
      }}</RouterLink>
    </div>
  </el-popover>
</template>

<style scoped>
.term {
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  cursor: help;
  font: inherit;
  text-align: start;
  text-decoration: underline dotted 1.5px;
  text-decoration-color: var(--line-strong);
  text-underline-offset: 3px;
}

.mark {
  width: 24px;
  border: 1px solid var(--line-strong);
  border-radius: 50%;
  text-align: center;
  text-decoration: none;
}

.card p {
  margin: var(--space-2) 0;
  line-height: 1.4;
}
</style>
