import { expect, test } from '@jest/globals';
import { fromHtml } from 'hast-util-from-html';
import { derive } from '../derive/derive.ts';
import { measureIcon } from '../icons/measure.ts';
import { readIcon } from '../icons/read-svg.ts';
import { namingIcon } from '../system/icons.ts';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { iconFiles, writeIconLicenses, writeSprite } from './icon-files.ts';

const LINE = '<path d="M4 12H20" fill="none" stroke="currentColor" stroke-width="2"/>';

const system = (from: object | undefined, changes: Patch = []) => {
  const reading = readIcon(LINE, { width: 24, height: 24 });
  const measures = reading.ok ? measureIcon(reading.drawing) : undefined;
  if (!reading.ok || !measures) throw new Error('not drawn');
  const start = sampleDocument();
  const named = patched(
    start,
    namingIcon(start, 'ticket', {
      name: 'Ticket',
      drawing: reading.drawing,
      measures,
      ...(from && { from: from as never }),
    }),
  );
  const result = named.ok ? patched(named.document, changes) : named;
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return { document: result.document, derived: derive(result.document) };
};

const FROM = { set: 'A set', icon: 'ticket-bold', author: 'Anna Rehn', license: 'MIT' };

test('each icon is a file that is read as the same drawing again, in the one stroke', () => {
  const { document, derived } = system(FROM);
  const files = new Map(iconFiles(document, derived));
  expect([...files.keys()].sort()).toEqual(['open.svg', 'outward.svg', 'send.svg', 'ticket.svg']);
  for (const [file, svg] of files) {
    const again = readIcon(svg);
    const icon = [...derived.icons.values()].find(({ slug }) => `${slug}.svg` === file);
    expect(again.ok && again.drawing.shapes.map(({ d }) => d)).toEqual(
      icon?.drawing.shapes.map(({ d }) => d),
    );
    expect(svg).toContain('class="icon"');
    expect(svg).toContain(`stroke-width="${document.icons.stroke}"`);
  }
});

test('the sprite has a symbol for each, in names with a prefix where there is one', () => {
  const { document, derived } = system(FROM, [
    { op: 'add', path: '/tokens/sheet', value: { classes: 'rc' } },
  ]);
  const sprite = writeSprite(document, derived);
  const ids = [...sprite.matchAll(/<symbol id="([^"]+)"/g)].map(([, id]) => id);
  expect(ids).toHaveLength(derived.icons.size);
  expect(ids).toContain('rc-icon-ticket');
  expect(fromHtml(sprite, { fragment: true }).children).toHaveLength(2);
});

test('licenses are told with their texts and holders, each set once; what is our own is told too', () => {
  const { document, derived } = system(FROM);
  const text = writeIconLicenses(document, derived);
  expect(text).toContain('A set (MIT)');
  expect(text).toContain('ticket: ticket-bold');
  expect(text).toContain('Copyright (c) Anna Rehn');
  expect(text).toContain('Permission is hereby granted');
  expect(text).toContain('send: drawn for every system');
  const brought = system(undefined);
  expect(writeIconLicenses(brought.document, brought.derived)).toContain('ticket: brought by');
  const strange = system({ ...FROM, license: 'constructor' });
  expect(writeIconLicenses(strange.document, strange.derived)).toContain('constructor, Anna Rehn');
});
