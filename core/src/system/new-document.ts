import type { Hex } from '../color/srgb.ts';
import type { FontFamily } from '../fonts/family.ts';
import { collectionOf, NOTHING } from './collection.ts';
import { companionsOf, usualColorRoles } from './color-roles.ts';
import { SCHEMA, type Paint, type PageSection, type StyleDocument } from './document.ts';
import { contentOf, type SiteKindId } from './site-kinds.ts';
import { usualLayout, usualShape, usualSpace } from './usual-space.ts';

export { collectionOf, usualSpace };

type Type = StyleDocument['type'];
type Color = StyleDocument['color'];

/** From a phone’s short lines to the longest that are comfortable. Common practice. */
/** What browsers on large screens offer at the most, in per cent; some end at 300. Common practice. */
export const ZOOM = 500;

export const LINE = { from: 30, to: 75 } as const;

/** The text roles of a site and where they stand on the scale. */
export const usualRoles: Type['roles'] = collectionOf([
  ['h1', { name: 'h1', face: 'heading', place: 5 }],
  ['h2', { name: 'h2', face: 'heading', place: 4 }],
  ['h3', { name: 'h3', face: 'heading', place: 3 }],
  ['h4', { name: 'h4', face: 'heading', place: 2 }],
  ['h5', { name: 'h5', face: 'heading', place: 1 }],
  ['h6', { name: 'h6', face: 'heading', place: 0 }],
  ['lead', { name: 'lead', face: 'text', place: 1 }],
  ['body', { name: 'body', face: 'text', place: 0, longest: 66 }],
  ['small', { name: 'small', face: 'text', place: -1 }],
  ['caption', { name: 'caption', face: 'text', place: -1 }],
  ['label', { name: 'label', face: 'label', place: 0 }],
  ['quote', { name: 'quote', face: 'text', place: 2 }],
  ['code', { name: 'code', face: 'code', place: 0 }],
]);

const headings = ['h1', 'h2', 'h3', 'h4', 'h5', 'h6'] as const;

/** Which text stands in which color on which surface. */
export const usualTexts: Color['texts'] = collectionOf([
  ...headings.map(
    (level) =>
      [`${level}-page`, { text: level, part: 'words', color: 'text', on: 'page' }] as const,
  ),
  ['lead-page', { text: 'lead', part: 'words', color: 'quiet', on: 'page' }],
  ['body-page', { text: 'body', part: 'words', color: 'text', on: 'page' }],
  ['body-link-page', { text: 'body', part: 'link', color: 'link', on: 'page' }],
  ['body-visited-page', { text: 'body', part: 'visited', color: 'visited', on: 'page' }],
  ['small-page', { text: 'small', part: 'words', color: 'quiet', on: 'page' }],
  ['caption-page', { text: 'caption', part: 'words', color: 'quiet', on: 'page' }],
  ['quote-page', { text: 'quote', part: 'words', color: 'text', on: 'page' }],
  ['code-page', { text: 'code', part: 'words', color: 'text', on: 'page' }],
  ['label-page', { text: 'label', part: 'words', color: 'text', on: 'page' }],
  ['button-page', { text: 'label', part: 'button', color: 'action-edge', on: 'page' }],
  ['h4-surface', { text: 'h4', part: 'words', color: 'text', on: 'surface' }],
  ['body-surface', { text: 'body', part: 'words', color: 'text', on: 'surface' }],
  ['body-link-surface', { text: 'body', part: 'link', color: 'link', on: 'surface' }],
  ['small-surface', { text: 'small', part: 'words', color: 'quiet', on: 'surface' }],
  ['label-action', { text: 'label', part: 'words', color: 'action-ink', on: 'action' }],
]);

/** The brand color itself, unchanged, is what one acts on in light. */
const ofTheBrand = (roles: Color['roles']): Color['roles'] => {
  const itself: Paint = { kind: 'source', source: 'brand' };
  const action = roles.items['action'];
  return action
    ? { ...roles, items: { ...roles.items, action: { ...action, light: itself } } }
    : roles;
};

export interface Start {
  readonly name: string;
  readonly brand: Hex;
  readonly heading: FontFamily;
  readonly text: FontFamily;
  /** The kind of site, which says what its pages begin with; one page with the usual parts where absent. */
  readonly kind?: SiteKindId;
  /** More colors of the brand, each a color of its own. */
  readonly colors?: readonly Hex[];
  /** The logo as SVG, cleaned. */
  readonly logo?: string;
}

/** The color of the brand where nobody has named one. */
export const USUAL_BRAND = '#3b6ea5' satisfies Hex;

/** A new system with a decision in every place, so that its proof stands from the first moment. */
export function newDocument(start: Start): StyleDocument {
  const { name, brand, heading, text, kind, colors = [], logo } = start;
  const layout = usualLayout(24, 24);
  return {
    schema: SCHEMA,
    name,
    description: '',
    brief: {
      purpose: '',
      audience: '',
      mood: [],
      languages: ['en'],
      needs: ['emphasis'],
      fontBudgetKb: 200,
      conformance: 'AA',
      line: LINE,
      zoom: ZOOM,
    },
    fonts: {
      reasons: { because: [], note: '' },
      roles: { heading: { family: heading, weight: 700 }, text: { family: text, weight: 400 } },
    },
    type: {
      anchors: collectionOf([
        ['narrow', { width: 360, base: 16, ratio: 1.2 }],
        ['wide', { width: 1440, base: 18, ratio: 1.25 }],
      ]),
      scale: 'one ratio',
      rounding: 'none',
      unit: 'vi',
      roles: usualRoles,
    },
    color: {
      sources: collectionOf([
        ['brand', { name: 'brand', value: brand }],
        ...colors.map(
          (value, index) => [`brand-${index + 2}`, { name: `brand ${index + 2}`, value }] as const,
        ),
        ...Object.entries(companionsOf(brand)).map(
          ([id, value]) => [id, { name: id, value }] as const,
        ),
      ]),
      neutral: { name: 'gray', source: 'brand', tint: 0.4 },
      roles: ofTheBrand(
        usualColorRoles({
          brand: 'brand',
          action: 'brand',
          support: 'neutral',
          accent: 'accent',
          success: 'success',
          warning: 'warning',
          danger: 'danger',
          notice: 'notice',
        }),
      ),
      texts: usualTexts,
      gradients: NOTHING,
      veils: NOTHING,
    },
    space: usualSpace,
    layout: logo === undefined ? layout : { ...layout, logo: { ...layout.logo, light: logo } },
    shape: usualShape,
    components: { manner: { surface: 'filled', states: 'shade' }, departures: {} },
    icons: { size: 1.25, stroke: 1.5, sizes: NOTHING, named: NOTHING },
    content: {
      mark: 'plain',
      nav: collectionOf([
        ['about', { words: 'About' }],
        ['work', { words: 'What we do' }],
        ['contact', { words: 'Contact' }],
      ]),
      pages: collectionOf([
        [
          'home',
          {
            name: 'Home',
            sections: collectionOf<PageSection>([
              [
                'hero',
                {
                  kind: 'opening',
                  title: `Welcome to ${name}`,
                  lead: 'Say in one sentence what people find here, and for whom it is made.',
                  primary: 'Get in touch',
                  secondary: 'See what we do',
                },
              ],
              [
                'notice',
                {
                  kind: 'notice',
                  title: 'Open today.',
                  text: 'A short notice shows how text stands on a surface.',
                },
              ],
              [
                'table',
                {
                  kind: 'table',
                  title: 'Hours',
                  note: 'Figures show whether digits stand in columns.',
                  columns: collectionOf([
                    ['day', 'Day'],
                    ['from', 'From'],
                    ['to', 'To'],
                  ]),
                  rows: collectionOf([
                    ['weekdays', { day: 'Monday to Friday', from: '08:30', to: '17:00' }],
                    ['saturday', { day: 'Saturday', from: '10:00', to: '14:15' }],
                  ]),
                },
              ],
              [
                'cards',
                {
                  kind: 'cards',
                  title: 'What we do',
                  cards: collectionOf([
                    [
                      'first',
                      {
                        title: 'The first thing',
                        text: 'What it is and what it is good for.',
                        link: 'More about it',
                      },
                    ],
                    [
                      'second',
                      {
                        title: 'The second thing',
                        text: 'What it is and what it is good for.',
                        link: 'More about it',
                      },
                    ],
                  ]),
                },
              ],
              [
                'story',
                {
                  kind: 'story',
                  title: 'Where it began',
                  opening: 'Two or three sentences are enough.',
                  text: 'Running text is what most people read, so judge the text face, its size and its line height here rather than in a heading.',
                  aside: 'Emphasis shows the italic.',
                  link: 'See what we do',
                },
              ],
            ]),
          },
        ],
      ]),
      ...(kind && contentOf(kind, name)),
      footer: `${name}. All words here are yours to change.`,
    },
    tokens: { custom: { order: [], items: {} } },
    accepted: {},
  };
}
