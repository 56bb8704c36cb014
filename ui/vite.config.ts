import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [tailwindcss(), svelte()],
  build: { target: 'es2022', chunkSizeWarningLimit: 900, rolldownOptions: { checks: { bundlerTimings: false } } },
  test: { environment: 'node', include: ['src/**/*.test.ts'] },
  server: { proxy: { '/api': 'http://127.0.0.1:5080' } },
});
