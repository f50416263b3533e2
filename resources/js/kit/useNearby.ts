import { useEventListener, useIntersectionObserver } from '@vueuse/core';
import { computed, ref, type Ref } from 'vue';

/** Draws a long list as far as somebody has scrolled, and all of it on paper. `end` is an element after the last one. */
export function useNearby<T>(all: Ref<readonly T[]>, end: Ref<HTMLElement | undefined>, step = 24) {
  const most = ref(step);
  const shown = computed(() => all.value.slice(0, most.value));
  useIntersectionObserver(
    end,
    ([entry]) => {
      if (entry?.isIntersecting && most.value < all.value.length) {
        most.value += step;
      }
    },
    { rootMargin: '800px' },
  );
  useEventListener(window, 'beforeprint', () => {
    most.value = all.value.length;
  });
  return shown;
}
