// A process does not inherit the way in which the server reads TypeScript.
import { register } from 'tsx/esm/api';

register();
await import('./reader-process.ts');
