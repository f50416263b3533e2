<script setup lang="ts">
import { say } from '@/words/say';

/** Words to press. Where many stand alike, `of` names what each belongs to: heard, not seen. */
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
