import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

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

const root = import.meta.dirname;

const testsIn = (folder) =>
  readdirSync(path.join(root, folder, 'src'), { recursive: true })
    .filter((file) => /\.test\.tsx?$/.test(file))
    .map((file) => path.join(root, folder, 'src', file));

/** Whether a test file asks for a document, by the comment that it begins with. */
const needsDocument = (file) => readFileSync(file, 'utf8').includes('@jest-environment jsdom');

const outside = ['core', 'server', 'tools'].flatMap(testsIn);

/**
 * Tests without a document share one world for each worker (tools/jest/); those with one, and all of the
 * web, have a world for each file.
 */
export default {
  projects: [
    {
      displayName: 'plain',
      rootDir: root,
      runner: 'jest-light-runner',
      transform: {},
      setupFiles: ['<rootDir>/tools/jest/setup.mjs'],
      testMatch: outside.filter((file) => !needsDocument(file)),
    },
    {
      displayName: 'document',
      rootDir: root,
      testEnvironment: 'node',
      extensionsToTreatAsEsm: ['.ts', '.tsx'],
      transform: { '^.+\\.ts$': swc(false), '^.+\\.tsx$': swc(true) },
      setupFiles: ['<rootDir>/web/jest-setup.mjs'],
      testMatch: [...outside.filter(needsDocument), ...testsIn('web')],
    },
  ],
};
