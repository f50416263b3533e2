<script setup lang="ts">
import { computed } from 'vue';
import { pattern, type Code, type Figures } from './say';

/** A message whose figures may be more than text: a slot replaces each figure that has one. */
const props = defineProps<{ code: Code; figures?: Figures }>();
const slots = defineSlots<Record<string, () => unknown>>();

interface Part {
  text: string;
  slot: string | null;
}

const parts = computed<Part[]>(() => {
  const stands = Object.fromEntries(Object.keys(slots).map((name) => [name, { slot: name }]));
  return pattern(props.code)
    .formatToParts<{ slot: string }>({ ...props.figures, ...stands })
    .map(({ value }) =>
      typeof value === 'object' ? { text: '', slot: value.slot } : { text: String(value), slot: null },
    );
});
</script>

<template>
  <template v-for="(part, i) in parts" :key="i"
    ><slot v-if="part.slot !== null" :name="part.slot" /><template v-else>{{ part.text }}</template></template
  >
</template>
