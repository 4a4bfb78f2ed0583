// The worker of the server's pool, built by itself: SvelteKit builds one server, and a thread is another.
import { join } from 'node:path';
import { defineConfig } from 'vite';

const at = (path: string) => join(import.meta.dirname, path);

export default defineConfig({
  resolve: { alias: { $core: at('src/core'), $server: at('src/server') } },
  // Everything but what the application itself leaves to node_modules goes into one file.
  ssr: { noExternal: true, external: ['pdfmake'] },
  build: { ssr: at('src/server/jobs/worker.ts'), outDir: 'build/jobs', emptyOutDir: true, copyPublicDir: false }
});
