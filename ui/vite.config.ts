import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  logLevel: 'warn',
  plugins: [react()],
  // The server replaces the placeholder in each page it gives.
  html: { cspNonce: '%NONCE%' },
  server: { proxy: { '/api': 'http://127.0.0.1:8787' } },
  build: { target: 'es2022' },
  test: { isolate: false, testTimeout: 30_000, setupFiles: ['src/testing/setup.ts'] },
});
