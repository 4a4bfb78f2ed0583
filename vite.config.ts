import { sveltekit } from '@sveltejs/kit/vite';
import { optimizeCss } from 'carbon-preprocess-svelte';
import { PurgeCSS } from 'purgecss';
import type { Plugin } from 'vite';
import { configDefaults, defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** Carbon's sheets name fonts on a remote host. Joram ships its own and asks nobody else for anything. */
const stripRemoteFonts = {
  postcssPlugin: 'joram:strip-remote-fonts',
  AtRule: {
    'font-face': (rule: { toString(): string; remove(): void }) => {
      if (/url\(\s*["']?https?:/.test(rule.toString())) rule.remove();
    }
  }
};

/**
 * What `optimizeCss` keeps by the name of a component is cut once more by what the built pages name: the tooltips of every button and four
 * themes that are not ours are two thirds of it.
 */
const cutUnnamed: Plugin = {
  name: 'joram:cut-unnamed',
  apply: 'build',
  enforce: 'post',
  async generateBundle(_, bundle) {
    const chunks = Object.values(bundle).flatMap((c) => (c.type === 'chunk' ? [{ raw: c.code, extension: 'js' }] : []));
    for (const asset of Object.values(bundle)) {
      if (asset.type !== 'asset' || !asset.fileName.endsWith('.css') || !String(asset.source).includes('.bx--')) continue;
      const [cut] = await new PurgeCSS().purge({
        content: chunks,
        css: [{ raw: String(asset.source) }],
        // Only Carbon's: names that it puts together are kept by their beginnings, and so is every colour that is not its own.
        safelist: {
          standard: [/^(?!bx--)/, /^bx--(btn|modal|select|text-input|text-area|form|label|pagination|checkbox|file|loading|copy)/],
          variables: [/^--(?!cds-)/]
        },
        variables: true,
        // Kinds of its parts that no page of ours has.
        blocklist: [/^bx--tooltip/, /skeleton/, /fluid/, /--warn/, /--light$/]
      });
      asset.source = cut!.css.replace(/:root\[theme=["']?g\d+["']?\][^{}]*\{[^{}]*\}/g, '');
    }
  }
};

/** Tests with a server first: they take longest, and one that is begun last holds up the end alone. */
class ServersFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]) {
    const sorted = await super.sort(files);
    const waits = (file: TestSpecification) => file.moduleId.includes('/tests/unit/');
    return [...sorted.filter(waits), ...sorted.filter((file) => !waits(file))];
  }
}

export default defineConfig({
  plugins: [sveltekit(), optimizeCss(), cutUnnamed],
  css: { postcss: { plugins: [stripRemoteFonts] } },
  build: {
    chunkSizeWarningLimit: 800,
    // A page's own list of what it needs comes with its HTML; the style sheets of the next page are all that is asked for ahead here.
    modulePreload: { polyfill: false, resolveDependencies: (_, needed) => needed.filter((file) => file.endsWith('.css')) },
    rolldownOptions: {
      // The core is pure: a page that asks one of its files for one thing gets no other.
      treeshake: { moduleSideEffects: [{ test: /\/src\/core\//, sideEffects: false }] },
      output: {
        // What every page has is one file, and not a dozen of a kilobyte.
        codeSplitting: {
          groups: [{ name: 'every-page', test: /node_modules\/(svelte|@sveltejs)\/|src\/lib\/sheet\//, minShareCount: 12 }]
        }
      }
    }
  },
  test: {
    include: ['src/**/*.test.ts', 'tests/unit/**/*.test.ts'],
    exclude: [...configDefaults.exclude],
    environment: 'node',
    // All cores: by itself Vitest leaves one free, which on two of them is half, and much of what is tested waits for a server.
    maxWorkers: '100%',
    sequence: { sequencer: ServersFirst },
    // Properties and a whole demo told take seconds on a busy small machine; nothing is timed here.
    testTimeout: 60_000,
    hookTimeout: 60_000
  }
});
