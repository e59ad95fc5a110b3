import { iconsFrom } from './icons.ts';
import { brackwaterPages, brackwaterParts } from './brackwater-pages.ts';
import type { StyleDocument } from '@garnish/core/system/document';
import {
  LINE,
  ZOOM,
  collectionOf,
  newDocument,
  usualRoles,
  usualSpace,
} from '@garnish/core/system/new-document';
import { inOrder } from '@garnish/core/system/document';
import { usualLayout, usualShape } from '@garnish/core/system/usual-space';
import { family } from '../fonts/shipped.ts';
import { itself, own, page, painted, rung, share, withRoles, withSpace } from './decide.ts';

const ESTUARY = {
  name: 'The estuary in the evening',
  file: 'a798a25c593262fa.webp',
  width: 1600,
  height: 1000,
} as const;

const crossing = (quay: string, leaves: string, arrives: string, tide: string) => ({
  quay,
  leaves,
  arrives,
  tide,
});

const fare = (who: string, single: string, back: string, month: string) => ({
  who,
  single,
  return: back,
  month,
});

/** A group of links, each with a place of its own in the document. */
const group = (title: string, ...links: readonly string[]) => ({
  title,
  links: collectionOf(links.map((words, index) => [`link-${index + 1}`, words] as const)),
});

/** Two waves, one over the other, drawn for the demo; other colors on a dark ground. */
const tideLogo = (over: string, under: string): string => {
  const wave = 'q4.75 -6 9.5 0t9.5 0t9.5 0v3.5q-4.75 -6 -9.5 0t-9.5 0t-9.5 0z';
  return (
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32" width="32" height="32">' +
    `<path d="M1.75 9${wave}" fill="${over}"></path>` +
    `<path d="M1.75 20${wave}" fill="${under}"></path></svg>`
  );
};

/** A small ferry company on a tidal estuary. Everything about it is made up. */
export function brackwater(): StyleDocument {
  const start = newDocument({
    name: 'Brackwater Ferries',
    brand: '#b5391a',
    heading: family('archivo'),
    text: family('literata'),
  });
  return {
    ...start,
    description: 'Two small ferries on a tidal estuary: steady, tidal, plain.',
    brief: {
      purpose: 'Tell at a glance when the next boat leaves, and sell a space on it.',
      audience: 'Commuters, day trippers, people with bicycles; many read on a windy quay.',
      mood: ['steady', 'plain'],
      languages: ['en', 'no'],
      needs: ['tables', 'emphasis'],
      fontBudgetKb: 160,
      conformance: 'AA',
      line: LINE,
      zoom: ZOOM,
    },
    fonts: {
      reasons: {
        because: ['fits the mood', 'figures of equal width', 'true italic'],
        note: 'Sturdy like the boats; the serif slows the reader down where the notices are.',
      },
      roles: {
        heading: { family: family('archivo'), weight: 700 },
        text: { family: family('literata'), weight: 400 },
      },
    },
    type: {
      anchors: collectionOf([
        ['narrow', { width: 360, base: 17, ratio: 1.2 }],
        ['middle', { width: 768, base: 18, ratio: 1.24 }],
        ['wide', { width: 1440, base: 20, ratio: 1.27 }],
      ]),
      scale: 'one ratio',
      rounding: 'none',
      unit: 'vi',
      roles: withRoles(usualRoles, {
        h1: { weight: 800 },
        h4: { place: 2 },
        lead: { longest: 48 },
        caption: { style: 'italic', longest: 60 },
        quote: { style: 'italic', longest: 40, after: 'm' },
        code: { figures: 'tabular' },
        label: { weight: 600 },
      }),
    },
    color: {
      ...start.color,
      sources: collectionOf([
        ['marsh', { name: 'marsh', value: '#2a6365' }],
        ['buoy', { name: 'buoy', value: '#b5391a' }],
        ['sand', { name: 'sand', value: '#c9a25a' }],
        ['eelgrass', { name: 'eelgrass', value: '#3f9a68' }],
        ['lamp', { name: 'lamp', value: '#dfae3a', wide: 'oklch(0.79 0.19 84)' }],
        [
          'flare',
          { name: 'flare', value: '#8f1d2c', ramp: { driftAtInk: -8, chromaAtPaper: 0.1 } },
        ],
        ['deep', { name: 'deep water', value: '#2f74a8' }],
      ]),
      neutral: { name: 'silt', source: 'sand', tint: 0.42 },
      roles: painted(
        {
          brand: 'marsh',
          action: 'buoy',
          support: 'marsh',
          accent: 'sand',
          success: 'eelgrass',
          warning: 'lamp',
          danger: 'flare',
          notice: 'deep',
        },
        {
          page: [rung('neutral', 1), rung('marsh', 15)],
          surface: [rung('marsh', 2), rung('marsh', 14)],
          raised: [rung('neutral', 1), rung('marsh', 13)],
          text: [rung('marsh', 15), rung('neutral', 2)],
          quiet: [rung('neutral', 10), rung('neutral', 5)],
          line: [share('text', 'page', 0.18), share('text', 'page', 0.22)],
          link: [rung('marsh', 10), rung('marsh', 5)],
          action: [itself('buoy'), rung('buoy', 6)],
          'action-ink': [rung('neutral', 1), rung('buoy', 16)],
          'on-pictures': [own('#ffffff'), own('#ffffff')],
          mudflat: [rung('sand', 3), rung('sand', 13)],
        },
      ),
      veils: collectionOf([
        [
          'estuary',
          {
            name: 'estuary',
            picture: ESTUARY,
            boxes: collectionOf([
              ['title', { text: 'h1', x: 0.03, y: 0.4, width: 0.56, height: 0.32 }],
              ['lead', { text: 'lead', x: 0.03, y: 0.74, width: 0.56, height: 0.18 }],
            ]),
            ink: 'on-pictures',
            color: '#000000',
            side: 'bottom',
            pixels: 1,
            strength: 61,
          },
        ],
        [
          'water',
          {
            name: 'water',
            picture: ESTUARY,
            boxes: collectionOf([
              ['title', { text: 'h3', x: 0.03, y: 0.3, width: 0.5, height: 0.2 }],
              ['text', { text: 'body', x: 0.03, y: 0.55, width: 0.5, height: 0.2 }],
            ]),
            ink: 'on-pictures',
            color: '#000000',
            side: 'all over',
            pixels: 1,
            strength: 99,
            crop: { x: 0.5, y: 1 },
          },
        ],
      ]),
      gradients: collectionOf([
        [
          'dawn',
          {
            name: 'dawn',
            space: 'oklab',
            angle: 180,
            stops: collectionOf([
              ['high', { at: 0, color: 'art-1' }],
              ['low', { at: 1, color: 'mudflat' }],
            ]),
          },
        ],
      ]),
    },
    space: {
      ...usualSpace,
      steps: collectionOf([...inOrder(usualSpace.steps), ['xxxl', { name: 'xxxl', multiple: 12 }]]),
      roles: withSpace({
        inset: {
          value: {
            kind: 'shrinking',
            form: 'min',
            fixed: { value: 1.5, unit: 'rem' },
            share: 6,
          },
        },
        'inset-small': { value: { kind: 'stepped', step: 's', at: { medium: 'm' } } },
        section: { value: { kind: 'step', step: 'xl', at: { middle: 'xxl', wide: 'xxxl' } } },
      }),
      parts: {
        'card.inset': { role: 'inset-small' },
        'picture-words.inset': { role: 'inset-large' },
      },
    },
    layout: {
      ...usualLayout(20, 16),
      grid: {
        align: 'centered',
        whole: true,
        base: { columns: 4, gutter: 16, margin: 16 },
        at: {
          medium: { columns: 8, gutter: 24, margin: 24 },
          wide: { columns: 12, container: 1080, margin: 24 },
        },
      },
      header: 'centered',
      logo: {
        light: tideLogo('#1c4f52', '#b5391a'),
        dark: tideLogo('#9fc6c4', '#e8825f'),
        one: tideLogo('currentcolor', 'currentcolor'),
        least: 24,
        clear: 0.25,
        scale: 1.6,
      },
      patterns: collectionOf([
        [
          'ripples',
          {
            name: 'ripples',
            kind: 'waves',
            ink: 'surface',
            on: 'page',
            cell: 'l',
            strength: 0.3,
            turn: 0,
          },
        ],
      ]),
    },
    components: {
      ...start.components,
      narrow: { below: 520, open: 'Menu', close: 'Close', action: 'inside' },
      // On the quay, what is done by phone is told from what is done at the desk.
      variants: collectionOf([
        [
          'by-phone',
          {
            name: 'by phone',
            of: 'button',
            takes: {
              background: 'color.support',
              ink: 'color.support-ink',
              'background-hover': 'color.support-hover',
              'background-pressed': 'color.support-pressed',
              'background-off': 'color.support-disabled',
            },
          },
        ],
      ]),
    },
    icons: {
      ...start.icons,
      // As thick as the stems of the labels beside them.
      stroke: 2,
      sizes: collectionOf([['large', { name: 'Large', of: 'text', times: 1.6 }]]),
      named: iconsFrom('lucide', [
        ['bicycle', 'Bicycle', 'bike'],
        ['car', 'Car', 'car'],
        ['boat', 'Boat', 'ship', { size: 'large', color: 'link' }],
        ['tide', 'Tide', 'waves-horizontal'],
        ['changes', 'Changes', 'rotate-ccw'],
        ['coins', 'Coins', 'hand-coins'],
        ['fog', 'Fog', 'cloud-fog'],
        ['phone', 'Phone', 'phone'],
        ['mail', 'Mail', 'mail'],
        ['place', 'Place', 'map-pin'],
        ['outward', 'Leads elsewhere', 'arrow-up-right'],
        ['send', 'Send', 'arrow-right'],
        ['open', 'More below', 'chevron-down'],
      ]),
    },
    shape: { ...usualShape, cards: 'low' },
    content: {
      mark: 'tide',
      parts: brackwaterParts(),
      nav: collectionOf([
        ['crossings', { words: 'Crossings' }],
        ['fares', { words: 'Fares' }],
        ['fleet', { words: 'Fleet' }],
        ['notices', { words: 'Notices' }],
      ]),
      pages: collectionOf([
        page(
          'home',
          'Home',
          [
            'hero',
            {
              kind: 'opening',
              veil: 'estuary',
              title: 'Nine crossings a day, whatever the tide says',
              lead: 'We run two small ferries over the Brackwater, from first light to the last train. Bring a bicycle, a dog, or a van under three meters.',
              primary: 'See today’s crossings',
              secondary: 'Reserve a car space',
            },
          ],
          [
            'notice',
            {
              kind: 'notice',
              title: 'Spring tide on Thursday.',
              text: 'The 06:40 and the 19:15 leave from the upper slip. Allow ten minutes more.',
            },
          ],
          [
            'alerts',
            {
              kind: 'alerts',
              messages: collectionOf([
                [
                  'runs',
                  { family: 'success', title: 'Saltmere runs', text: 'Every crossing on time.' },
                ],
                [
                  'fog',
                  {
                    family: 'warning',
                    title: 'Fog before nine',
                    text: 'Boats may wait for the channel.',
                  },
                ],
                [
                  'closed',
                  {
                    family: 'danger',
                    title: 'Lower slip closed',
                    text: 'Cars board at the upper slip.',
                  },
                ],
                [
                  'works',
                  {
                    family: 'notice',
                    title: 'Quay works',
                    text: 'From Monday the waiting room moves.',
                  },
                ],
              ]),
            },
          ],
          [
            'table',
            {
              kind: 'table',
              title: 'Today from Oxney Quay',
              note: 'Times hold from March to October. At low water the crossing takes four minutes more.',
              columns: collectionOf([
                ['quay', 'To'],
                ['leaves', 'Leaves'],
                ['arrives', 'Arrives'],
                ['tide', 'Tide'],
              ]),
              rows: collectionOf([
                ['first', crossing('Saltmere', '06:40', '07:02', 'rising')],
                ['second', crossing('Saltmere', '08:10', '08:32', 'high')],
                ['third', crossing('Heron Point', '09:45', '10:21', 'falling')],
                ['fourth', crossing('Saltmere', '11:15', '11:41', 'low')],
                ['fifth', crossing('Heron Point', '14:11', '14:47', 'rising')],
                ['sixth', crossing('Saltmere', '15:40', '16:02', 'high')],
                ['seventh', crossing('Heron Point', '17:05', '17:41', 'high')],
                ['eighth', crossing('Saltmere', '18:30', '18:52', 'falling')],
                ['ninth', crossing('Saltmere', '19:15', '19:37', 'falling')],
              ]),
            },
          ],
          [
            'prices',
            {
              kind: 'table',
              title: 'Fares',
              note: 'Children under six travel free. A return ticket holds for thirty days.',
              columns: collectionOf([
                ['who', 'Who'],
                ['single', 'Single'],
                ['return', 'Return'],
                ['month', 'Month'],
              ]),
              rows: collectionOf([
                ['adult', fare('Adult', '3.40', '6.10', '58.00')],
                ['child', fare('Child, six to fifteen', '1.70', '3.05', '29.00')],
                ['bicycle', fare('Bicycle', 'free', 'free', 'free')],
                ['motorcycle', fare('Motorcycle', '4.80', '8.60', '82.00')],
                ['car', fare('Car with its driver', '11.20', '20.00', '190.00')],
                ['van', fare('Van under three meters', '17.50', '31.50', '300.00')],
              ]),
            },
          ],
          [
            'cards',
            {
              kind: 'cards',
              title: 'Good to know',
              cards: collectionOf([
                [
                  'bicycles',
                  {
                    title: 'Bicycles travel free',
                    icon: 'bicycle',
                    text: 'Twelve stand on the foredeck. Groups of more than six tell us the day before.',
                    link: 'Tell us about a group',
                  },
                ],
                [
                  'cars',
                  {
                    title: 'Six spaces for cars',
                    icon: 'car',
                    text: 'Be at the slip ten minutes before the boat leaves; the ramp is steep at low water.',
                    link: 'Reserve a space',
                  },
                ],
                [
                  'fleet',
                  {
                    title: 'Tern and Turnstone',
                    icon: 'boat',
                    text: 'Both boats were built on the estuary, run on hydrogenated oil and carry sixty people.',
                    link: 'See the fleet',
                  },
                ],
                [
                  'tides',
                  {
                    title: 'The tide book',
                    icon: 'tide',
                    text: 'High and low water at all three quays, printed every January and free on board.',
                    link: 'Read this month’s pages',
                  },
                ],
                [
                  'mornings',
                  {
                    title: 'Bird mornings',
                    text: 'On the first Sunday of the month the early boat takes the long way past the sandbanks.',
                    link: 'Come along',
                  },
                ],
                [
                  'schools',
                  {
                    title: 'Classes on board',
                    text: 'Two hours on the water for a class of thirty, with nets, maps and a warm cabin.',
                    link: 'Ask for a date',
                  },
                ],
              ]),
            },
          ],
          [
            'form',
            {
              kind: 'form',
              title: 'Reserve a car space',
              fields: collectionOf([
                ['name', 'Name'],
                ['plate', 'Number plate'],
              ]),
              hint: 'As it stands on the car',
              submit: 'Reserve',
            },
          ],
          ['artwork', { kind: 'artwork' }],
          [
            'story',
            {
              kind: 'story',
              link: 'Reserve a car space',
              title: 'A crossing since the first bridge fell',
              opening: 'The estuary moves its channels every winter.',
              text: 'That is why no bridge has stood here for long, and why our boats draw less than a metre of water. The crew reads the sandbanks at low tide and changes the route by a few boat lengths, week after week, so that the timetable need not change.',
              aside: 'On foggy mornings we ring the bell at both quays.',
            },
          ],
          [
            'questions',
            {
              kind: 'questions',
              title: 'What people ask on the quay',
              items: collectionOf([
                [
                  'dogs',
                  {
                    question: 'May my dog come along?',
                    answer: 'On a lead, on deck and in the aft cabin. Water stands by the ramp.',
                  },
                ],
                [
                  'late',
                  {
                    question: 'What if I miss the last boat?',
                    answer:
                      'The night bus leaves the upper slip at 23:50 and goes round by the bridge.',
                  },
                ],
                [
                  'tide',
                  {
                    question: 'Why do the minutes change?',
                    answer: 'At low water the boat keeps to the channel, which is longer.',
                  },
                ],
                [
                  'ticket',
                  {
                    question: 'Where do I buy a ticket?',
                    answer: 'On board, at the quay office, or here. The price is the same.',
                  },
                ],
                [
                  'chair',
                  {
                    question: 'Can I board with a wheelchair?',
                    answer: 'At every state of the tide on Turnstone; ring for Tern at low water.',
                  },
                ],
              ]),
            },
          ],
        ),
        ...brackwaterPages(),
      ]),
      headerAction: 'Map',
      pattern: 'ripples',
      footerGroups: collectionOf([
        ['travel', group('Travel', 'Crossings', 'Fares', 'Bicycles', 'Groups', 'Lost things')],
        ['fleet', group('Fleet', 'Tern', 'Turnstone', 'How they run', 'Open day', 'The yard')],
        ['quays', group('Quays', 'Oxney Quay', 'Saltmere', 'Heron Point', 'Parking', 'Buses')],
        [
          'company',
          group('Company', 'Notices', 'Work with us', 'Our tide book', 'Press', 'Contact'),
        ],
      ]),
      footer: 'Brackwater Ferries, Oxney Quay. Crossings run every day but the first of January.',
    },
  };
}
