import { useEventListener, useMutationObserver } from '@vueuse/core';
import { onScopeDispose } from 'vue';

const FOCUSABLE = 'a[href], button, input, select, textarea, [tabindex]:not([tabindex="-1"])';
/** How far back to look for an element to focus. */
const REMEMBERED = 20;

interface Place {
  element: HTMLElement;
  /** Every element around it and where the one below stands in it, from the inside out. */
  around: { parent: Element; index: number }[];
}

const canStand = (e: HTMLElement): boolean => e.isConnected && !e.matches(':disabled') && e.getClientRects().length > 0;

function placeOf(element: HTMLElement): Place {
  const around: Place['around'] = [];
  for (let at: Element = element; at.parentElement; at = at.parentElement) {
    around.push({ parent: at.parentElement, index: [...at.parentElement.children].indexOf(at) });
  }
  return { element, around };
}

/** What stands where something was: the first thing to stand on in its place, or in what came before it. */
function nextTo({ around }: Place): HTMLElement | undefined {
  const there = around.find(({ parent }) => parent.isConnected);
  if (!there || !there.parent.closest('#stage') || there.parent.id === 'stage') {
    return undefined;
  }
  const children = [...there.parent.children];
  const candidates = [...children.slice(there.index), ...children.slice(0, there.index).reverse()];
  return candidates
    .flatMap((c) => [...(c.matches(FOCUSABLE) ? [c] : []), ...c.querySelectorAll(FOCUSABLE)] as HTMLElement[])
    .find(canStand);
}

/**
 * Keyboard focus never gets lost: when the focused element is removed, the focus moves next to
 * where it was; else where they stood before; else at the head of the stage. What is only busy is stood on again.
 */
export function useFocusHome(): void {
  let last: Place | null = null;
  let before: HTMLElement[] = [];
  let due = 0;

  function came(event: FocusEvent): void {
    const element = event.target as HTMLElement;
    last = placeOf(element);
    before = [element, ...before.filter((e) => e !== element && e.isConnected)].slice(0, REMEMBERED);
  }

  /** A press beside everything is no loss. */
  function went(event: FocusEvent): void {
    const element = event.target as HTMLElement;
    if (event.relatedTarget === null && element.isConnected && !element.matches(':disabled')) {
      requestAnimationFrame(() => {
        if (last?.element === element && canStand(element)) {
          last = null;
        }
      });
    }
  }

  function look(): void {
    due = 0;
    if (!last || (document.activeElement !== null && document.activeElement !== document.body)) {
      return;
    }
    if (last.element.isConnected && !canStand(last.element)) {
      // Busy or hidden: it may come back. A hidden dialog's opener is stood on by the dialog itself.
      return;
    }
    const home = canStand(last.element)
      ? last.element
      : (nextTo(last) ?? before.find(canStand) ?? document.querySelector<HTMLElement>('#stage, main'));
    if (home && !home.matches(FOCUSABLE)) {
      home.tabIndex = -1;
    }
    home?.focus({ preventScroll: home === last.element });
  }

  useEventListener(document, 'focusin', came);
  useEventListener(document, 'focusout', went);
  useMutationObserver(document.body, () => (due ||= requestAnimationFrame(look)), {
    childList: true,
    subtree: true,
    attributeFilter: ['disabled'],
  });
  onScopeDispose(() => cancelAnimationFrame(due));
}
