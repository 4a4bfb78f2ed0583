import boundaries from 'eslint-plugin-boundaries';
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

export default ts.config(
  { ignores: ['build/', '.svelte-kit/', '.joram/', 'node_modules/', 'test-results/'] },
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
  }
);
