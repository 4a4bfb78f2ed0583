import { defineConfig } from 'vitest/config';

/** The core's own tests, without the application around them: what seeded faults are looked for with, by default all of them. */
const folder = process.env.JORAM_MUTATE ?? '**';
export default defineConfig({
  // Faults are switched on in a program that stays loaded: nothing is loaded anew for each.
  test: { include: [`src/core/${folder}/**/*.test.ts`], environment: 'node', testTimeout: 60_000, isolate: false, fileParallelism: false }
});
