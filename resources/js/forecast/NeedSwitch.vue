<script setup lang="ts">
import { say } from '@/words/say';

/** A yes-or-no option. */
defineProps<{ label: string; disabled?: boolean }>();
const model = defineModel<boolean>({ required: true });
</script>

<template>
  <div class="switch">
    <span aria-hidden="true">{{ label }}</span>
    <span class="print-only">{{ model ? say('entry.yes') : say('entry.no') }}</span>
    <el-switch v-model="model" :aria-label="label" :disabled="disabled" />
  </div>
</template>

<style scoped>
.switch {
  display: flex;
  gap: var(--space-5);
  align-items: center;
  justify-content: space-between;
  min-height: 28px;
  line-height: 1.25;
}
</style>
