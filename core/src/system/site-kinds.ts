import { listed } from '../proof/sections/kind.ts';
import { collectionOf } from './collection.ts';
import type { Content, PageSection, SitePage } from './document.ts';

type Sections = readonly (readonly [id: string, section: PageSection])[];

const page = (id: string, name: string, ...sections: Sections): readonly [string, SitePage] => [
  id,
  { name, sections: collectionOf(sections) },
];

const opening = (
  title: string,
  lead: string,
  primary: string,
  secondary: string,
): readonly [string, PageSection] => ['hero', { kind: 'opening', title, lead, primary, secondary }];

const contact = (text: string): readonly [string, PageSection] => [
  'contact',
  {
    kind: 'contact',
    title: 'How to reach us',
    text,
    ways: listed(
      { sign: 'Write', words: 'hello@example.com' },
      { sign: 'Call', words: '555 0142' },
    ),
    places: collectionOf<string>([]),
  },
];

const call = (title: string, text: string, action: string): readonly [string, PageSection] => [
  'call',
  { kind: 'call', title, text, action },
];

/** A kind of site: what its pages begin with. All words are there to be changed. */
export interface SiteKind {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  readonly pages: (name: string) => readonly (readonly [id: string, page: SitePage])[];
}

/** The kinds of sites that a system begins with; a new one is an entry here. */
export const SITE_KINDS = [
  {
    id: 'venue',
    name: 'A place to visit',
    says: 'a cinema, a museum, a pool: program, prices, way',
    pages: (name) => [
      page(
        'home',
        'Home',
        opening(
          name,
          'Say what is on, for whom, and why this evening.',
          'See the program',
          'Plan a visit',
        ),
        [
          'notice',
          { kind: 'notice', title: 'Closed on Monday.', text: 'Open again on Tuesday at two.' },
        ],
        [
          'cards',
          {
            kind: 'cards',
            title: 'This week',
            cards: listed(
              { title: 'The first thing', text: 'What it is, and when.', link: 'Seats' },
              { title: 'The second thing', text: 'What it is, and when.', link: 'Seats' },
              { title: 'The third thing', text: 'What it is, and when.', link: 'Seats' },
            ),
          },
        ],
        call('Bring somebody', 'Two seats cost less than twice one.', 'See the prices'),
      ),
      page(
        'program',
        'Program',
        opening('Program', 'What is on, day by day.', 'Book a seat', 'Prices'),
        [
          'table',
          {
            kind: 'table',
            title: 'Today',
            note: 'Doors close when it begins.',
            columns: collectionOf([
              ['what', 'What'],
              ['begins', 'Begins'],
              ['minutes', 'Minutes'],
            ]),
            rows: listed(
              { what: 'The early one', begins: '15:30', minutes: '70' },
              { what: 'The evening one', begins: '18:15', minutes: '95' },
              { what: 'The late one', begins: '21:00', minutes: '110' },
            ),
          },
        ],
      ),
      page(
        'prices',
        'Prices',
        opening('Prices', 'One price, everything in it.', 'Book a seat', 'Groups'),
        [
          'table',
          {
            kind: 'table',
            title: 'A seat costs',
            note: 'Under six comes free.',
            columns: collectionOf([
              ['who', 'Who'],
              ['price', 'Price'],
            ]),
            rows: listed({ who: 'Adult', price: '9.50' }, { who: 'Child', price: '5.00' }),
          },
        ],
        [
          'questions',
          {
            kind: 'questions',
            title: 'What people ask',
            items: listed(
              { question: 'May I change the day?', answer: 'Until an hour before it begins.' },
              { question: 'Is there a lift?', answer: 'At the side entrance; ring and we open.' },
            ),
          },
        ],
      ),
      page(
        'visit',
        'Visit',
        opening('Your way here', 'On foot, by bus, by boat.', 'Open the map', 'Opening hours'),
        contact('The box office is staffed from two.'),
      ),
    ],
  },
  {
    id: 'maker',
    name: 'A shop or a workshop',
    says: 'what you make, how it is made, where it is sold',
    pages: (name) => [
      page(
        'home',
        'Home',
        opening(
          name,
          'Say what you make, and what it is good for.',
          'See everything',
          'How it is made',
        ),
        [
          'cards',
          {
            kind: 'cards',
            title: 'New',
            cards: listed(
              {
                title: 'The first one',
                text: 'What it is made of, and what it costs.',
                link: 'Look closer',
              },
              {
                title: 'The second one',
                text: 'What it is made of, and what it costs.',
                link: 'Look closer',
              },
              {
                title: 'The third one',
                text: 'What it is made of, and what it costs.',
                link: 'Look closer',
              },
            ),
          },
        ],
        [
          'voices',
          {
            kind: 'testimonials',
            title: 'What people say',
            voices: listed({ text: 'It has outlived two of the other kind.', who: 'A neighbor' }),
          },
        ],
      ),
      page(
        'making',
        'How it is made',
        opening('How it is made', 'By hand, in small numbers.', 'Visit us', 'Materials'),
        [
          'steps',
          {
            kind: 'steps',
            title: 'Step by step',
            steps: listed(
              { title: 'Choose', text: 'The material decides the shape.' },
              { title: 'Make', text: 'Slowly, and twice if need be.' },
              { title: 'Finish', text: 'Until nothing catches the hand.' },
            ),
          },
        ],
      ),
      page(
        'contact',
        'Contact',
        opening('Come by', 'Ring twice; we may be at work.', 'Open the map', 'Write'),
        contact('Tuesday to Saturday, nine to five.'),
      ),
    ],
  },
  {
    id: 'service',
    name: 'A company or an office',
    says: 'what you do, for whom, who you are',
    pages: (name) => [
      page(
        'home',
        'Home',
        opening(name, 'Say what you do, and for whom.', 'Get in touch', 'What we do'),
        [
          'points',
          {
            kind: 'points',
            title: 'What speaks for it',
            points: listed(
              { title: 'Near', text: 'Ten minutes from the station.' },
              { title: 'Clear', text: 'One price, said beforehand.' },
              { title: 'Quick', text: 'An answer on the same day.' },
            ),
          },
        ],
        call('Tell us about it', 'The first hour costs nothing.', 'Choose a day'),
      ),
      page(
        'services',
        'What we do',
        opening('What we do', 'Three things, done well.', 'Get in touch', 'Prices'),
        [
          'steps',
          {
            kind: 'steps',
            title: 'How it goes',
            steps: listed(
              { title: 'We listen', text: 'An hour, at your place or ours.' },
              { title: 'We propose', text: 'On two pages, with a price.' },
              { title: 'We do it', text: 'And say what comes next.' },
            ),
          },
        ],
      ),
      page('contact', 'Contact', opening('Contact', 'Somebody answers.', 'Write', 'Call'), [
        'form',
        {
          kind: 'form',
          title: 'Write to us',
          fields: listed('Your name', 'Your address'),
          hint: 'as you like to be called',
          submit: 'Send',
        },
      ]),
    ],
  },
  {
    id: 'journal',
    name: 'A journal or a blog',
    says: 'articles, one after the other',
    pages: (name) => [
      page(
        'home',
        'Home',
        opening(name, 'Say what is written here, and how often.', 'Read the newest', 'All of it'),
        [
          'cards',
          {
            kind: 'cards',
            title: 'Newest',
            cards: listed(
              { title: 'A first piece', text: 'What it says, in a sentence.', link: 'Read it' },
              { title: 'A second piece', text: 'What it says, in a sentence.', link: 'Read it' },
            ),
          },
        ],
      ),
      page(
        'article',
        'An article',
        opening('A first piece', 'What it says, in a sentence.', 'Read on', 'All of it'),
        [
          'article',
          {
            kind: 'article',
            title: '',
            lead: '',
            parts: listed(
              {
                is: 'paragraph' as const,
                text: 'Running text is what most people read: judge the face, its size and its lines here.',
              },
              { is: 'heading' as const, level: 3, text: 'A part of it' },
              { is: 'quote' as const, text: 'A sentence that stays.', source: 'Who said it' },
              { is: 'bullets' as const, lines: listed('One thing', 'Another thing') },
              { is: 'footnote' as const, text: 'Where it comes from.' },
            ),
          },
        ],
      ),
    ],
  },
] as const satisfies readonly SiteKind[];

export type SiteKindId = (typeof SITE_KINDS)[number]['id'];

/** The content that a site of a kind begins with: its pages, and links to them. */
export function contentOf(kind: SiteKindId, name: string): Pick<Content, 'nav' | 'pages'> {
  const own: SiteKind | undefined = SITE_KINDS.find(({ id }) => id === kind);
  const pages = own?.pages(name) ?? [];
  return {
    pages: collectionOf(pages),
    nav: collectionOf(
      pages
        .slice(1)
        .map(([id, { name: words }]): readonly [string, { words: string }] => [id, { words }]),
    ),
  };
}
