import * as z from 'zod/mini';
import { collection, words } from '../../system/schema-parts.ts';
import { element, type ProofNode } from '../node.ts';
import { pictureOr, room } from '../parts.ts';
import { each, kind, listed, shownPicture, type Build } from './kind.ts';

/** A part of an article. */
const part = z.discriminatedUnion('is', [
  z.strictObject({
    is: z.literal('heading'),
    level: z.int().check(z.gte(2), z.lte(6)),
    text: words,
  }),
  z.strictObject({ is: z.literal('paragraph'), text: words }),
  z.strictObject({ is: z.literal('bullets'), lines: collection(words) }),
  z.strictObject({ is: z.literal('numbers'), lines: collection(words) }),
  z.strictObject({ is: z.literal('quote'), text: words, source: words }),
  z.strictObject({ is: z.literal('code'), text: words }),
  z.strictObject({
    is: z.literal('figure'),
    picture: z.optional(shownPicture),
    caption: words,
  }),
  z.strictObject({ is: z.literal('footnote'), text: words }),
]);

export type ArticlePart = z.infer<typeof part>;

function partNodes(
  own: ArticlePart,
  at: string,
  number: string,
  build: Build,
): readonly ProofNode[] {
  const { text } = build;
  switch (own.is) {
    case 'heading':
      return [text(`h${own.level}`, `h${own.level}`, [own.text], `${at}/text`)];
    case 'paragraph':
      return [text('p', 'body', [own.text], `${at}/text`)];
    case 'bullets':
    case 'numbers':
      return [
        room(
          own.is === 'bullets' ? 'ul' : 'ol',
          { class: 'list' },
          '/space/parts/list.gap',
          ...each(own.lines, (line, id) => text('li', 'body', [line], `${at}/lines/items/${id}`)),
        ),
      ];
    case 'quote':
      return [
        room(
          'figure',
          { class: 'quotation' },
          '/space/parts/quotation.inset',
          element('blockquote', {}, text('p', 'quote', [own.text], `${at}/text`)),
          ...(own.source === ''
            ? []
            : [text('figcaption', 'caption', [own.source], `${at}/source`)]),
        ),
      ];
    case 'code':
      return [
        room(
          'pre',
          { class: 'code-block', tabindex: '0' },
          '/space/parts/code-block.inset',
          text('code', 'code', [own.text], `${at}/text`),
        ),
      ];
    case 'figure':
      return [
        room(
          'figure',
          { class: 'figure' },
          '/space/parts/figure.gap',
          pictureOr(build, 'figure', own.picture),
          text('figcaption', 'caption', [own.caption], `${at}/caption`),
        ),
      ];
    case 'footnote':
      return [
        room(
          'div',
          { class: 'footnote' },
          '/space/parts/footnote.gap',
          text('span', 'small', [number]),
          text('p', 'small', [own.text], `${at}/text`),
        ),
      ];
  }
}

/** What an article begins with. */
const FIRST_PARTS: readonly ArticlePart[] = [
  { is: 'paragraph', text: 'Running text is what most people read.' },
  { is: 'heading', level: 3, text: 'A first part' },
  { is: 'bullets', lines: listed('One thing', 'Another thing') },
];

/** Running text at length: headings of all levels, lists, quotes, figures, code, footnotes. */
export const article = kind({
  id: 'article',
  name: 'Article',
  says: 'running text at length: headings, lists, quotes, figures, code, footnotes',
  shape: { title: words, lead: words, parts: collection(part) },
  start: () => ({
    title: 'An article',
    lead: 'What it says, in one sentence.',
    parts: listed(...FIRST_PARTS),
  }),
  whole: () => ({
    title: 'An article',
    lead: 'What it says, in one sentence.',
    parts: listed<ArticlePart>(
      ...FIRST_PARTS,
      { is: 'heading', level: 4, text: 'A part of it' },
      { is: 'numbers', lines: listed('First this', 'Then that') },
      { is: 'quote', text: 'What somebody said about it.', source: 'Somebody, in May' },
      { is: 'heading', level: 5, text: 'A smaller part' },
      { is: 'figure', caption: 'What the picture shows' },
      { is: 'heading', level: 6, text: 'The smallest part' },
      { is: 'code', text: 'a line of code' },
      { is: 'footnote', text: 'Where it is from.' },
    ),
  }),
  keepsPlaces: true,
  shows: (thing) => (thing as Partial<ArticlePart>).is === 'figure',
  nodes({ title, lead, parts }, at, build) {
    let notes = 0;
    return [
      {
        ...element(
          'article',
          { class: 'block width-text' },
          ...(title === '' ? [] : [build.text('h2', 'h2', [title], `${at}/title`)]),
          ...(lead === '' ? [] : [build.text('p', 'lead', [lead], `${at}/lead`)]),
          ...each(parts, (own, id) => {
            if (own.is === 'footnote') notes += 1;
            return partNodes(own, `${at}/parts/items/${id}`, String(notes), build);
          }).flat(),
        ),
      },
    ];
  },
});
