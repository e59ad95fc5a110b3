import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { derive } from '../derive/derive.ts';
import { isSame } from '../same.ts';
import { FOLLOWED_PARTS, type StyleDocument, type TextRole } from './document.ts';
import { followersOf } from './following.ts';
import { patched, type Patch } from './patch.ts';
import { sampleDocument } from './sample.ts';
import { removingTextRole } from './type-changes.ts';

const at = (role: string, part: string): string => `/type/roles/items/${role}/${part}`;
const follow = (role: string, of: string, but: readonly string[] = []): Patch => [
  { op: 'add', path: at(role, 'follows'), value: { of, but: [...but] } },
];
const after = (document: StyleDocument, patch: Patch) => {
  const result = patched(document, patch);
  if (!result.ok) throw new Error(result.problems[0]?.message);
  return result;
};
const roleOf = ({ type }: StyleDocument, id: string): TextRole => {
  const role = type.roles.items[id];
  if (!role) throw new Error(`no ${id}`);
  return role;
};
const alike = (document: StyleDocument, one: string, other: string): readonly string[] =>
  FOLLOWED_PARTS.filter(
    (part) => !isSame(roleOf(document, one)[part], roleOf(document, other)[part]),
  );

const following = after(sampleDocument(), follow('lead', 'body')).document;

describe('a role that follows another', () => {
  test('is like it in all but its name, and goes with what it becomes', () => {
    expect(alike(following, 'lead', 'body')).toEqual([]);
    expect(roleOf(following, 'lead').name).not.toBe(roleOf(following, 'body').name);
    const { document } = after(following, [
      { op: 'replace', path: at('body', 'place'), value: 2 },
      { op: 'add', path: at('body', 'lineHeight'), value: 1.7 },
    ]);
    expect(roleOf(document, 'lead')).toMatchObject({ place: 2, lineHeight: 1.7 });
    const { styles } = derive(document);
    expect(styles.get('lead')?.size).toEqual(styles.get('body')?.size);
  });

  test('keeps the one thing that is changed of it, whatever changes it', () => {
    const own = after(following, [{ op: 'add', path: at('lead', 'weight'), value: 700 }]).document;
    expect(roleOf(own, 'lead').follows).toEqual({ of: 'body', but: ['weight'] });
    const { document } = after(own, [
      { op: 'add', path: at('body', 'weight'), value: 300 },
      { op: 'add', path: at('body', 'style'), value: 'italic' },
    ]);
    expect(roleOf(document, 'lead')).toMatchObject({ weight: 700, style: 'italic' });
    // Said to follow in that too, it does.
    const back = after(document, [
      { op: 'replace', path: at('lead', 'follows/but'), value: [] },
    ]).document;
    expect(roleOf(back, 'lead').weight).toBe(300);
  });

  test('keeps a part automatic that the other decides', () => {
    const { document } = after(sampleDocument(), [
      { op: 'add', path: at('body', 'lineHeight'), value: 1.7 },
      ...follow('lead', 'body', ['lineHeight']),
    ]);
    expect(roleOf(document, 'lead').lineHeight).toBe(roleOf(sampleDocument(), 'lead').lineHeight);
  });

  test('is undone and done again as a whole', () => {
    const set = fc.constantFrom<Patch>(
      [{ op: 'replace', path: at('body', 'place'), value: 3 }],
      [{ op: 'add', path: at('body', 'weight'), value: 600 }],
      [{ op: 'add', path: at('body', 'sizes'), value: { wide: 21 } }],
      [{ op: 'add', path: at('lead', 'case'), value: 'uppercase' }],
      [{ op: 'add', path: at('lead', 'sizes'), value: { wide: 30 } }],
      [{ op: 'replace', path: at('lead', 'place'), value: 1 }],
      [{ op: 'replace', path: at('lead', 'follows'), value: { of: 'small', but: ['face'] } }],
      [{ op: 'add', path: at('small', 'longest'), value: 50 }],
    );
    fc.assert(
      fc.property(fc.array(set, { minLength: 1, maxLength: 8 }), (patches) => {
        let here = following;
        const back: Patch[] = [];
        for (const patch of patches) {
          const result = patched(here, patch);
          if (!result.ok) continue;
          const { document, inverse } = result;
          back.push(inverse);
          const again = after(document, inverse);
          expect(again.document).toEqual(here);
          expect(after(again.document, again.inverse).document).toEqual(document);
          // In step at every moment.
          const { follows } = roleOf(document, 'lead');
          if (!follows) throw new Error('it follows none');
          expect(follows.but).toEqual(
            expect.arrayContaining([...alike(document, 'lead', follows.of)]),
          );
          here = document;
        }
        for (const inverse of back.toReversed()) here = after(here, inverse).document;
        expect(here).toEqual(following);
      }),
    );
  });

  test('stays as it was where the other is taken out', () => {
    const { document } = after(following, removingTextRole(following, 'body'));
    expect(roleOf(document, 'lead')).toEqual({
      ...roleOf(following, 'lead'),
      follows: undefined,
    });
    expect(followersOf(following.type, 'body')).toEqual(['lead']);
  });

  test.each<[string, Patch, RegExp]>([
    ['itself', follow('lead', 'lead'), /follows no other/],
    ['one that is not there', follow('lead', 'nobody'), /no text role/],
    [
      'one that is called like what every object has',
      follow('lead', 'constructor'),
      /every object has/,
    ],
    [
      'one that follows another',
      [...follow('lead', 'body'), ...follow('small', 'lead')],
      /follows no other/,
    ],
    [
      'nobody, with something else in its place',
      [{ op: 'add', path: at('lead', 'follows'), value: 7 }],
      /./,
    ],
    ['nobody, where no roles are', [{ op: 'replace', path: '/type/roles', value: [] }], /./],
  ])('never is %s', (_, patch, message) => {
    const result = patched(sampleDocument(), patch);
    expect(result.ok ? '' : result.problems[0]?.message).toMatch(message);
  });
});
