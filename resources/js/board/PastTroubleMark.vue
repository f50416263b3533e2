<script setup lang="ts">
import { computed } from 'vue';
import { useExperience } from '@/stores/experience';

/** Marks an outlet where earlier sessions had trouble and no good session has followed. */
const props = defineProps<{ outlet: string }>();
const experience = useExperience();
const words = computed(() => experience.troubleAt(props.outlet).join(' '));
</script>

<template>
  <span v-if="words" class="trouble" :title="words">
    <svg viewBox="0 0 12 12" width="12" height="12" aria-hidden="true">
      <path d="M6 1L11.500 11H0.500ZM6 4.500V7.500M6 8.800V9.600" />
    </svg>
    <span class="sr-only">{{ words }}</span>
  </span>
</template>

<style scoped>
.trouble {
  margin-inline-start: var(--space-3);
}

path {
  fill: none;
  stroke: var(--ochre-text);
  stroke-width: 1.4;
}
</style>
