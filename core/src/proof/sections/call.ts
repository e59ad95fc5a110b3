import { label, words } from '../../system/schema-parts.ts';
import { element } from '../node.ts';
import { button, room } from '../parts.ts';
import { kind } from './kind.ts';

/** A band across the page with one thing to do. */
export const call = kind({
  id: 'call',
  name: 'Call to action',
  says: 'a band with one thing to do',
  shape: { title: words, text: words, action: label },
  start: () => ({
    title: 'Come and see',
    text: 'It takes an hour, and coffee is ready.',
    action: 'Choose a day',
  }),
  nodes: ({ title, text: said, action }, at, build) => [
    build.ground('section', 'surface', { class: 'band' }, [
      room(
        'div',
        { class: 'band-words' },
        '/space/parts/band.gap',
        build.text('h2', 'h3', [title], `${at}/title`),
        build.text('p', 'body', [said], `${at}/text`),
      ),
      element('p', { class: 'actions' }, button(build, action, `${at}/action`)),
    ]),
  ],
});
