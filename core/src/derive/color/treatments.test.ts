import { describe, expect, test } from '@jest/globals';
import { MODES } from '../../system/document.ts';
import type { PictureRoles } from '../../system/picture-roles.ts';
import { PICTURE_ROLES } from '../../system/picture-roles.ts';
import { jsonOf } from '../../system/patch.ts';
import { sampleDocument } from '../../system/sample.ts';
import { RULES } from '../../system/validate.ts';
import { writeHtml } from '../../proof/node.ts';
import { sheetPage } from '../../proof/sheet/sheet.ts';
import { contrastRatio } from '../../color/contrast.ts';
import { derive } from '../derive.ts';
import { treatedIn } from './treatments.ts';

const withRoles = (pictureRoles: PictureRoles) =>
  sampleDocument([{ op: 'add', path: '/layout/pictureRoles', value: jsonOf(pictureRoles) }]);

const rulesOf = (pictureRoles: PictureRoles) => {
  const { rules } = derive(withRoles(pictureRoles));
  return rules.find(({ key }) => key === 'treatments')?.rules ?? [];
};

describe('what is done to pictures', () => {
  test('is nothing where nothing is decided', () => {
    const derived = derive(sampleDocument());
    expect(derived.rules.find(({ key }) => key === 'treatments')?.rules).toEqual([]);
    expect(derived.tokens.filter(({ path }) => path[0] === 'treatment')).toEqual([]);
  });

  test.each(PICTURE_ROLES.map(({ id, className }) => [id, className] as const))(
    'of %s can be faint: its opacity is a token, and its class takes it',
    (role, className) => {
      const decided: PictureRoles = { [role]: { treatment: { kind: 'faint', opacity: 0.4 } } };
      const { tokenById } = derive(withRoles(decided));
      expect(tokenById.get(`treatment.${role}.opacity`)?.values.light.css).toBe('0.4');
      expect(rulesOf(decided)).toContainEqual({
        selector: `.${className}`,
        declarations: [['opacity', `var(--treatment-${role}-opacity)`]],
      });
    },
  );

  test.each(PICTURE_ROLES.map(({ id }) => [id] as const))(
    'of %s can be two tones: in each theme the darker is the dark end, whatever order they come in',
    (role) => {
      for (const [color, second] of [
        ['text', 'page'],
        ['page', 'text'],
      ] as const) {
        const decided: PictureRoles = { [role]: { treatment: { kind: 'toned', color, second } } };
        const document = withRoles(decided);
        const { tokenById, colors } = derive(document);
        for (const mode of MODES) {
          const [light = '', dark = ''] = ['light', 'dark'].map(
            (end) => tokenById.get(`treatment.${role}.${end}`)?.values[mode].css,
          );
          expect(new Set([light, dark])).toEqual(
            new Set([colors.get('text')?.colors[mode], colors.get('page')?.colors[mode]]),
          );
          expect(contrastRatio('#000000', light as `#${string}`)).toBeGreaterThan(
            contrastRatio('#000000', dark as `#${string}`),
          );
          // What is judged is what is written.
          expect(treatedIn(document.layout, role, colors, mode)).toEqual({
            kind: 'toned',
            light,
            dark,
          });
        }
      }
    },
  );

  test('in one role a dark color goes to white and a light one to black', () => {
    const decided: PictureRoles = { card: { treatment: { kind: 'toned', color: 'text' } } };
    const document = withRoles(decided);
    const { colors } = derive(document);
    const text = (mode: 'light' | 'dark') => colors.get('text')?.colors[mode];
    expect(treatedIn(document.layout, 'card', colors, 'light')).toEqual({
      kind: 'toned',
      light: '#ffffff',
      dark: text('light'),
    });
    expect(treatedIn(document.layout, 'card', colors, 'dark')).toEqual({
      kind: 'toned',
      light: text('dark'),
      dark: '#000000',
    });
  });

  test('a portrait with a shape is no circle any more', () => {
    const [shape = ''] = sampleDocument().layout.pictures.order;
    expect(rulesOf({ portrait: { shape } })[0]?.selector).toBe('.voice-picture');
    expect(rulesOf({ portrait: {} })).toEqual([]);
  });

  test('roles and shapes that are gone are told at their places', () => {
    const plain = sampleDocument();
    const pictureRoles: PictureRoles = {
      card: { shape: 'no-shape', treatment: { kind: 'toned', color: 'gone', second: 'text' } },
      opening: { treatment: { kind: 'toned', color: 'text', second: '__proto__' } },
    };
    const document = { ...plain, layout: { ...plain.layout, pictureRoles } };
    const problems = RULES.flatMap(({ find }) => [...find(document)]);
    expect(problems.map(({ path }) => path)).toEqual([
      '/layout/pictureRoles/opening/treatment/second',
      '/layout/pictureRoles/card/treatment/color',
      '/layout/pictureRoles/card/shape',
    ]);
  });

  test('toned pictures stand in an element that holds their tones, others stand alone', () => {
    const html = (decided: PictureRoles): string => {
      const document = withRoles(decided);
      return writeHtml(sheetPage(document, derive(document), 'light'), (svg) => svg);
    };
    expect(html({})).not.toContain('toned');
    const toned = html({ card: { treatment: { kind: 'toned', color: 'text' } } });
    expect([...toned.matchAll(/toned-(\w+)/g)].every(([, role]) => role === 'card')).toBe(true);
  });
});
