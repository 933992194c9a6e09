import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

/** What nearly every view has, and draws in no component library. */
const OWN = /src\/(data|format|theme)\/|src\/parts\/(Loaded|Sheet|use[A-Z])/;

export default defineConfig({
  logLevel: 'warn',
  plugins: [react()],
  // The server replaces the placeholder in each page it gives.
  html: { cspNonce: '%NONCE%' },
  server: { proxy: { '/api': 'http://127.0.0.1:8787' } },
  build: {
    target: 'es2022',
    rolldownOptions: {
      // what nearly every view has is one file instead of forty: each costs its headers and a turn
      output: {
        codeSplitting: { groups: [{ name: 'own', test: OWN, minShareCount: 3 }] },
      },
    },
  },
  test: { isolate: false, testTimeout: 30_000, setupFiles: ['src/testing/setup.ts'] },
});
