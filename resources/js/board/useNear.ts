import { onBeforeUnmount, reactive } from 'vue';

/** How far outside the viewport a row is already drawn and fetched (px). */
const MARGIN_PX = 500;

/**
 * Which rows are in view of what scrolls, or nearly.
 *
 * @param told what to do when a row comes or goes
 */
export function useNear(told: (id: string, isNear: boolean) => void) {
  const near = reactive(new Set<string>());
  const elements = new Map<string, Element>();
  let observer: IntersectionObserver | undefined;

  function set(id: string, isNear: boolean): void {
    // Nobody loses what they stand on.
    if (!isNear && elements.get(id)?.contains(document.activeElement)) {
      return;
    }
    near[isNear ? 'add' : 'delete'](id);
    told(id, isNear);
  }

  /** A row is there, or there no more. */
  function watch(id: string, element: Element | null): void {
    const before = elements.get(id);
    if (before) {
      observer?.unobserve(before);
      elements.delete(id);
    }
    if (!element) {
      set(id, false);
      return;
    }
    observer ??= new IntersectionObserver(
      (entries) => {
        for (const { target, isIntersecting } of entries) {
          set((target as HTMLElement).dataset.outlet ?? '', isIntersecting);
        }
      },
      { root: element.closest('[data-scrolls]'), rootMargin: `${MARGIN_PX}px` },
    );
    elements.set(id, element);
    observer.observe(element);
  }

  onBeforeUnmount(() => observer?.disconnect());

  return { near, set, watch };
}
