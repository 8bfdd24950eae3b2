const shared = {
  testEnvironment: 'node',
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          target: 'es2022',
          transform: { react: { runtime: 'automatic' } },
        },
      },
    ],
  },
  // Tests run in a context of their own, whose globals are slow to come by: what hot loops call is handed in.
  sandboxInjectedGlobals: [
    'Array',
    'Error',
    'JSON',
    'Map',
    'Math',
    'Number',
    'Object',
    'Set',
    'String',
    'Symbol',
    'WeakMap',
  ],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
}

/** @type {import('jest').Config} */
export default {
  projects: [
    {
      ...shared,
      displayName: 'unit',
      setupFiles: ['<rootDir>/tests/draws.ts'],
      testMatch: ['<rootDir>/{src,cli,tests/endure}/**/*.test.ts'],
    },
    {
      ...shared,
      displayName: 'browser',
      testMatch: ['<rootDir>/tests/browser/**/*.test.ts'],
      globalSetup: '<rootDir>/tests/browser/setup.ts',
      globalTeardown: '<rootDir>/tests/browser/teardown.ts',
    },
  ],
  testTimeout: 300_000,
}
