import vue from '@vitejs/plugin-vue';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

/** Units of the page, without a browser. */
export default defineConfig({
  plugins: [vue()],
  resolve: { alias: { '@': fileURLToPath(new URL('./resources/js', import.meta.url)) } },
  test: { include: ['tests/Page/**/*.test.ts'], setupFiles: ['tests/Page/setup.ts'] },
});
