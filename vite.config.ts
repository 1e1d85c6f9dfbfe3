import { reactRouter } from '@react-router/dev/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [reactRouter()],
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
});
