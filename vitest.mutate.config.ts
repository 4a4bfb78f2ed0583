import { defineConfig } from 'vitest/config';

/**
 * The core's own tests, without the application around them: what seeded faults are looked for with, by default all of them. Each fault
 * gets a program loaded anew: one that breaks the loading of a test would break it for every fault after it.
 */
const folder = process.env.JORAM_MUTATE ?? '**';
export default defineConfig({ test: { include: [`src/core/${folder}/**/*.test.ts`], environment: 'node', testTimeout: 60_000 } });
