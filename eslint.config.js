import js from '@eslint/js';
import tseslint from 'typescript-eslint';

/** Rooms in the order data flows; equal numbers do not import each other. */
const ROOMS = {
  base: 0,
  html: 1,
  css: 2,
  findings: 1,
  sheets: 3,
  cascade: 4,
  boxes: 5,
  paint: 6,
  scene: 7,
  naming: 8,
  scripts: 8,
  menus: 9,
  ladder: 10,
  checks: 11,
  audit: 12,
  remedies: 13,
};
const OUTER = ['sources', 'formats', 'cli'];

const barred = (room) => Object.keys(ROOMS).filter((other) => other !== room && ROOMS[other] >= ROOMS[room]);

/** A room may import only rooms before it, and the core knows nothing of what lies around it. */
const walls = Object.keys(ROOMS).map((room) => ({
  files: [`src/core/${room}/**/*.ts`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          { group: barred(room).flatMap((other) => [`**/${other}/*`, `**/core/${other}/**`]), message: 'This room lies further down the pipeline.' },
          { group: [...OUTER.map((name) => `**/${name}/**`), 'node:*'], message: 'The core knows no files, network, terminal or formats.' },
        ],
      },
    ],
    'no-restricted-globals': ['error', 'process', 'Date', 'setTimeout', 'fetch', 'console'],
  },
}));

export default tseslint.config(
  { ignores: ['dist', 'node_modules', '.cache', 'demo', 'coverage'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-expressions': ['error', { allowTernary: true }],
      'no-control-regex': 'off',
      'no-irregular-whitespace': 'off',
      'no-misleading-character-class': 'off',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
    },
  },
  { files: ['**/*.mjs', '**/*.js'], languageOptions: { globals: { process: 'readonly', console: 'readonly', document: 'readonly' } } },
  ...walls,
);
