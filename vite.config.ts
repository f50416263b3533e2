import vue from '@vitejs/plugin-vue';
import laravel from 'laravel-vite-plugin';
import { fileURLToPath } from 'node:url';
import { createHash } from 'node:crypto';
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers';
import components from 'unplugin-vue-components/vite';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

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
    // The installed application: its files are on the device, and a page that the server cannot send is drawn from there.
    VitePWA({
      outDir: 'public',
      base: '/',
      buildBase: '/build/',
      scope: '/',
      injectRegister: false,
      manifest: false,
      workbox: {
        inlineWorkboxRuntime: true,
        globDirectory: 'public/build',
        globPatterns: ['assets/*.{js,css,woff2}'],
        modifyURLPrefix: { '': '/build/' },
        // The page itself names the files above: it is as new as they are.
        manifestTransforms: [
          (entries) => ({
            manifest: [
              ...entries,
              {
                url: '/shell',
                revision: createHash('md5')
                  .update(entries.map((e) => e.url).join())
                  .digest('hex'),
                size: 0,
              },
            ],
          }),
        ],
        navigateFallback: null,
        runtimeCaching: [
          {
            urlPattern: ({ request }) => request.mode === 'navigate',
            handler: 'NetworkOnly',
            options: { precacheFallback: { fallbackURL: '/shell' } },
          },
        ],
      },
    }),
  ],
  resolve: {
    alias: {
      '@': fileURLToPath(new URL('./resources/js', import.meta.url)),
      '@fonts': fileURLToPath(new URL('./.cache/fonts', import.meta.url)),
    },
  },
});
