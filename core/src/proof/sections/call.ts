import * as z from 'zod/mini';
import { id, label, words } from '../../system/schema-parts.ts';
import { element } from '../node.ts';
import { button, room } from '../parts.ts';
import { kind } from './kind.ts';
import { overVeil } from './opening.ts';

/** A band across the page with one thing to do. */
export const call = kind({
  id: 'call',
  name: 'Call to action',
  says: 'a band with one thing to do',
  shape: {
    title: words,
    text: words,
    action: label,
    /** The veil over whose picture the words stand. */
    veil: z.optional(id),
  },
  start: () => ({
    title: 'Come and see',
    text: 'It takes an hour, and coffee is ready.',
    action: 'Choose a day',
  }),
  nodes({ title, text: said, action, veil: chosen }, at, build) {
    const veil = chosen === undefined ? undefined : build.veil(chosen);
    const words = [
      build.text('h2', 'h3', [title], `${at}/title`),
      build.text('p', 'body', [said], `${at}/text`),
    ];
    const acts = element('p', { class: 'actions' }, button(build, action, `${at}/action`));
    if (veil) return [overVeil(build, 'background', veil, ' picture-band', [...words, acts])];
    return [
      build.ground('section', 'surface', { class: 'band' }, [
        room('div', { class: 'band-words' }, '/space/parts/band.gap', ...words),
        acts,
      ]),
    ];
  },
});
