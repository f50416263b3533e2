<script setup lang="ts">
import { useTemplateRef, watch } from 'vue';
import TextButton from '@/ui/TextButton.vue';
import { listed, say } from '@/words/say';

/** Smell or heat: from any screen of a session, what to do in large words, and the piece is out of use. */
const props = defineProps<{ pieces: string[]; isNoted: boolean }>();
const isOpen = defineModel<boolean>({ required: true });
const emit = defineEmits<{ takeBack: []; stop: [] }>();
const dialog = useTemplateRef<HTMLDialogElement>('dialog');

watch(isOpen, (open) => (open ? dialog.value?.showModal() : dialog.value?.close()), { flush: 'post' });
</script>

<template>
  <dialog ref="dialog" class="smell" aria-labelledby="smell-title" @close="isOpen = false">
    <h1 id="smell-title">{{ say('smell.stop') }}</h1>
    <ol>
      <li>{{ say('smell.first') }}</li>
      <li>{{ say('smell.second') }}</li>
      <li>{{ say('smell.third') }}</li>
    </ol>
    <p v-if="props.pieces.length > 0" class="out">{{ say('smell.out', { pieces: listed('and', props.pieces) }) }}</p>
    <p v-if="!isNoted" class="out" role="alert">{{ say('smell.unsaved') }}</p>
    <div class="ways">
      <button type="button" class="big" @click="emit('stop')">{{ say('smell.stopped') }}</button>
      <TextButton @click="emit('takeBack')">{{ say('smell.mistake') }}</TextButton>
    </div>
  </dialog>
</template>

<style scoped>
.smell {
  width: min(620px, 100vw - 16px);
  max-height: calc(100vh - 16px);
  padding: var(--space-8);
  border: 4px solid var(--brick);
  background: var(--paper);
  color: var(--ink);
}

.smell::backdrop {
  background: rgb(0 0 0 / 55%);
}

h1 {
  color: var(--brick-text);
  font-size: var(--size-figure);
}

ol {
  margin: var(--space-6) 0;
  padding-inline-start: var(--space-9);
  font-size: var(--size-title);
  line-height: 1.35;
}

li {
  padding: var(--space-2) 0;
}

.out {
  margin-bottom: var(--space-5);
  font-weight: 600;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-6) var(--space-8);
  align-items: center;
}

.big {
  min-height: 60px;
  padding: var(--space-4) var(--space-8);
  border: 0;
  background: var(--brick);
  color: var(--paper);
  cursor: pointer;
  font-family: var(--face-wide);
  font-size: var(--size-lead);
  font-weight: 700;
}
</style>
