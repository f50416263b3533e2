import type { Directive } from 'vue';

type Shown = string | number | null | undefined;
const textOf = (shown: Shown): string => String(shown ?? '');

/**
 * Shows a value in a field that tells its changes when it is left. Unlike `:value`, which every repaint puts back, it
 * leaves alone what is being typed.
 */
export const vTyped: Directive<HTMLInputElement, Shown> = {
  mounted(field, { value }) {
    field.value = textOf(value);
  },
  updated(field, { value, oldValue }) {
    const isBeingTyped = document.activeElement === field && field.value !== textOf(oldValue);
    if (value !== oldValue && !isBeingTyped) {
      field.value = textOf(value);
    }
  },
};
