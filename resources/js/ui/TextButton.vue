<script setup lang="ts">
import { say } from '@/words/say';

/** A button of words. Where several look alike, `of` names what each belongs to, for screen readers. */
defineProps<{ words?: string; of?: string }>();
</script>

<template>
  <button
    type="button"
    class="text-button"
    :aria-label="of ? say('button.of', { act: words ?? '', name: of }) : undefined"
  >
    <slot>{{ words }}</slot>
  </button>
</template>
