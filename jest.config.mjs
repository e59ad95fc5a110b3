const common = {
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript' },
          experimental: { keepImportAttributes: true },
        },
        module: { type: 'es6' },
      },
    ],
  },
};

export default {
  projects: [
    { ...common, displayName: 'core', rootDir: 'core', testMatch: ['<rootDir>/src/**/*.test.ts'] },
    {
      ...common,
      displayName: 'tools',
      rootDir: 'tools',
      testMatch: ['<rootDir>/src/**/*.test.ts'],
    },
    { ...common, displayName: 'web', rootDir: 'web', testMatch: ['<rootDir>/src/**/*.test.ts'] },
    {
      ...common,
      displayName: 'server',
      rootDir: 'server',
      testMatch: ['<rootDir>/src/**/*.test.ts'],
    },
  ],
};
