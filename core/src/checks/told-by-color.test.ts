import { expect, test } from '@jest/globals';
import { differenceEuclidean } from 'culori';
import { derive } from '../derive/derive.ts';
import { differenceOf } from '../derive/component-states.ts';
import { jsonOf, type Patch } from '../system/patch.ts';
import { MODES } from '../system/document.ts';
import { sampleDocument } from '../system/sample.ts';
import { findingsOf } from './checks.ts';

const told = (patch: Patch = []) => {
  const document = sampleDocument(patch);
  return findingsOf(document, derive(document)).filter(({ id }) => id.startsWith('told:'));
};
const items = sampleDocument().color.roles.items;

test('a visited link is told from others in a new system', () => {
  expect(told()).toEqual([]);
});

test('one that looks as any other is found in the theme where it does', () => {
  const link = items['link'];
  if (!link) throw new Error('no links');
  const asLinks = (mode: 'light' | 'dark'): Patch => [
    { op: 'replace', path: `/color/roles/items/visited/${mode}`, value: jsonOf(link[mode]) },
  ];
  for (const mode of MODES)
    expect(told(asLinks(mode)).map(({ where, decision }) => [where.mode, decision])).toEqual([
      [mode, `/color/roles/items/visited/${mode}`],
    ]);
});

test('how far apart they are is what an independent library says', () => {
  const document = sampleDocument();
  const { colors, tokenById } = derive(document);
  const [link, visited] = [colors.get('link'), colors.get('visited')];
  if (!link || !visited) throw new Error('no links');
  for (const mode of MODES) {
    const { distance } = differenceOf({ of: 'link' }, undefined, 'visited', {
      manner: document.components.manner,
      tokenById,
      mode,
    });
    // Source: culori, Euclidean distance in OKLab.
    const theirs = differenceEuclidean('oklab')(link.colors[mode], visited.colors[mode]);
    expect(distance).toBeCloseTo(theirs, 3);
  }
});
