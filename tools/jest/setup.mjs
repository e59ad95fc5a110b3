// Test files that need no document run as modules of Node itself, all that a worker gets in one world: what they
// test is read and made fast once, and not anew for each file. Here such a worker learns to read TypeScript,
// and where `@jest/globals` stands.
import { register } from 'node:module';
import { register as readTypeScript } from 'tsx/esm/api';

readTypeScript();
register('./resolve-globals.mjs', import.meta.url);
