import type { Derived } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import { builder, room, type Page, type Section } from './build.ts';
import { element, type ProofElement } from './node.ts';
import { alerts } from './sections/alerts.ts';
import { artwork } from './sections/artwork.ts';
import { cards } from './sections/cards.ts';
import { footer } from './sections/footer.ts';
import { form } from './sections/form.ts';
import { header } from './sections/header.ts';
import { hero } from './sections/hero.ts';
import { notice } from './sections/notice.ts';
import { questions } from './sections/questions.ts';
import { story } from './sections/story.ts';
import { table } from './sections/table.ts';

/** What stands on the home page, from the top. */
const SECTIONS: readonly Section[] = [
  hero,
  notice,
  alerts,
  table('table'),
  table('prices'),
  cards,
  form,
  artwork,
  story,
  questions,
];

/** The home page of a site, made of its own words and the classes of the exported style sheet. */
export function homePage(document: StyleDocument, derived: Derived): ProofElement {
  const build = builder(derived);
  const page: Page = { build, document, derived };
  return build.ground('div', 'page', { class: 'site', lang: document.brief.languages[0] ?? 'en' }, [
    header(page),
    element(
      'main',
      { class: 'grid-frame' },
      room(
        'div',
        { class: 'site-main' },
        '/space/parts/main.gap',
        ...SECTIONS.flatMap((section) => section(page)),
      ),
    ),
    footer(page),
  ]);
}
