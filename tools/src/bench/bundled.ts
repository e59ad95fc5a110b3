import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'vite';

/**
 * A module put together as the application is, by what builds it: sources that are run as they are carry
 * names along with every function that is made, and a movement makes thousands.
 */
export async function bundled<Module>(file: string): Promise<Module> {
  const name = path.basename(file, '.ts');
  const outDir = path.resolve('.garnish', 'bench');
  await build({
    configFile: false,
    logLevel: 'error',
    build: {
      ssr: path.resolve(file),
      outDir,
      target: 'node20',
      emptyOutDir: false,
      rolldownOptions: { output: { entryFileNames: `${name}.mjs` } },
    },
    ssr: { noExternal: [/^@garnish\//] },
  });
  return (await import(pathToFileURL(path.join(outDir, `${name}.mjs`)).href)) as Module;
}
