import js from '@eslint/js';
import astro from 'eslint-plugin-astro';
import boundaries from 'eslint-plugin-boundaries';
import jsdoc from 'eslint-plugin-jsdoc';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';
import { plainWords } from './scripts/lib/plain-words.mjs';

/** core/src folders in the order they may depend on each other: each imports only those before it. */
const CORE_ORDER = [
  'units',
  'fields',
  'sections',
  'materials',
  'rules',
  'frame',
  'splice',
  'body',
  'shoring',
  'weld',
  'plan',
  'finder',
  'markout',
  'survey',
  'records',
  'job',
  'quick',
  'exchange',
];

const element = (type, pattern, extra = {}) => ({ type, pattern, ...extra });

const elements = [
  ...CORE_ORDER.map((name) => element(`core-${name}`, `core/src/${name}`)),
  element('core-root', 'core/src'),
  element('core-outside', 'core/{bin,test}'),
  element('web-bench', 'web/src/benches/*', { capture: ['bench'] }),
  element('web-workbench', 'web/src/workbench'),
  element('web-board', 'web/src/board'),
  element('web-ui', 'web/src/ui'),
  element('web-client', 'web/src/client'),
  element('web-workers', 'web/src/workers'),
  element('web-shared', 'web/src/shared'),
  element('web-server', 'web/src/server'),
  element('web-pages', 'web/src/{pages,layouts}'),
  element('web-styles', 'web/src/styles'),
  element('web-root', 'web/src'),
];

const allCore = [...CORE_ORDER.map((name) => `core-${name}`), 'core-root'];
const allow = (from, to) => ({ from: { element: { type: from } }, allow: { to: { element: { type: to } } } });

const policies = [
  ...CORE_ORDER.map((name, index) =>
    allow(`core-${name}`, [...CORE_ORDER.slice(0, index + 1).map((n) => `core-${n}`), 'core-root', 'core-outside']),
  ),
  allow('core-root', allCore),
  allow('core-outside', [...allCore, 'core-outside']),
  allow('web-shared', [...allCore, 'web-shared']),
  allow('web-workers', [...allCore, 'web-workers']),
  allow('web-client', [...allCore, 'web-shared', 'web-workers', 'web-client']),
  allow('web-ui', [...allCore, 'web-shared', 'web-client', 'web-ui']),
  allow('web-board', [...allCore, 'web-shared', 'web-ui', 'web-client', 'web-board']),
  allow('web-bench', [...allCore, 'web-shared', 'web-ui', 'web-client', 'web-board']),
  {
    from: { element: { type: 'web-bench' } },
    allow: { to: { element: { type: 'web-bench', captured: { bench: '{{ from.element.captured.bench }}' } } } },
  },
  allow('web-workbench', [
    ...allCore,
    'web-shared',
    'web-ui',
    'web-client',
    'web-board',
    'web-bench',
    'web-workers',
    'web-workbench',
  ]),
  allow('web-server', [...allCore, 'web-shared', 'web-server']),
  allow('web-pages', [
    ...allCore,
    'web-shared',
    'web-ui',
    'web-board',
    'web-server',
    'web-pages',
    'web-workbench',
    'web-client',
    'web-styles',
  ]),
  allow('web-root', ['web-server', 'web-shared', 'web-root']),
];

/** Functions that a file of core gives others. */
const EXPORTED = [
  'ExportNamedDeclaration > FunctionDeclaration',
  'ExportNamedDeclaration > VariableDeclaration > VariableDeclarator > ArrowFunctionExpression',
];

export default tseslint.config(
  { ignores: ['**/node_modules', '**/dist', '**/.astro', '.splay', 'web/drizzle', '**/*.tmp.*'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  // `{ group, ...loose }` is how a key is taken out.
  { rules: { '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }] } },
  ...astro.configs.recommended,
  // American spelling and the trade's words, also in comments. What reads older job files has their words.
  {
    files: ['**/*.{ts,tsx,js,mjs,astro}'],
    ignores: ['core/src/job/{version-*,claimed-version,variants.test}.ts', 'scripts/{lib/,}plain-words*.mjs'],
    plugins: { words: { rules: { plain: plainWords } } },
    rules: { 'words/plain': 'error' },
  },
  {
    files: ['core/**/*.ts', 'web/src/**/*.{ts,tsx,astro}'],
    ignores: ['**/*.test.{ts,tsx}'],
    plugins: { boundaries },
    settings: {
      'boundaries/root-path': import.meta.dirname,
      'boundaries/elements': elements,
      'boundaries/include': ['core/**/*', 'web/src/**/*'],
      'import/resolver': { node: { extensions: ['.ts', '.tsx', '.astro', '.js'] } },
    },
    rules: { 'boundaries/dependencies': ['error', { default: 'disallow', policies }] },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.bench.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'setTimeout', 'Date', 'performance'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random', message: 'core is deterministic' }],
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['node:*', 'react', 'react-*', 'astro', 'astro:*', 'pg', 'drizzle-*', '@splay/*'],
              message: 'core is plain TypeScript',
            },
          ],
        },
      ],
    },
  },
  // What core gives others says what it takes: each parameter by name, with its unit, frame and range where it has them.
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.bench.ts'],
    plugins: { jsdoc },
    settings: { jsdoc: { mode: 'typescript' } },
    rules: {
      'jsdoc/require-jsdoc': [
        'error',
        { publicOnly: true, require: { FunctionDeclaration: true, ArrowFunctionExpression: true } },
      ],
      'jsdoc/require-description': ['error', { contexts: EXPORTED }],
      'jsdoc/require-param': ['error', { contexts: EXPORTED, checkDestructured: false, checkDestructuredRoots: false }],
      'jsdoc/require-param-description': 'error',
      'jsdoc/no-types': 'error',
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}', 'web/src/{server,shared,pages}/**'],
    plugins: { 'react-hooks': hooks },
    rules: { ...hooks.configs.recommended.rules },
  },
  {
    files: ['**/*.test.ts', '**/*.test.tsx', '**/*.bench.ts', 'e2e/**/*.ts', 'core/test/**/*.ts'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  {
    files: ['**/*.{js,mjs}'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        setTimeout: 'readonly',
        fetch: 'readonly',
        AbortSignal: 'readonly',
        Buffer: 'readonly',
      },
    },
  },
);
