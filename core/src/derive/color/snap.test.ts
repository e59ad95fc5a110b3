import { expect, test } from '@jest/globals';
import type { Hex } from '../../color/srgb.ts';
import { DISPLAY_PALETTES } from '../../image/displays.ts';
import { patched } from '../../system/patch.ts';
import { sampleDocument } from '../../system/sample.ts';
import { derive } from '../derive.ts';
import { snapRoles } from './snap.ts';

const snapped = (shown: readonly Hex[], document = sampleDocument()) => {
  const result = patched(document, snapRoles(document, derive(document), shown));
  if (!result.ok) throw new Error(result.problems[0]?.message);
  return result.document;
};

test.each(DISPLAY_PALETTES.map(({ id, colors }) => [id, colors] as const))(
  'on %s every role is a color that it shows, and snapped again nothing changes',
  (_, shown) => {
    const document = snapped(shown);
    for (const [id, { colors }] of derive(document).colors)
      for (const mode of ['light', 'dark'] as const)
        expect([id, mode, shown.includes(colors[mode])]).toEqual([id, mode, true]);
    expect(snapRoles(document, derive(document), shown)).toEqual([]);
  },
);

test('what is locked stays, and no display at all changes nothing', () => {
  const locked = sampleDocument([
    { op: 'add', path: '/brief/locked', value: ['/color/roles/items/link'] },
  ]);
  const { roles } = snapped(['#000000', '#ffffff'], locked).color;
  expect(roles.items['link']).toEqual(locked.color.roles.items['link']);
  expect(roles.items['text']?.light).toEqual({ kind: 'own', value: '#000000' });
  expect(snapRoles(locked, derive(locked), [])).toEqual([]);
});
