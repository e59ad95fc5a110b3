import { describe, expect, test } from '@jest/globals';
import { patched, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import { checkPictures, type JudgedPicture, type JudgedText } from './measured-pictures.ts';

const veil = {
  name: 'A hill',
  picture: { name: 'A hill', file: '0123456789abcdef.png', width: 8, height: 4 },
  side: 'all over',
  strength: 40,
  color: '#000000',
  ink: 'page',
  pixels: 0.99,
  boxes: { order: [], items: {} },
};
const withVeil: Patch = [
  { op: 'add', path: '/color/veils/items/hill', value: veil },
  { op: 'replace', path: '/color/veils/order', value: ['hill'] },
];
const document = sampleDocument(withVeil);

const text = (more: Partial<JudgedText> = {}): JudgedText => ({
  page: 'home',
  screenPx: 720,
  mode: 'light',
  text: 'h1',
  ink: '#ffffff',
  needed: 3,
  lowest: 5,
  passing: 1,
  ...more,
});
const picture = (...texts: readonly JudgedText[]): JudgedPicture => ({
  veil: 'hill',
  selector: '.over-a-hill',
  texts,
  themes: {
    light: { least: 131, ink: undefined },
    dark: { least: 90, ink: { id: 'text', strength: 12 } },
  },
});

describe('words over pictures', () => {
  test('that read everywhere are no finding', () => {
    expect(checkPictures([picture(text(), text({ mode: 'dark' }))], document)).toEqual([]);
    // So few pixels may fall short as was decided.
    expect(checkPictures([picture(text({ lowest: 1.2, passing: 0.99 }))], document)).toEqual([]);
  });

  test('that fall short are told once for each theme, with the worst of them', () => {
    const found = checkPictures(
      [
        picture(
          text(),
          text({ mode: 'dark', lowest: 1.97, passing: 0.4 }),
          text({
            mode: 'dark',
            text: 'lead',
            needed: 4.5,
            lowest: 1.97,
            passing: 0.3,
            screenPx: 320,
          }),
        ),
      ],
      document,
    );
    expect(found.map(({ id }) => id)).toEqual(['over-picture:hill:dark']);
    expect(found[0]).toMatchObject({
      severity: 'repair',
      decision: '/color/veils/items/hill/strength',
      where: { selector: '.over-a-hill', mode: 'dark', widthPx: 320, page: 'home' },
    });
    expect(found[0]?.figures).toBe(
      '1.97 of 4.5 for lead at 320 px, where 30 % of its pixels pass and 99 % are to; h1, lead at 2 widths',
    );
  });

  test('are repaired with the least veil of that theme, and the other theme stays', () => {
    const [light, dark] = checkPictures(
      [picture(text({ passing: 0 }), text({ mode: 'dark', passing: 0 }))],
      document,
    );
    const after = (patch: Patch = []) => {
      const result = patched(document, patch);
      return result.ok ? result.document.color.veils.items['hill'] : undefined;
    };
    expect(after(light?.repair?.patch)).toMatchObject({ strength: 131, dark: { strength: 40 } });
    expect(light?.ways).toBeUndefined();
    expect(dark?.repair?.label).toBe('Veil of 90 in dark');
    expect(after(dark?.repair?.patch)).toMatchObject({ strength: 40, dark: { strength: 90 } });
    // Another color of the text, where it needs less.
    expect(dark?.ways?.map(({ label }) => label)).toEqual(['Text in text, veil of 12 in dark']);
    expect(after(dark?.ways?.[0]?.patch)).toMatchObject({
      ink: 'page',
      dark: { ink: 'text', strength: 12 },
    });
  });

  test('over a picture that cannot be read are told as not judged, not as good', () => {
    const [finding, ...others] = checkPictures(
      [{ veil: 'hill', selector: '.over-a-hill', texts: [], themes: {}, isUnread: true }],
      document,
    );
    expect(others).toEqual([]);
    expect(finding?.title).toBe('Words over A hill could not be judged');
    expect(finding?.figures).toContain('0123456789abcdef.png');
    expect(finding?.repair).toBeUndefined();
  });

  test('are also repaired with another crop point, or with the words at the other end', () => {
    const [finding] = checkPictures(
      [{ ...picture(text({ passing: 0 })), crop: { x: 0, y: 1 }, otherEnd: true }],
      document,
    );
    expect(finding?.ways?.map(({ label }) => label)).toEqual([
      'Keep 0 % across, 100 % down in view',
      'Words at the head',
    ]);
    const all = finding?.ways?.flatMap(({ patch }) => [...patch]) ?? [];
    const after = patched(document, all);
    const now = after.ok ? after.document : document;
    expect(now.color.veils.items['hill']).toMatchObject({ crop: { x: 0, y: 1 }, atHead: true });
    const [back] = checkPictures([{ ...picture(text({ passing: 0 })), otherEnd: true }], now);
    const again = patched(now, back?.ways?.at(-1)?.patch ?? []);
    expect(again.ok && again.document.color.veils.items['hill']?.atHead).toBeUndefined();
  });

  test('have no repair where no veil is enough, and say nothing of one that is gone', () => {
    const [finding] = checkPictures(
      [
        {
          ...picture(text({ passing: 0 })),
          themes: { light: { least: undefined, ink: undefined } },
        },
      ],
      document,
    );
    expect(finding).toBeDefined();
    expect(finding?.repair).toBeUndefined();
    expect(checkPictures([picture(text({ passing: 0 }))], sampleDocument())).toEqual([]);
    for (const name of ['__proto__', 'constructor'])
      expect(checkPictures([{ ...picture(text({ passing: 0 })), veil: name }], document)).toEqual(
        [],
      );
  });
});
