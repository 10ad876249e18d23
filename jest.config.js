export default {
  testEnvironment: 'node',
  maxWorkers: '100%',
  // Machines that do much else at once are slow; no test looks at the clock.
  testTimeout: 60_000,
  extensionsToTreatAsEsm: ['.ts'],
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
  transform: { '^.+\\.ts$': ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript' }, experimental: { keepImportAttributes: true } } }] },
  testMatch: ['<rootDir>/tests/**/*.test.ts'],
  modulePathIgnorePatterns: ['<rootDir>/dist', '<rootDir>/.cache'],
};
