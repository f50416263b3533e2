<script setup lang="ts">
import { ref } from 'vue';
import { forget, waits } from '@/stores/visitorCar';
import TextButton from '@/ui/TextButton.vue';
import { listed, say } from '@/words/say';

/** A car that was checked on this device before. It may be somebody else's, so it can be discarded. */
defineProps<{ code: 'begin.with_car' | 'invitation.with_car' }>();

const waiting = ref(waits());
function drop(): void {
  forget();
  waiting.value = null;
}
</script>

<template>
  <p v-if="waiting">
    {{ say(code, { faces: listed('plus', waiting.faces) }) }}
    <TextButton @click="drop">{{ say('begin.drop_car') }}</TextButton>
  </p>
</template>
