import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';
import { optimizeImports } from 'carbon-preprocess-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
  preprocess: [vitePreprocess(), optimizeImports()],
  kit: {
    adapter: adapter({ out: 'build', precompress: true }),
    // A page that is kept on a device stands for any address: what it asks for is named from the root.
    paths: { relative: false },
    alias: { $core: 'src/core', $server: 'src/server' },
    // Hashes and nonces only: no script or style runs that the build did not make.
    csp: {
      mode: 'auto',
      directives: {
        'default-src': ['self'],
        'script-src': ['self'],
        'style-src': ['self'],
        // Style attributes carry widths and positions that Carbon renders on the server. They cannot run.
        'style-src-attr': ['unsafe-inline'],
        'img-src': ['self', 'data:', 'blob:'],
        'connect-src': ['self'],
        'object-src': ['none'],
        'base-uri': ['none'],
        'form-action': ['self'],
        'frame-ancestors': ['none']
      }
    }
  }
};
