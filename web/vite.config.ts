import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import path from 'node:path';
import { defineConfig } from 'vite';

const api = process.env['GARNISH_API'];

const ENTRY = path.join(import.meta.dirname, 'src/main.tsx');

/** What a bundler knows of a module. */
interface Modules {
  readonly getModuleInfo: (id: string) => { readonly importedIds: readonly string[] } | null;
}

let initial: ReadonlySet<string> | undefined;

/** Every module that the first page needs. */
function initialModules(modules: Modules): ReadonlySet<string> {
  const found = new Set([ENTRY]);
  // A set is gone through to its end, what joins meanwhile included.
  for (const id of found)
    for (const next of modules.getModuleInfo(id)?.importedIds ?? []) found.add(next);
  return found;
}

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: {
    // A strict policy allows no data: fonts or scripts, so nothing is inlined.
    assetsInlineLimit: 0,
    target: 'es2022',
    modulePreload: { polyfill: false },
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            {
              debugName: 'first',
              // What everybody needs at once comes in one file for packages and one for the rest.
              name(id, modules) {
                initial ??= initialModules(modules);
                if (!initial.has(id)) return null;
                return id.includes('node_modules') ? 'packages' : 'first';
              },
            },
          ],
        },
      },
    },
  },
  ...(api && { server: { host: '127.0.0.1', proxy: { '/api': api, '/proof': api } } }),
});
