import { expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { patched } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { findingsOf } from './checks.ts';

const named = (path: string, name: string) => {
  const document = sampleDocument([{ op: 'replace', path: `${path}/name`, value: name }]);
  return findingsOf(document, derive(document)).filter(({ id }) => id.startsWith('name:'));
};

test('a usual system has no two names alike', () => {
  const document = sampleDocument();
  expect(findingsOf(document, derive(document)).filter(({ id }) => id.startsWith('name:'))).toEqual(
    [],
  );
});

test('a name that is given twice is told, also where only signs and capitals differ', () => {
  expect(named('/color/roles/items/quiet', 'Text').map(({ figures }) => figures)).toEqual([
    '“text” and “Text” both become text; the second gets a number',
  ]);
  expect(named('/color/roles/items/quiet', 'text').map(({ figures }) => figures)).toEqual([
    'its token gets a number: text-2',
  ]);
  expect(named('/type/roles/items/lead', 'H 1!')).toEqual([]);
  expect(named('/type/roles/items/lead', 'h1')).toHaveLength(1);
});

test('a name made of signs is told', () => {
  const [finding] = named('/color/roles/items/quiet', '★★★');
  expect(finding?.title).toBe('The color role “★★★” has no letter or digit in its name');
  const result = patched(sampleDocument(), [
    { op: 'replace', path: '/color/roles/items/quiet/name', value: '★★★' },
  ]);
  expect(result.ok && derive(result.document).tokenById.has('color.unnamed')).toBe(true);
});
