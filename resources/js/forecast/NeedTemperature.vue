<script setup lang="ts">
import { computed } from 'vue';
import { useUnits } from '@/stores/units';
import NeedSlider from './NeedSlider.vue';

/** A temperature, kept in Celsius and moved in whole degrees of the garage's own scale. */
defineProps<{ label: string; minC: number; maxC: number }>();
const model = defineModel<number>({ required: true });
const { degrees, toCelsius, celsius } = useUnits();

const shown = computed({
  get: () => Math.round(degrees(model.value)),
  set: (d: number) => (model.value = Math.round(toCelsius(d) * 10) / 10),
});
</script>

<template>
  <NeedSlider
    v-model="shown"
    :label="label"
    :says="celsius(model)"
    :min="Math.round(degrees(minC))"
    :max="Math.round(degrees(maxC))"
  />
</template>
