import boundaries from 'eslint-plugin-boundaries';
import svelte from 'eslint-plugin-svelte';
import ts from 'typescript-eslint';

/** What the core may never touch: it has no clock, no chance, no machine and no screen of its own. */
const impure = [
  { selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']", message: 'The core has no clock: take the time as an argument.' },
  { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'The core has no clock: take the time as an argument.' },
  { selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']", message: 'The core has no chance: take a random source as an argument.' }
];

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
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'svelte/no-navigation-without-resolve': 'off',
      'svelte/require-each-key': 'error'
    }
  },
  {
    files: ['src/**/*'],
    plugins: { boundaries },
    settings: {
      'boundaries/elements': [
        { type: 'core', pattern: 'src/core', mode: 'folder' },
        { type: 'server', pattern: 'src/server', mode: 'folder' },
        { type: 'lib', pattern: 'src/lib', mode: 'folder' },
        { type: 'workers', pattern: 'src/workers', mode: 'folder' },
        { type: 'routes', pattern: 'src/routes', mode: 'folder' }
      ],
      'import/resolver': { typescript: { alwaysTryTypes: true } }
    },
    rules: {
      'boundaries/element-types': [
        'error',
        {
          default: 'disallow',
          message: '${file.type} may not import ${dependency.type}: arrows point down (routes → lib → core, routes → server → core).',
          rules: [
            { from: 'core', allow: ['core'] },
            { from: 'server', allow: ['core', 'server'] },
            { from: 'workers', allow: ['core'] },
            { from: 'lib', allow: ['core', 'lib', 'workers'] },
            { from: 'routes', allow: ['core', 'lib', 'server', 'routes'] }
          ]
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
            { group: ['node:*', 'fs', 'path', 'crypto', 'svelte', 'svelte/*', '$app/*', '$lib/*', 'postgres', '@sveltejs/*'], message: 'src/core is pure: no machine, no screen, no database.' }
          ]
        }
      ]
    }
  }
);
