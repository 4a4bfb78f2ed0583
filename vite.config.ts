import { sveltekit } from '@sveltejs/kit/vite';
import { optimizeCss } from 'carbon-preprocess-svelte';
import { configDefaults, defineConfig } from 'vitest/config';
import type { Plugin } from 'vite';

/** Carbon's sheets name fonts on a remote host. Joram ships its own and asks nobody else for anything. */
const stripRemoteFonts: Plugin = {
  name: 'joram:strip-remote-fonts',
  enforce: 'pre',
  transform(code, id) {
    if (!id.includes('carbon-components-svelte/css')) return;
    return { code: code.replace(/@font-face\s*\{[^}]*\}/g, ''), map: null };
  }
};

export default defineConfig({
  plugins: [stripRemoteFonts, sveltekit(), optimizeCss()],
  build: { chunkSizeWarningLimit: 800 },
  test: {
    include: ['src/**/*.test.ts', 'tests/unit/**/*.test.ts'],
    exclude: [...configDefaults.exclude],
    environment: 'node',
    // Properties and a whole demo told take seconds on a busy small machine; nothing is timed here.
    testTimeout: 60_000,
    hookTimeout: 60_000
  }
});
