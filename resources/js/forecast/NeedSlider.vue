<script setup lang="ts">
/** One figure of the need as a slider: its name, its value, and the track. */
defineProps<{
  label: string;
  /** The value in words, as it stands beside the name and as it is read aloud. */
  says: string;
  min: number;
  max: number;
  step?: number;
  disabled?: boolean;
}>();
const model = defineModel<number>({ required: true });
</script>

<template>
  <div class="need" :class="{ off: disabled }">
    <span class="row" aria-hidden="true">
      <span>{{ label }}</span>
      <span class="figures says">{{ says }}</span>
    </span>
    <el-slider
      v-model="model"
      :min="min"
      :max="max"
      :step="step ?? 1"
      :disabled="disabled"
      :show-tooltip="false"
      :aria-label="label"
      :format-value-text="() => says"
    />
  </div>
</template>

<style scoped>
.need {
  display: block;
}

.row {
  display: flex;
  gap: var(--space-5);
  justify-content: space-between;
  line-height: 1.25;
}

.says {
  white-space: nowrap;
  font-weight: 640;
}

.off {
  color: var(--ink-faint);
}
</style>
