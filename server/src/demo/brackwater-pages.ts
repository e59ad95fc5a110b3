import { portrait } from './portraits.ts';
import type { PageSection, SitePage, StyleDocument } from '@garnish/core/system/document';
import { collectionOf } from '@garnish/core/system/collection';
import { page } from './decide.ts';

type Row = Readonly<Record<string, string>>;

const table = (
  title: string,
  note: string,
  columns: readonly (readonly [id: string, name: string])[],
  rows: readonly (readonly string[])[],
): PageSection => ({
  kind: 'table',
  title,
  note,
  columns: collectionOf(columns),
  rows: collectionOf(
    rows.map((cells, at): readonly [string, Row] => [
      `row-${at + 1}`,
      Object.fromEntries(columns.map(([id], column) => [id, cells[column] ?? ''])),
    ]),
  ),
});

const list = <Item>(...items: readonly Item[]) =>
  collectionOf(items.map((item, at) => [`item-${at + 1}`, item] as const));

const TIMES = [
  ['leaves', 'Leaves'],
  ['arrives', 'Arrives'],
  ['days', 'Days'],
  ['boat', 'Boat'],
] as const;

/** What stands on several pages of the ferries’ site, and is the same on each. */
export const brackwaterParts = (): NonNullable<StyleDocument['content']['parts']> =>
  collectionOf([
    [
      'telephone',
      {
        name: 'By telephone',
        sections: collectionOf([
          [
            'call',
            {
              kind: 'call',
              title: 'Rather by telephone?',
              text: 'The quay office answers from six in the morning.',
              action: 'Call the office',
              veil: 'water',
              wears: { button: 'by-phone' },
            },
          ],
        ]),
      },
    ],
  ]);

/** What the ferries’ site has beside its home page. */
export const brackwaterPages = (): readonly (readonly [string, SitePage])[] => [
  page(
    'timetable',
    'Timetable',
    [
      'hero',
      {
        kind: 'opening',
        title: 'Every crossing, both ways',
        lead: 'Times hold from March to October. The tide moves some of them by a few minutes; those are marked.',
        primary: 'Book a crossing',
        secondary: 'Print the timetable',
      },
    ],
    [
      'out',
      table(
        'From Oxney Quay to Saltmere',
        'At low water the crossing takes four minutes more.',
        TIMES,
        [
          ['06:40', '07:02', 'Monday to Friday', 'Tern'],
          ['08:10', '08:32', 'every day', 'Tern'],
          ['11:15', '11:41', 'every day', 'Turnstone'],
          ['15:40', '16:02', 'every day', 'Tern'],
          ['18:30', '18:52', 'every day', 'Turnstone'],
          ['19:15', '19:37', 'Friday, Saturday', 'Tern'],
        ],
      ),
    ],
    [
      'back',
      table(
        'From Saltmere to Oxney Quay',
        'The last boat waits for the train from the coast.',
        TIMES,
        [
          ['07:15', '07:37', 'Monday to Friday', 'Tern'],
          ['09:00', '09:22', 'every day', 'Tern'],
          ['12:10', '12:36', 'every day', 'Turnstone'],
          ['16:30', '16:52', 'every day', 'Tern'],
          ['19:50', '20:12', 'every day', 'Turnstone'],
        ],
      ),
    ],
    [
      'words',
      {
        kind: 'article',
        title: 'How to read it',
        lead: 'Three things make a minute move: the tide, the channel, and the train.',
        parts: list(
          { is: 'heading' as const, level: 3, text: 'The tide' },
          {
            is: 'paragraph' as const,
            text: 'At high water the boat goes straight over the flats. At low water it keeps to the channel, which is longer by half a mile.',
          },
          { is: 'heading' as const, level: 4, text: 'Spring tides' },
          {
            is: 'bullets' as const,
            lines: list(
              'Boats leave from the upper slip',
              'Cars board last',
              'Allow ten minutes more',
            ),
          },
          {
            is: 'quote' as const,
            text: 'The water keeps its own timetable. We only copy it out.',
            source: 'The tide book, first page',
          },
          { is: 'heading' as const, level: 5, text: 'The channel' },
          {
            is: 'numbers' as const,
            lines: list('Soundings on Monday', 'Buoys on Tuesday', 'New minutes on Wednesday'),
          },
          { is: 'heading' as const, level: 6, text: 'For those who plan by machine' },
          { is: 'code' as const, text: 'Oxney Quay;Saltmere;06:40;07:02;1-5' },
          {
            is: 'footnote' as const,
            text: 'Soundings are published every week on the board at each quay.',
          },
        ),
      },
    ],
    ['call', { kind: 'part', part: 'telephone' }],
  ),
  page(
    'booking',
    'Booking',
    [
      'hero',
      {
        kind: 'opening',
        title: 'Book a space',
        lead: 'On foot you only come aboard. Cars, vans and groups tell us first.',
        primary: 'Choose a crossing',
        secondary: 'Fares',
      },
    ],
    [
      'steps',
      {
        kind: 'steps',
        title: 'How it goes',
        steps: list(
          {
            title: 'Choose a crossing',
            text: 'The day, the quay, the time. Full boats are marked.',
          },
          {
            title: 'Say what comes along',
            text: 'A car, a van under three meters, bicycles, a dog.',
          },
          {
            title: 'Be at the slip',
            text: 'Ten minutes before the boat leaves; the crew waves you on.',
          },
        ),
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
          ['day', 'Day'],
        ]),
        hint: 'As it stands on the car',
        submit: 'Reserve',
      },
    ],
    [
      'points',
      {
        kind: 'points',
        title: 'What the price holds',
        points: list(
          {
            title: 'Changes free',
            text: 'Another day, another boat, until the evening before.',
            icon: 'changes',
          },
          { title: 'No deposit', text: 'You pay aboard, with cards or coins.', icon: 'coins' },
          { title: 'Fog is ours', text: 'If we cannot sail, the night bus is on us.', icon: 'fog' },
        ),
      },
    ],
    [
      'voices',
      {
        kind: 'testimonials',
        title: 'Said on deck',
        voices: list(
          {
            text: 'I have missed trains in my life, but never because of this boat.',
            who: 'A commuter from Saltmere',
            picture: portrait('commuter', 'A woman with long red hair, smiling'),
          },
          {
            text: 'They knew my dog before they knew my name.',
            who: 'A walker',
            picture: portrait('walker', 'A man with a dark beard, smiling'),
          },
        ),
      },
    ],
    ['call', { kind: 'part', part: 'telephone' }],
  ),
  [
    'notice',
    {
      name: 'Notice, English and Norwegian',
      sections: collectionOf<PageSection>([
        [
          'hero',
          {
            kind: 'opening',
            title: 'Lower slip closed until Friday',
            lead: 'Cars board at the upper slip. Times stay as they are.',
            primary: 'Way to the upper slip',
            secondary: 'All notices',
          },
        ],
        [
          'norwegian',
          {
            kind: 'story',
            ground: 'surface',
            title: 'Nedre rampe er stengt til fredag',
            opening: 'Biler kjører om bord ved øvre rampe.',
            text: 'Rutetidene gjelder som før. Regn med ti minutter ekstra ved lavvann, og følg skiltene på kaia.',
            aside: 'Fotgjengere går om bord som vanlig.',
            link: 'Veien til øvre rampe',
          },
        ],
        [
          'alerts',
          {
            kind: 'alerts',
            messages: collectionOf([
              [
                'upper',
                { family: 'success', title: 'Upper slip open', text: 'From six in the morning.' },
              ],
              [
                'lower',
                {
                  family: 'danger',
                  title: 'Lower slip closed',
                  text: 'The ramp is being planked.',
                },
              ],
              [
                'low',
                {
                  family: 'warning',
                  title: 'Low water at noon',
                  text: 'The upper ramp is steep then.',
                },
              ],
            ]),
          },
        ],
        [
          'contact',
          {
            kind: 'contact',
            title: 'If you are not sure',
            text: 'Ask whoever wears yellow, or the office.',
            ways: list(
              { sign: 'Call', words: '555 0142', icon: 'phone' },
              { sign: 'Write', words: 'quay@example.com', icon: 'mail' },
              { sign: 'Come', words: 'Oxney Quay, the blue door', icon: 'place' },
            ),
            places: list('Tide book', 'Notices by mail'),
          },
        ],
      ]),
    },
  ],
];
