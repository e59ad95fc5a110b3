import type { StyleDocument } from '@garnish/core/system/document';
import {
  LINE,
  collectionOf,
  newDocument,
  usualRoles,
  usualSpace,
} from '@garnish/core/system/new-document';
import { family } from '../fonts/shipped.ts';
import { itself, own, painted, rung, share, withRoles } from './decide.ts';

const crossing = (quay: string, leaves: string, arrives: string, tide: string) => ({
  quay,
  leaves,
  arrives,
  tide,
});

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
            picture: {
              name: 'The estuary in the morning',
              file: '2587ad7689d64696.webp',
              width: 1600,
              height: 900,
            },
            boxes: collectionOf([
              ['title', { text: 'h1', x: 0.03, y: 0.4, width: 0.56, height: 0.32 }],
              ['lead', { text: 'lead', x: 0.03, y: 0.74, width: 0.56, height: 0.18 }],
            ]),
            ink: 'on-pictures',
            color: '#000000',
            side: 'all over',
            pixels: 1,
            strength: 131,
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
    space: { ...usualSpace, roles: { inset: 'l', stack: 'm', section: 'xxl' } },
    content: {
      mark: 'tide',
      nav: collectionOf([
        ['crossings', 'Crossings'],
        ['fares', 'Fares'],
        ['fleet', 'Fleet'],
        ['notices', 'Notices'],
      ]),
      hero: {
        title: 'Nine crossings a day, whatever the tide says',
        lead: 'We run two small ferries over the Brackwater, from first light to the last train. Bring a bicycle, a dog, or a van under three metres.',
        primary: 'See today’s crossings',
        secondary: 'Reserve a car space',
      },
      notice: {
        title: 'Spring tide on Thursday.',
        text: 'The 06:40 and the 19:15 leave from the upper slip. Allow ten minutes more.',
      },
      table: {
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
        ]),
      },
      story: {
        title: 'A crossing since the first bridge fell',
        opening: 'The estuary moves its channels every winter.',
        text: 'That is why no bridge has stood here for long, and why our boats draw less than a metre of water. The crew reads the sandbanks at low tide and changes the route by a few boat lengths, week after week, so that the timetable need not change.',
        aside: 'On foggy mornings we ring the bell at both quays.',
      },
      cards: {
        title: 'Good to know',
        cards: collectionOf([
          [
            'bicycles',
            {
              title: 'Bicycles travel free',
              text: 'Twelve stand on the foredeck. Groups of more than six tell us the day before.',
              link: 'Tell us about a group',
            },
          ],
          [
            'cars',
            {
              title: 'Six spaces for cars',
              text: 'Be at the slip ten minutes before the boat leaves; the ramp is steep at low water.',
              link: 'Reserve a space',
            },
          ],
          [
            'fleet',
            {
              title: 'Tern and Turnstone',
              text: 'Both boats were built on the estuary, run on hydrogenated oil and carry sixty people.',
              link: 'See the fleet',
            },
          ],
        ]),
      },
      alerts: collectionOf([
        ['runs', { family: 'success', title: 'Saltmere runs', text: 'Every crossing on time.' }],
        [
          'fog',
          { family: 'warning', title: 'Fog before nine', text: 'Boats may wait for the channel.' },
        ],
        [
          'closed',
          { family: 'danger', title: 'Lower slip closed', text: 'Cars board at the upper slip.' },
        ],
        [
          'works',
          { family: 'notice', title: 'Quay works', text: 'From Monday the waiting room moves.' },
        ],
      ]),
      form: {
        title: 'Reserve a car space',
        fields: collectionOf([
          ['name', 'Name'],
          ['plate', 'Number plate'],
        ]),
        hint: 'As it stands on the car',
        submit: 'Reserve',
      },
      heroVeil: 'estuary',
      footer: 'Brackwater Ferries, Oxney Quay. Crossings run every day but the first of January.',
    },
  };
}
