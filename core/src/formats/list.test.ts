import { expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { patched } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { writeCss } from './css.ts';
import { DOWNLOADS, FORMATS } from './formats.ts';

const document = sampleDocument();
const derived = derive(document);

test('everything that is handed over has a name of its own and says what is in it', () => {
  expect(new Set(DOWNLOADS.map(({ file }) => file)).size).toBe(DOWNLOADS.length);
  for (const { about } of DOWNLOADS) expect(about).not.toBe('');
});

test.each(FORMATS.map((format) => [format.file, format] as const))(
  '%s is written, the same each time',
  async (file, { write }) => {
    const text = await write(document, derived);
    expect(await write(document, derived)).toBe(text);
    if (file.endsWith('.json')) expect(() => JSON.parse(text) as unknown).not.toThrow();
    if (file === 'tokens.css') expect(text).toBe(writeCss(derived));
  },
);

test('classes go into the archive only where they are asked for', () => {
  const archived = (of: typeof document) =>
    FORMATS.filter(({ isArchived }) => isArchived(of)).map(({ file }) => file);
  expect(archived(document)).not.toContain('utilities.css');
  const asked = patched(document, [
    {
      op: 'add',
      path: '/space/utilities',
      value: { prefix: 'u-', steps: 'all', breakpoints: false },
    },
  ]);
  if (!asked.ok) throw new Error('the classes were refused');
  expect(archived(asked.document)).toContain('utilities.css');
  expect(archived(document)).toContain('tokens.css');
});
