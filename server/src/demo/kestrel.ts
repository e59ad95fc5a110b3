import { iconsFrom } from './icons.ts';
import { kestrelPages } from './kestrel-pages.ts';
import type { StyleDocument } from '@garnish/core/system/document';
import {
  LINE,
  ZOOM,
  collectionOf,
  newDocument,
  usualRoles,
  usualSpace,
} from '@garnish/core/system/new-document';
import { usualLayout, usualShape } from '@garnish/core/system/usual-space';
import { family } from '../fonts/shipped.ts';
import { itself, page, painted, rung, withRoles, withSpace } from './decide.ts';

/** Drawn for the demo: a dome, a slit open to the sky, three stars. */
const DOME =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 480 160" width="480" height="160">' +
  '<path d="M0 136h480v24H0z" fill="#d9d4ef"></path>' +
  '<path d="M110 136a130 130 0 0 1 260 0z" fill="#4b3f8f"></path>' +
  '<path d="M228 7l24 0 34 129h-46z" fill="#171530"></path>' +
  '<circle cx="250" cy="44" r="4" fill="#c8f04a"></circle>' +
  '<circle cx="52" cy="38" r="5" fill="#c8f04a"></circle>' +
  '<circle cx="430" cy="58" r="3" fill="#c8f04a"></circle></svg>';

/** A planetarium on a hill: evenings, one vivid color over near-black. Everything is made up. */
export function kestrel(): StyleDocument {
  const start = newDocument({
    name: 'Kestrel Hill Planetarium',
    brand: '#c8f04a',
    heading: family('bricolage-grotesque'),
    text: family('figtree'),
  });
  return {
    ...start,
    description: 'Evenings under a dome: one vivid color over near-black.',
    brief: {
      purpose: 'Fill the dome in the evening, and tell what may be seen tonight.',
      audience: 'Families, schools, people who could not sleep.',
      mood: ['vivid', 'modern'],
      languages: ['en'],
      needs: ['tables', 'emphasis'],
      fontBudgetKb: 160,
      conformance: 'AA',
      line: LINE,
      zoom: ZOOM,
    },
    fonts: {
      roles: { ...start.fonts.roles, label: { family: family('sometype-mono'), weight: 600 } },
      reasons: {
        because: ['fits the mood', 'difference that looks meant'],
        note: 'A display face for the titles that people see from across the room; times and labels in the face of an instrument.',
      },
    },
    type: {
      anchors: collectionOf([
        ['narrow', { width: 340, base: 16.5, ratio: 1.24 }],
        ['wide', { width: 1400, base: 19, ratio: 1.3 }],
      ]),
      scale: 'one ratio',
      rounding: 'none',
      unit: 'vi',
      roles: withRoles(usualRoles, {
        h1: { place: 6, letterSpacing: -0.03 },
        lead: { longest: 50 },
        h6: { case: 'uppercase' },
        caption: { case: 'uppercase', place: -1 },
      }),
    },
    color: {
      ...start.color,
      themes: 'dark first',
      sources: collectionOf([
        ['comet', { name: 'comet', value: '#c8f04a' }],
        ['dusk', { name: 'dusk', value: '#4b3f8f', ramp: { driftAtPaper: 18 } }],
        ['aurora', { name: 'aurora', value: '#3fae7c' }],
        ['sodium', { name: 'sodium', value: '#e0a52e' }],
        ['mars', { name: 'mars', value: '#a8321e' }],
        ['neptune', { name: 'neptune', value: '#2f78c4' }],
      ]),
      darkChroma: 0.85,
      neutral: { name: 'night', source: 'dusk', tint: 0.6 },
      roles: painted(
        {
          brand: 'dusk',
          action: 'dusk',
          support: 'neutral',
          accent: 'comet',
          success: 'aurora',
          warning: 'sodium',
          danger: 'mars',
          notice: 'neptune',
        },
        {
          page: [rung('neutral', 1), rung('neutral', 16)],
          surface: [rung('neutral', 2), rung('neutral', 15)],
          raised: [rung('neutral', 1), rung('neutral', 14)],
          text: [rung('neutral', 16), rung('neutral', 2)],
          quiet: [rung('neutral', 11), rung('neutral', 5)],
          line: [rung('neutral', 4), rung('neutral', 12)],
          link: [rung('dusk', 11), rung('comet', 3)],
          focus: [rung('dusk', 9), itself('comet')],
          action: [itself('dusk'), itself('comet')],
          'action-ink': [rung('neutral', 1), rung('neutral', 16)],
          'action-edge': [rung('dusk', 10), rung('comet', 4)],
          'action-hover': [rung('dusk', 12), rung('comet', 3)],
          'action-pressed': [rung('dusk', 13), rung('comet', 6)],
        },
      ),
    },
    space: {
      ...usualSpace,
      unit: 4,
      scale: 'geometric',
      series: { first: 1, ratio: 1.75 },
      names: 'size words',
      roles: withSpace({
        inset: { value: { kind: 'step', step: 'l', at: { wide: 'xl' } } },
        section: { value: { kind: 'step', step: 'xl', at: { wide: 'xxl' } } },
        control: {
          value: { kind: 'own', value: 1.5, unit: 'em' },
          block: { kind: 'own', value: 0.75, unit: 'em' },
        },
      }),
    },
    layout: {
      ...usualLayout(20, 20),
      // Faces in the two colors of the house.
      pictureRoles: { portrait: { treatment: { kind: 'toned', color: 'text', second: 'page' } } },
      grid: {
        align: 'full',
        whole: false,
        base: { columns: 4, gutter: 20, margin: 20 },
        at: {
          medium: { columns: 8, margin: 36 },
          wide: { columns: 12, gutter: 36, margin: 64 },
        },
      },
      screen: 'dvh',
      patterns: collectionOf([
        [
          'stars',
          {
            name: 'stars',
            kind: 'dots',
            ink: 'accent',
            on: 'surface',
            cell: 'xl',
            strength: 0.06,
            turn: 30,
          },
        ],
      ]),
    },
    icons: {
      ...start.icons,
      place: 'capitals',
      faint: 0.35,
      named: iconsFrom('ph', [
        ['ticket', 'Ticket', 'ticket-duotone'],
        ['roof', 'Roof nights', 'shooting-star-duotone'],
        ['bulletin', 'Bulletin', 'newspaper-duotone'],
        ['school', 'School', 'student-duotone'],
        ['quiet', 'Quiet', 'moon-duotone'],
      ]),
    },
    components: {
      ...start.components,
      // Titles and times leave no room for four names beside the logo on a phone.
      narrow: { below: 640, open: 'Menu', close: 'Close' },
      // What takes something away is as sharp as the rest of the page is round.
      departures: { 'danger-button.corner': 'corner.picture' },
    },
    shape: {
      ...usualShape,
      // Round however large the words of a button are.
      growing: true,
      corners: { control: 'full', card: 'round', picture: 'round' },
      radii: collectionOf([
        ['soft', { name: 'soft', px: 6 }],
        ['round', { name: 'round', px: 16 }],
        ['full', { name: 'full', px: 48 }],
      ]),
      light: { from: -20, reach: 0.6, softness: 2, strength: 0.2, ambient: 0.12 },
      dark: { strength: 0.6, ambient: 0.4, rim: 0.12 },
      cards: 'low',
    },
    content: {
      mark: 'dome',
      nav: collectionOf([
        ['tonight', { words: 'Tonight' }],
        ['programmes', { words: 'Programmes' }],
        ['schools', { words: 'Schools' }],
        ['visit', { words: 'Visit' }],
      ]),
      pages: collectionOf([
        page(
          'home',
          'Home',
          [
            'hero',
            {
              kind: 'opening',
              title: 'The sky, an hour before it opens',
              lead: 'A dome of eighteen meters, ninety seats that lean back, and somebody beside you who knows the names.',
              primary: 'Book for tonight',
              secondary: 'All programmes',
            },
          ],
          [
            'notice',
            {
              kind: 'notice',
              title: 'Clear night on Friday.',
              text: 'The roof terrace is open until 23:30 and both telescopes are staffed.',
            },
          ],
          [
            'alerts',
            {
              kind: 'alerts',
              messages: collectionOf([
                [
                  'clear',
                  { family: 'success', title: 'Clear sky', text: 'The roof opens at 22:00.' },
                ],
                [
                  'cloud',
                  { family: 'warning', title: 'Cloud from the west', text: 'Bring patience.' },
                ],
                [
                  'lift',
                  { family: 'danger', title: 'Lift out of order', text: 'Ring; we come down.' },
                ],
                [
                  'bus',
                  { family: 'notice', title: 'Late bus', text: 'It waits for the last guests.' },
                ],
              ]),
            },
          ],
          [
            'table',
            {
              kind: 'table',
              title: 'This week under the dome',
              note: 'Doors close when the lights go down. Late guests are led in after the prologue.',
              columns: collectionOf([
                ['programme', 'Programme'],
                ['begins', 'Begins'],
                ['minutes', 'Minutes'],
              ]),
              rows: collectionOf([
                ['one', { programme: 'The moons of the big four', begins: '18:30', minutes: '45' }],
                ['two', { programme: 'A comet comes back', begins: '20:00', minutes: '50' }],
                ['three', { programme: 'Night without lamps', begins: '21:15', minutes: '70' }],
                [
                  'four',
                  { programme: 'Small stars for small people', begins: '15:11', minutes: '30' },
                ],
              ]),
            },
          ],
          [
            'cards',
            {
              kind: 'cards',
              title: 'For whom the dome turns',
              cards: collectionOf([
                [
                  'schools',
                  {
                    title: 'School mornings',
                    icon: 'school',
                    text: 'Five programmes for ages six to sixteen, with work sheets to print.',
                    link: 'Dates for schools',
                  },
                ],
                [
                  'quiet',
                  {
                    title: 'Quiet evenings',
                    icon: 'quiet',
                    text: 'Half the seats, soft sound, no sudden light: every second Tuesday.',
                    link: 'The next quiet evening',
                  },
                ],
              ]),
            },
          ],
          [
            'form',
            {
              kind: 'form',
              title: 'Book a seat',
              fields: collectionOf([
                ['name', 'Name'],
                ['evening', 'Evening'],
              ]),
              hint: 'The date on the programme',
              submit: 'Book',
            },
          ],
          ['artwork', { kind: 'artwork' }],
          [
            'story',
            {
              kind: 'story',
              link: 'All programmes',
              title: 'Built by people who could not sleep',
              opening: 'In the beginning there was a shed and a borrowed lens.',
              text: 'Eleven neighbors ground the first mirror in a kitchen, and the hill was chosen because the bus still stops there after midnight. Today forty volunteers keep the projectors, the coffee and the star charts in order.',
              aside: 'The kestrel nests above the ticket window every May.',
            },
          ],
        ),
        ...kestrelPages(),
      ]),
      pattern: 'stars',
      artwork: {
        name: 'dome at night',
        svg: DOME,
        fills: {
          '#171530': 'text',
          '#4b3f8f': 'action',
          '#c8f04a': 'accent',
          '#d9d4ef': 'line',
        },
        locked: false,
      },
      footer: 'Kestrel Hill Planetarium. The last bus leaves at 00:12.',
    },
    accepted: {
      ...start.accepted,
      'italic:heading': { reason: 'Headings here are never emphasized word by word.' },
    },
  };
}
