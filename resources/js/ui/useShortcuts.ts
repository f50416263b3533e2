import { useEventListener } from '@vueuse/core';

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

function isControl(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.closest('button, a, [role=button], [role=gridcell]') !== null;
}

/** Single-key shortcuts, while the component is mounted. They rest while someone types; Space and Enter leave buttons alone. */
export function useShortcuts(keys: Record<string, () => unknown>): void {
  function press(event: KeyboardEvent): void {
    const action = keys[event.key];
    if (!action || event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented || isTyping(event.target)) {
      return;
    }
    if ((event.key === ' ' || event.key === 'Enter') && isControl(event.target)) {
      return;
    }
    event.preventDefault();
    action();
  }
  useEventListener('keydown', press);
}
