<script setup lang="ts">
import { computed } from 'vue';
import { number } from '@/ui/figures';
import { say } from '@/words/say';

/** A charge curve as a small drawing: kW over charge. */
const props = defineProps<{ curve: number[][] }>();
const [WIDTH, HEIGHT] = [220, 56];
const most = computed(() => Math.max(1, ...props.curve.map((p) => p[1] ?? 0)));
const path = computed(() => {
  const at = ([soc = 0, kw = 0]: number[]) =>
    `${((soc / 100) * WIDTH).toFixed(1)} ${(HEIGHT - (kw / most.value) * (HEIGHT - 4)).toFixed(1)}`;
  const first = props.curve[0]?.[1] ?? 0;
  const last = props.curve.at(-1)?.[1] ?? 0;
  return `M${[[0, first], ...props.curve, [100, last]].map(at).join('L')}`;
});
</script>

<template>
  <figure>
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" preserveAspectRatio="none" aria-hidden="true">
      <path class="under" :d="`${path}L${WIDTH} ${HEIGHT}L0 ${HEIGHT}Z`" />
      <path class="line" :d="path" />
    </svg>
    <figcaption class="quiet">{{ say('cars.peak', { kw: number(most) }) }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: var(--space-3) 0 0;
}

svg {
  width: 100%;
  height: 48px;
}

.under {
  fill: var(--ink-wash);
}

.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}

figcaption {
  font-size: var(--size-small);
}
</style>
