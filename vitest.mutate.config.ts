import { defineConfig } from 'vitest/config';

/** The core's own tests, without the application around them: what seeded faults are looked for with. */
export default defineConfig({ test: { include: ['src/core/**/*.test.ts'], environment: 'node', testTimeout: 60_000 } });
