import js from '@eslint/js';
import tseslint from 'typescript-eslint';
import { barredFrom, OUTER, ROOMS } from './walls.js';

/** What a room may not import, as the patterns of the rule want it. */
const patterns = (room) => {
  const barred = barredFrom(room).flatMap((other) =>
    OUTER.includes(other) ? [`**/${other}/**`] : [`**/${other}/*`, `**/core/${other}/**`],
  );
  return [
    ...(barred.length > 0 ? [{ group: barred, message: 'This room lies further down the pipeline.' }] : []),
    ...(OUTER.includes(room) ? [] : [{ group: ['node:*'], message: 'The core knows no files, network or terminal.' }]),
  ];
};

const walls = Object.keys(ROOMS).map((room) => ({
  files: [OUTER.includes(room) ? `src/${room}/**/*.ts` : `src/core/${room}/**/*.ts`],
  rules: {
    'no-restricted-imports': ['error', { patterns: patterns(room) }],
    ...(OUTER.includes(room)
      ? {}
      : { 'no-restricted-globals': ['error', 'process', 'Date', 'setTimeout', 'fetch', 'console'] }),
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
