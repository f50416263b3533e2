<script setup lang="ts" generic="T extends string | number">
import Choice from './Choice.vue';

/** One answer of a few; choosing one moves on. */
defineProps<{ options: readonly { id: T; title: string; hint?: string }[]; chosen: T | null }>();
const emit = defineEmits<{ choose: [id: T] }>();
</script>

<template>
  <div class="options">
    <Choice
      v-for="o in options"
      :key="o.id"
      :title="o.title"
      :hint="o.hint"
      :is-chosen="chosen === o.id"
      @choose="emit('choose', o.id)"
    />
  </div>
</template>

<style scoped>
.options {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: var(--space-6);
}

.options :deep(.choice) {
  justify-content: center;
  min-height: 84px;
}

@media (width <= 520px) {
  .options {
    grid-template-columns: 1fr;
    gap: var(--space-4);
  }

  .options :deep(.choice) {
    min-height: 60px;
  }
}
</style>
