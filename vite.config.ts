import { reactRouter } from '@react-router/dev/vite';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { phoneFiles } from './vite/phone-files';

/** Workers are no part of what a page is bundled from. */
const PHONE_WORKERS = /\/carry-lines-[\w-]+\.js$/;

export default defineConfig(({ isSsrBuild, command }) => {
  const phone = phoneFiles();
  return {
    plugins: [
      reactRouter(),
      // Only what a client opens at home is packed into a phone; the studio is not.
      ...(isSsrBuild || command === 'serve'
        ? []
        : [
            phone.plugin,
            VitePWA({
              strategies: 'injectManifest',
              srcDir: 'app/workers',
              filename: 'h-worker.ts',
              outDir: 'build/client',
              injectRegister: null,
              manifest: false,
              injectManifest: {
                globPatterns: ['assets/*.{js,css}', 'assets/*-latin-wght-normal-*.woff2', 'icon-*.png', 'favicon.svg'],
                maximumFileSizeToCacheInBytes: 2_000_000,
                // The page itself is kept when it is opened; of the rest, what it needs.
                manifestTransforms: [
                  (entries) => ({
                    manifest: entries.filter(
                      (e) => !/\.(js|css)$/.test(e.url) || phone.files.has(e.url) || PHONE_WORKERS.test(e.url),
                    ),
                    warnings: [],
                  }),
                ],
              },
            }),
          ]),
    ],
    build: { assetsInlineLimit: 0 },
    // Packed into the server's own file, where only what is used is read at every start.
    ssr: {
      noExternal: [
        'd3',
        /^d3-/,
        'internmap',
        'delaunator',
        'robust-predicates',
        'date-fns',
        '@date-fns/tz',
        'react-hook-form',
        '@hookform/resolvers',
      ],
    },
    css: {
      preprocessorOptions: {
        scss: { quietDeps: true, silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'] },
      },
    },
  };
});
