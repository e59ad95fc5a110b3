import { portrait } from './portraits.ts';
import type { SitePage } from '@garnish/core/system/document';
import { collectionOf } from '@garnish/core/system/collection';
import { page } from './decide.ts';

const list = <Item>(...items: readonly Item[]) =>
  collectionOf(items.map((item, at) => [`item-${at + 1}`, item] as const));

/** What the planetarium’s site has beside its home page. */
export const kestrelPages = (): readonly (readonly [string, SitePage])[] => [
  page(
    'evening',
    'An evening',
    [
      'hero',
      {
        kind: 'opening',
        title: 'A comet comes back',
        lead: 'It was last here when the hill had no road. Fifty minutes under the dome, then out to the telescopes if the sky holds.',
        primary: 'Book two seats',
        secondary: 'Other evenings',
        isHigh: true,
      },
    ],
    [
      'steps',
      {
        kind: 'steps',
        title: 'The evening, hour by hour',
        steps: list(
          { title: '19:30, the foyer', text: 'Soup, star charts, and somebody to ask.' },
          { title: '20:00, the dome', text: 'Lights go down slowly, so that eyes can follow.' },
          {
            title: '21:00, the roof',
            text: 'Both telescopes, three at a time, blankets by the door.',
          },
        ),
      },
    ],
    [
      'article',
      {
        kind: 'article',
        title: 'What you will see',
        lead: 'A snowball the size of a town, on its way round the sun.',
        parts: list(
          {
            is: 'paragraph' as const,
            text: 'Comets are what was left over when the planets were made. This one takes eighty-one years for a round, and most of them far out in the dark.',
          },
          { is: 'heading' as const, level: 3, text: 'Where to look' },
          {
            is: 'bullets' as const,
            lines: list(
              'Low in the west, an hour after sunset',
              'Two hands above the water tower',
              'Left of the bright one',
            ),
          },
          {
            is: 'quote' as const,
            text: 'I saw it as a girl, from the same hill. It has not aged a day.',
            source: 'A guest of the first row',
          },
          {
            is: 'footnote' as const,
            text: 'Eighty-one years is a mean; the big planets tug at it.',
          },
        ),
      },
    ],
    [
      'voices',
      {
        kind: 'testimonials',
        title: 'After the lights came up',
        voices: list(
          {
            text: 'Nobody spoke on the bus home. All of us looked out of the window.',
            who: 'A class teacher',
            picture: portrait('teacher', 'An old person with gray hair, laughing'),
          },
          {
            text: 'My father held my hand, and he is eighty.',
            who: 'A guest',
            picture: portrait('guest', 'A young person with round glasses'),
          },
        ),
      },
    ],
    [
      'call',
      {
        kind: 'call',
        title: 'Ninety seats, and they lean back',
        text: 'The late bus waits for the last guests.',
        action: 'Book two seats',
      },
    ],
  ),
  page(
    'membership',
    'Membership',
    [
      'hero',
      {
        kind: 'opening',
        title: 'Keep the stars turning',
        lead: 'Members pay for lamps, lenses and the school mornings. They also get in first.',
        primary: 'Become a member',
        secondary: 'What it pays for',
      },
    ],
    [
      'points',
      {
        kind: 'points',
        title: 'What comes with it',
        points: list(
          { title: 'First row', text: 'Booking opens a week early.', icon: 'ticket' },
          { title: 'Roof nights', text: 'Four evenings a year for members alone.', icon: 'roof' },
          {
            title: 'The bulletin',
            text: 'Eight pages on paper, every second month.',
            icon: 'bulletin',
          },
        ),
      },
    ],
    [
      'prices',
      {
        kind: 'table',
        title: 'A year costs',
        note: 'From the day you join. Give what you can: two in ten pay less, three in ten more.',
        columns: collectionOf([
          ['who', 'Who'],
          ['year', 'A year'],
          ['guests', 'Guests'],
        ]),
        rows: list(
          { who: 'One person', year: '48.00', guests: '1' },
          { who: 'Two at one address', year: '72.00', guests: '2' },
          { who: 'Under twenty-six', year: '24.00', guests: '1' },
          { who: 'For life', year: '960.00', guests: '4' },
        ),
      },
    ],
    [
      'questions',
      {
        kind: 'questions',
        title: 'Asked at the ticket window',
        items: list(
          {
            question: 'Can I give it away?',
            answer: 'As a card in an envelope; it begins when it is opened.',
          },
          {
            question: 'What if the sky is never clear?',
            answer: 'The dome is. Roof nights move to the next clear evening.',
          },
        ),
      },
    ],
    [
      'form',
      {
        kind: 'form',
        title: 'Join',
        fields: collectionOf([
          ['name', 'Name'],
          ['address', 'Address'],
        ]),
        hint: 'Where the bulletin goes',
        submit: 'Become a member',
      },
    ],
  ),
];
