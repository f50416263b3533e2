import type { Ref } from 'vue';
import type { Scale } from './useScales';

/** Each key press moves a hundredth of the axis, with Shift a tenth. */
const STRIDES = 100;
const WITH_SHIFT = 10;

/**
 * A cursor along a curve, moved with the pointer and with the keys of a slider. It stands at so many seconds; null when it
 * stands nowhere.
 *
 * @param toSeconds from a value on the horizontal axis
 */
export function useCursor(
  frame: Readonly<Ref<HTMLElement | null>>,
  cursorS: Ref<number | null>,
  x: Readonly<Ref<Scale>>,
  lastS: Readonly<Ref<number>>,
  toSeconds: (value: number) => number,
) {
  const put = (seconds: number): void => {
    cursorS.value = Math.min(lastS.value, Math.max(0, seconds));
  };

  function follow(event: PointerEvent): void {
    const box = frame.value?.getBoundingClientRect();
    if (box) {
      put(toSeconds(x.value.invert(event.clientX - box.left)));
    }
  }

  function step(event: KeyboardEvent): void {
    const stride = (event.shiftKey ? WITH_SHIFT : 1) * (lastS.value / STRIDES);
    const at = cursorS.value ?? 0;
    const moves: Record<string, () => void> = {
      ArrowLeft: () => put(at - stride),
      ArrowDown: () => put(at - stride),
      ArrowRight: () => put(at + stride),
      ArrowUp: () => put(at + stride),
      Home: () => put(0),
      End: () => put(lastS.value),
      Escape: () => (cursorS.value = null),
    };
    const move = moves[event.key];
    if (move) {
      move();
      event.preventDefault();
      event.stopPropagation();
    }
  }

  return { follow, step };
}
