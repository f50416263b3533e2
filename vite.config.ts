import vue from '@vitejs/plugin-vue';
import laravel from 'laravel-vite-plugin';
import { fileURLToPath } from 'node:url';
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers';
import components from 'unplugin-vue-components/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [
    laravel({ input: 'resources/js/main.ts' }),
    vue(),
    // Only the controls that a screen names are shipped, each with its own style.
    components({
      dirs: [],
      dts: 'resources/js/components.d.ts',
      resolvers: [ElementPlusResolver({ importStyle: 'css' })],
    }),
  ],
  resolve: {
    alias: {
      '@': fileURLToPath(new URL('./resources/js', import.meta.url)),
      '@fonts': fileURLToPath(new URL('./.cache/fonts', import.meta.url)),
    },
  },
});
