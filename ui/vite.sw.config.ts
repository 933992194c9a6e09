import { readdirSync } from 'node:fs';
import { defineConfig } from 'vite';

/** Faces for alphabets that the interface itself does not use; a browser fetches them when a name needs them. */
const SELDOM = /-(vietnamese|cyrillic|greek)[-.]/;

const files = readdirSync('dist/assets')
  .filter((name) => !SELDOM.test(name))
  .map((name) => `/assets/${name}`);

/** The service worker, built after the interface, whose files it lists. */
export default defineConfig({
  logLevel: 'warn',
  publicDir: false,
  define: { FILES: JSON.stringify(files), 'process.env.NODE_ENV': '"production"' },
  build: {
    target: 'es2022',
    emptyOutDir: false,
    lib: { entry: 'src/worker/sw.ts', formats: ['iife'], name: 'worker', fileName: () => 'sw.js' },
  },
});
