import { computed, useTemplateRef, type ComputedRef } from 'vue';
import type ChartFrame from './ChartFrame.vue';

/** The element of the chart that is drawn in `<ChartFrame ref="frame">`; null before it is there. */
export function useFrame(): ComputedRef<HTMLElement | null> {
  const frame = useTemplateRef<InstanceType<typeof ChartFrame>>('frame');
  return computed(() => frame.value?.element ?? null);
}
