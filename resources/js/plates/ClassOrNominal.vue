<script setup lang="ts">
import { computed, ref } from 'vue';
import TextButton from '@/ui/TextButton.vue';
import { number } from '@/ui/figures';
import { say } from '@/words/say';

/** 400 and 800 may name a class of batteries or be printed as the nominal voltage: asked, never assumed. */
const props = defineProps<{ volts: number | null }>();
const emit = defineEmits<{ isClass: [id: string] }>();

const CLASSES = [400, 800];
const printed = ref<number | null>(null);
const isOpen = computed(() => props.volts !== null && CLASSES.includes(props.volts) && printed.value !== props.volts);
</script>

<template>
  <p v-if="isOpen" class="which" role="status">
    {{ say('ask.class_or_nominal', { volts: number(volts) }) }}
    <TextButton @click="printed = volts">{{ say('ask.is_nominal', { volts: number(volts) }) }}</TextButton>
    <TextButton @click="emit('isClass', String(volts))">{{ say('ask.is_class') }}</TextButton>
  </p>
</template>

<style scoped>
.which {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-6);
  margin: var(--space-4) 0 0;
}
</style>
