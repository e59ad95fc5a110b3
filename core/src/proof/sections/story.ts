import * as z from 'zod/mini';
import { label, words } from '../../system/schema-parts.ts';
import { block, nowhere, wordsAt } from '../parts.ts';
import { kind } from './kind.ts';

/** A few sentences of running text. */
export const story = kind({
  id: 'story',
  name: 'Short text',
  says: 'a heading and one paragraph, its beginning strong',
  shape: { title: words, opening: words, text: words, aside: words, link: z.optional(label) },
  start: () => ({
    title: 'Where it began',
    opening: 'Two or three sentences are enough.',
    text: 'Running text is what most people read, so judge the text face, its size and its line height here rather than in a heading.',
    aside: 'Emphasis shows the italic.',
  }),
  nodes: ({ title, opening, text: said, aside, link }, at, { text }) => [
    block(
      'width-text',
      text('h2', 'h3', [title], `${at}/title`),
      text('p', 'body', [
        wordsAt('strong', opening, `${at}/opening`),
        ' ',
        wordsAt('span', said, `${at}/text`),
        ...(aside === '' ? [] : [' ', wordsAt('em', aside, `${at}/aside`)]),
      ]),
      ...(link === undefined
        ? []
        : [text('p', 'body', [wordsAt('a', link, `${at}/link`, nowhere)])]),
    ),
  ],
});
