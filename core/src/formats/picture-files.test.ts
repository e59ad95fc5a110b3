/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import { derive } from '../derive/derive.ts';
import { jsonOf, type Patch } from '../system/patch.ts';
import { sampleDocument } from '../system/sample.ts';
import type { ShownPicture } from '../proof/sections/kind.ts';
import { pictureFiles, writePictures } from './picture-files.ts';

const file = (letter: string): string => `${letter.repeat(16)}.jpg`;
const QUAY: ShownPicture = {
  name: 'The "quay" <at> noon',
  alt: 'Boats & "bollards"',
  file: file('a'),
  width: 2400,
  height: 1600,
};
const HILL: ShownPicture = { name: 'hill', file: file('b'), width: 300, height: 300 };

const section = (key: string, own: object): Patch => [
  { op: 'add', path: `/content/pages/items/home/sections/items/${key}`, value: jsonOf(own) },
];
const inOne = (item: object) => ({ order: ['one'], items: { one: item } });
const document = (more: Patch = []) =>
  sampleDocument([
    ...section('shown', {
      kind: 'gallery',
      title: '',
      pictures: inOne({ caption: 'At noon', picture: QUAY }),
    }),
    ...section('said', {
      kind: 'testimonials',
      title: '',
      voices: inOne({ text: 'Lovely.', who: 'A guest', picture: HILL }),
    }),
    {
      op: 'add',
      path: '/color/veils/items/quay',
      value: jsonOf({
        name: 'quay',
        picture: { name: QUAY.name, file: QUAY.file, width: QUAY.width, height: QUAY.height },
        boxes: { order: [], items: {} },
        ink: 'page',
        color: '#000000',
        side: 'all over',
        pixels: 1,
        strength: 90,
      }),
    },
    { op: 'replace', path: '/color/veils/order', value: ['quay'] },
    ...section('banner', {
      kind: 'opening',
      title: 'Out',
      lead: 'And back',
      primary: 'Go',
      secondary: 'Stay',
      veil: 'quay',
    }),
    {
      op: 'replace',
      path: '/content/pages/items/home/sections/order',
      value: [
        ...(sampleDocument().content.pages.items['home']?.sections.order ?? []),
        'shown',
        'said',
        'banner',
      ],
    },
    ...more,
  ]);

const filesOf = (more: Patch = []) => {
  const made = document(more);
  return pictureFiles(made, derive(made));
};
/** As a browser reads it. */
const read = (markup: string): HTMLElement => {
  const holder = globalThis.document.createElement('div');
  holder.innerHTML = markup;
  const [first] = holder.children;
  if (!(first instanceof HTMLElement)) throw new Error(markup);
  return first;
};

describe('pictures that are handed over', () => {
  test('come once each, with a file for every width up to their own', () => {
    expect(filesOf().map(({ stored, widths }) => [stored, widths])).toEqual([
      [QUAY.file, [320, 480, 720, 1080, 1620, 2400]],
      [HILL.file, [300]],
    ]);
  });

  test('are elements with their own size, their words and the files that there are', () => {
    const [quay] = filesOf();
    const figure = read(quay?.uses.find(({ role }) => role === 'figure')?.markup ?? '');
    expect(figure.getAttribute('alt')).toBe(QUAY.alt);
    expect([figure.getAttribute('width'), figure.getAttribute('height')]).toEqual(['2400', '1600']);
    expect(figure.classList).toContain('figure-picture');
    expect(figure.getAttribute('loading')).toBe('lazy');
    const offered = (figure.getAttribute('srcset') ?? '').split(', ').map((one) => one.split(' '));
    expect(offered.map(([, width]) => width)).toEqual(quay?.widths.map((width) => `${width}w`));
    for (const [address] of offered) expect(address).toMatch(/^pictures\/[\w-]+-\d+\.webp$/u);
    expect(figure.getAttribute('src')).toBe(offered.at(-1)?.[0]);
  });

  test('under words say nothing and do not wait; one width alone needs no choice', () => {
    const [quay, hill] = filesOf();
    const opening = read(quay?.uses.find(({ role }) => role === 'opening')?.markup ?? '');
    expect(opening.getAttribute('alt')).toBe('');
    expect(opening.hasAttribute('loading')).toBe(false);
    const portrait = read(hill?.uses[0]?.markup ?? '');
    expect(portrait.hasAttribute('srcset')).toBe(false);
    expect(portrait.getAttribute('alt')).toBe('hill');
  });

  test('that are toned come in the element that holds the tones, under the names of the site', () => {
    const [, hill] = filesOf([
      {
        op: 'add',
        path: '/layout/pictureRoles',
        value: { portrait: { treatment: { kind: 'toned', color: 'text' } } },
      },
      { op: 'add', path: '/tokens/sheet', value: { classes: 'rc' } },
    ]);
    const around = read(hill?.uses[0]?.markup ?? '');
    expect(around.localName).toBe('span');
    expect([...around.classList]).toEqual(['rc-voice-picture', 'rc-toned', 'rc-toned-portrait']);
    expect(around.querySelector('img')?.getAttribute('src')).toMatch(/^pictures\/hill-300\.webp$/);
  });

  test('are none where there are none', () => {
    const plain = sampleDocument();
    expect(writePictures(plain, derive(plain))).toContain('No picture stands on a page.');
    expect(writePictures(document(), derive(document()))).toContain('As opening:');
  });
});
