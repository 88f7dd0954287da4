import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import svelte from 'eslint-plugin-svelte';
import regexp from 'eslint-plugin-regexp';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

/** Stations inside the core know each other only through plan/. */
const stations = ['fit', 'plugs', 'watts', 'links', 'order', 'heat', 'startup', 'donors'];

const stationRules = stations.map((station) => ({
  files: [`src/core/${station}/**`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...coreOutside(),
          {
            group: [
              ...stations.filter((other) => other !== station).map((other) => `**/${other}/**`),
              '!**/standards/**',
            ],
            message: 'Stations do not know each other; what joins them is plan/.',
          },
          {
            group: ['plan', 'shop', 'resolve', 'record', 'edits'].map((room) => `../${room}/*`),
            message: 'A station knows neither the whole plan nor what is built on it.',
          },
        ],
      },
    ],
  },
}));

/** What stations and the search share knows none of them. */
const shared = {
  files: ['src/core/{units,standards,model,findings,remedies,document}/**'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...coreOutside(),
          {
            group: [...stations, 'plan', 'shop', 'resolve', 'record', 'edits'].flatMap((room) => [
              `../${room}/*`,
              `../../${room}/*`,
            ]),
            message: 'What the stations share knows no station.',
          },
        ],
      },
    ],
  },
};

function coreOutside() {
  return [
    {
      group: ['$app/*', '$lib/*', 'svelte', 'svelte/*', '**/lib/**', '**/routes/**', 'node:*'],
      message: 'The core knows no interface, no storage, no network.',
    },
    { group: ['papaparse', 'idb', 'd3', 'd3-*'], message: 'Wrap this outside the core.' },
  ];
}

export default ts.config(
  { ignores: ['build/', '.svelte-kit/', 'node_modules/', 'tests/fixtures/'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  prettier,
  ...svelte.configs.prettier,
  {
    languageOptions: { globals: { ...globals.browser, ...globals.node } },
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      'svelte/require-each-key': 'error',
      /* Maps here are built once and read: none is mutated after it is shown. */
      'svelte/prefer-svelte-reactivity': 'off',
    },
  },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } },
  },
  {
    files: ['src/core/**'],
    languageOptions: { globals: {} },
    plugins: { regexp },
    rules: {
      /* Texts come from files: a pattern that can take very long on one is a way to stop the bench. */
      'regexp/no-super-linear-backtracking': ['error', { report: 'potential' }],
      'no-restricted-imports': ['error', { patterns: coreOutside() }],
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'localStorage', 'process'],
      'no-restricted-syntax': [
        'error',
        {
          selector:
            "VariableDeclarator[init.type='ObjectExpression'] > Identifier > TSTypeAnnotation > :matches(TSTypeReference[typeName.name='Record'], TSTypeReference[typeName.name='Readonly'] TSTypeReference[typeName.name='Record'])[typeArguments.params.0.type='TSStringKeyword']",
          message: 'Tables looked up by text are made with table(): `constructor` is a word too.',
        },
        {
          selector:
            "LogicalExpression[operator='??'] > MemberExpression[computed=true][object.type='ObjectExpression']",
          message: 'Look up in a table() of its own: `constructor` is a word too.',
        },
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The core has no clock: pass the time in.' },
        { object: 'Math', property: 'random', message: 'Pass a seeded generator in.' },
      ],
    },
  },
  shared,
  ...stationRules,
  {
    files: ['tests/**'],
    rules: { '@typescript-eslint/no-unused-expressions': 'off' },
  },
);
