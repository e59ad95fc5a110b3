import * as z from 'zod/mini';
import { id, label, words } from '../../system/schema-parts.ts';
import { element, type ProofElement, type ProofNode } from '../node.ts';
import { button, pictureIn, quietButton, room } from '../parts.ts';
import { kind, type Build } from './kind.ts';

/** Words over a picture. */
export const overPicture = (
  className: string,
  below: readonly ProofNode[],
  words: readonly ProofNode[],
): ProofElement =>
  element(
    'section',
    { class: `over-picture${className}` },
    ...below,
    room(
      'div',
      { class: 'hero-words width-opening' },
      '/space/parts/picture-words.inset',
      ...words,
    ),
  );

/** Words over the picture of a veil, in the role that it has there. Its words say what it shows; it says nothing beside them. */
export const overVeil = (
  build: Build,
  role: 'opening' | 'background',
  veil: NonNullable<ReturnType<Build['veil']>>,
  className: string,
  words: readonly ProofNode[],
): ProofElement => ({
  ...overPicture(
    ` over-${veil.slug}${className}`,
    [
      pictureIn(build, role, { ...veil.picture, alt: '' }),
      element('div', { class: `hero-veil veil-${veil.slug}` }),
    ],
    words,
  ),
  decision: `/color/veils/items/${veil.id}`,
});

/** What a page opens with, over a picture where one was chosen. */
export const opening = kind({
  id: 'opening',
  name: 'Opening',
  says: 'a title, a lead, one action and a quieter one',
  shape: {
    title: words,
    lead: words,
    primary: label,
    secondary: label,
    /** The veil over whose picture the words stand. */
    veil: z.optional(id),
    /** At least as high as the screen. */
    isHigh: z.optional(z.literal(true)),
  },
  start: () => ({
    title: 'What this page is about',
    lead: 'Say in one sentence what people find here, and for whom it is made.',
    primary: 'Do the first thing',
    secondary: 'Read more',
  }),
  nodes({ title, lead, primary, secondary, veil: chosen, isHigh }, at, build) {
    const high = isHigh ? ' screen-high' : '';
    const veil = chosen === undefined ? undefined : build.veil(chosen);
    const said = [
      build.text('h1', 'h1', [title], `${at}/title`),
      build.text('p', 'lead', [lead], `${at}/lead`),
      element(
        'p',
        { class: 'actions' },
        button(build, primary, `${at}/primary`),
        quietButton(build, secondary, `${at}/secondary`),
      ),
    ];
    if (!veil)
      return [
        room('section', { class: `hero width-opening${high}` }, '/space/parts/hero.gap', ...said),
      ];
    return [overVeil(build, 'opening', veil, high, said)];
  },
});
