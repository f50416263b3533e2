<script setup lang="ts">
import { computed } from 'vue';
import { useUnits } from '@/ui/useUnits';
import NeedSlider from './NeedSlider.vue';

/** A temperature, kept in Celsius and moved in whole degrees of the garage's own scale. */
defineProps<{ label: string; minC: number; maxC: number }>();
const model = defineModel<number>({ required: true });
const { isUs, celsius } = useUnits();

const shown = (c: number) => Math.round(isUs.value ? (c * 9) / 5 + 32 : c);
const degrees = computed({
  get: () => shown(model.value),
  set: (d: number) => (model.value = isUs.value ? Math.round(((d - 32) * 50) / 9) / 10 : d),
});
</script>

<template>
  <NeedSlider v-model="degrees" :label="label" :says="celsius(model)" :min="shown(minC)" :max="shown(maxC)" />
</template>
