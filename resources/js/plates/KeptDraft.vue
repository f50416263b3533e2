<script setup lang="ts">
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';

/** Says that the form holds an unsaved draft, and offers to discard it. */
defineProps<{ isKept: boolean }>();
const emit = defineEmits<{ startOver: [] }>();
</script>

<template>
  <p v-if="isKept" class="kept" role="status">
    {{ say('draft.kept') }} <TextButton @click="emit('startOver')">{{ say('draft.start_over') }}</TextButton>
  </p>
</template>

<style scoped>
.kept {
  padding: var(--space-3) var(--space-5);
  border-inline-start: 4px solid var(--ochre);
  background: var(--paper);
}
</style>
