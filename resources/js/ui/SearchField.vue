<script setup lang="ts">
import { ref } from 'vue';

/** A field for words to look for, with its label. */
defineProps<{ label: string }>();
const words = defineModel<string>({ required: true });
const input = ref<HTMLInputElement>();
defineExpose({ focus: () => input.value?.focus() });
</script>

<template>
  <label class="search">
    {{ label }}
    <input ref="input" v-model="words" type="search" autocomplete="off" />
  </label>
</template>

<style scoped>
.search {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-6);
  align-items: baseline;
}

input {
  flex: 1;
  min-width: 140px;
  padding: var(--space-2) var(--space-4);
  border: 1px solid var(--line-strong);
  background: var(--paper-raised);
}
</style>
