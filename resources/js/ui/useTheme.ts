import { useColorMode } from '@vueuse/core';

/** Day and night; follows the device until the user chooses. */
export function useTheme() {
  const mode = useColorMode({
    attribute: 'data-theme',
    modes: { light: 'day', dark: 'night' },
    storageKey: 'harmozon-theme',
    disableTransition: false,
  });
  const isNight = () => (mode.value as string) === 'dark' || (mode.value as string) === 'night';
  const toggle = () => {
    mode.value = isNight() ? 'light' : 'dark';
  };
  return { isNight, toggle };
}
