import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { Advice, say } from './say.ts';

const newest = (folder: string): number =>
  Math.max(
    0,
    ...readdirSync(folder, { withFileTypes: true, recursive: true })
      .filter((entry) => entry.isFile())
      .map((entry) => statSync(path.join(entry.parentPath, entry.name)).mtimeMs),
  );

const TEXTS = /\.(js|css|svg|json)$/;

/** Puts compressed copies beside the texts of the build, which the server sends to whoever takes them. */
function compressAll(folder: string): void {
  for (const name of readdirSync(folder).filter((file) => TEXTS.test(file))) {
    const file = path.join(folder, name);
    const bytes = readFileSync(file);
    writeFileSync(`${file}.br`, brotliCompressSync(bytes));
    writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
  }
}

/** Builds the application where a source is newer than what was built; gives the folder. */
export function builtWeb(root: string): string {
  const web = path.join(root, 'web');
  const built = path.join(web, 'dist');
  const index = path.join(built, 'index.html');
  const sources = Math.max(
    newest(path.join(web, 'src')),
    newest(path.join(root, 'core', 'src')),
    ...['web/index.html', 'web/vite.config.ts', 'package-lock.json'].map(
      (file) => statSync(path.join(root, file)).mtimeMs,
    ),
  );
  if (existsSync(index) && statSync(index).mtimeMs > sources) return built;
  say('building the application …');
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [path.join(root, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'],
    { cwd: web, encoding: 'utf8' },
  );
  if (status !== 0) throw new Advice(`the build failed:\n${stdout}${stderr}`);
  compressAll(path.join(built, 'assets'));
  return built;
}
