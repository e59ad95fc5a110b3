import { veilSlugs } from '../../derive/color/veil.ts';
import { button, type Page, quietButton, room, type Section } from '../build.ts';
import { element, type ProofElement } from '../node.ts';

function opening({ build, document: { color, content } }: Page): ProofElement {
  const { title, lead, primary, secondary } = content.hero;
  const veil = content.heroVeil === undefined ? undefined : color.veils.items[content.heroVeil];
  const slug =
    content.heroVeil === undefined ? undefined : veilSlugs(color.veils).get(content.heroVeil);
  const words = [
    build.text('h1', 'h1', [title], '/content/hero/title'),
    build.text('p', 'lead', [lead], '/content/hero/lead'),
    element(
      'p',
      { class: 'actions' },
      button(build, primary, '/content/hero/primary'),
      // Over a picture the quiet button would need a proof of its own.
      ...(veil ? [] : [quietButton(build, secondary, '/content/hero/secondary')]),
    ),
  ];
  if (!veil || slug === undefined)
    return room('section', { class: 'hero width-opening' }, '/space/parts/hero.gap', ...words);
  return {
    ...element(
      'section',
      { class: `over-picture over-${slug}` },
      element('img', {
        class: 'hero-picture',
        src: `/proof/pictures/${veil.picture.file}`,
        width: String(veil.picture.width),
        height: String(veil.picture.height),
        alt: '',
      }),
      element('div', { class: `hero-veil veil-${slug}` }),
      room(
        'div',
        { class: 'hero-words width-opening' },
        '/space/parts/picture-words.inset',
        ...words,
      ),
    ),
    decision: `/color/veils/items/${content.heroVeil ?? ''}`,
  };
}

/** What the page opens with, over a picture where one was chosen. */
export const hero: Section = (page) => [opening(page)];
