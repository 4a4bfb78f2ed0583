import boundaries from 'eslint-plugin-boundaries';
import imports from 'eslint-plugin-import-x';
import svelte from 'eslint-plugin-svelte';
import ts from 'typescript-eslint';

/** What the core may never touch: it has no clock, no chance, no machine and no screen of its own. */
const impure = [
  {
    selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
    message: 'The core has no clock: take the time as an argument.'
  },
  { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'The core has no clock: take the time as an argument.' },
  {
    selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']",
    message: 'The core has no chance: take a random source as an argument.'
  }
];

/** Arrows point down: what each part of src may import. */
const down = {
  core: ['core'],
  server: ['core', 'server'],
  workers: ['core'],
  lib: ['core', 'lib', 'workers'],
  routes: ['core', 'lib', 'server', 'routes']
};

/** The core's folders, from the ground up: each may import what stands before it, and nothing after. */
const storeys = [
  'units',
  'steam',
  'form',
  'engine',
  'firing',
  'boiler',
  'sums',
  'commission',
  'procedure',
  'log',
  'forecast',
  'learn',
  'watch',
  'finder',
  'plan',
  'faults',
  'proof',
  'formats'
];

/** Long because they are tables: read by looking up, not from top to bottom. */
const tables = [
  'src/core/engine/patterns.ts',
  'src/core/engine/fit-out.ts',
  'src/core/procedure/library/*.ts',
  'src/core/finder/knowledge/*.ts',
  'src/core/steam/coefficients.ts',
  '**/*.test.ts',
  'tests/**/*'
];

const atMost = (max) => ({ 'max-lines': ['error', { max }] });

export default ts.config(
  { ignores: ['reports/', '.stryker-tmp/', 'build/', '.svelte-kit/', '.joram/', 'node_modules/', 'test-results/'] },
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser } }
  },
  {
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true }],
      'svelte/no-navigation-without-resolve': 'off',
      'svelte/require-each-key': 'error'
    }
  },
  {
    files: ['src/**/*'],
    plugins: { boundaries },
    settings: {
      'boundaries/elements': Object.keys(down).map((type) => ({ type, pattern: `src/${type}` })),
      'import/resolver': { typescript: { alwaysTryTypes: true } }
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          message:
            '{{from.element.type}} may not import {{to.element.type}}: arrows point down (routes → lib → core, routes → server → core).',
          policies: Object.entries(down).map(([type, allowed]) => ({
            from: { element: { type } },
            allow: { to: { element: { type: allowed } } }
          }))
        }
      ]
    }
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts'],
    rules: {
      'no-restricted-syntax': ['error', ...impure],
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['node:*', 'fs', 'path', 'crypto', 'svelte', 'svelte/*', '$app/*', '$lib/*', '$server/*', 'postgres', '@sveltejs/*'],
              message: 'src/core is pure: no machine, no screen, no database.'
            }
          ]
        }
      ]
    }
  },
  {
    files: ['src/**/*.ts', 'src/**/*.svelte', 'tools/**/*', 'demo/**/*'],
    ignores: tables,
    rules: atMost(300)
  },
  { files: ['src/routes/**/+page.svelte'], rules: atMost(150) },
  {
    files: ['src/**/*.ts'],
    plugins: { 'import-x': imports },
    settings: {
      'import-x/resolver': { typescript: { alwaysTryTypes: true } },
      'import-x/extensions': ['.ts'],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts'] }
    },
    rules: { 'import-x/no-cycle': ['error', { ignoreExternal: true, allowUnsafeDynamicCyclicDependency: false }] }
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts'],
    plugins: { 'import-x': imports },
    rules: {
      'import-x/no-restricted-paths': [
        'error',
        {
          zones: storeys.slice(0, -1).map((storey, i) => ({
            target: `./src/core/${storey}`,
            from: storeys.slice(i + 1).map((above) => `./src/core/${above}`),
            message: `Inside the core arrows point down: ${storey} may not import what stands above it (${storeys.join(', ')}).`
          }))
        }
      ]
    }
  }
);
