import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig(({ mode }) => ({
  plugins: [tailwindcss(), svelte()],
  build: { target: 'es2022', chunkSizeWarningLimit: 900, rolldownOptions: { checks: { bundlerTimings: false } } },
  test: { environment: './vitest.env.ts', server: { deps: { inline: ['svelte'] } }, include: ['src/**/*.test.ts'] },
  // Tests run effects as a browser does, not as a server that renders once.
  resolve: mode === 'test' ? { conditions: ['browser', 'module', 'import', 'default'] } : {},
  server: { proxy: { '/api': 'http://127.0.0.1:5080' } },
}));
