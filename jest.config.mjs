/** How sources become modules that run here; those with elements in them are read as such. */
const swc = (tsx) => [
  '@swc/jest',
  {
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx },
      transform: { react: { runtime: 'automatic' } },
      experimental: { keepImportAttributes: true },
    },
    module: { type: 'es6' },
  },
];

const common = {
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: { '^.+\\.ts$': swc(false), '^.+\\.tsx$': swc(true) },
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
    {
      ...common,
      displayName: 'web',
      rootDir: 'web',
      setupFiles: ['<rootDir>/jest-setup.mjs'],
      testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/src/**/*.test.tsx'],
    },
    {
      ...common,
      displayName: 'server',
      rootDir: 'server',
      testMatch: ['<rootDir>/src/**/*.test.ts'],
    },
  ],
};
