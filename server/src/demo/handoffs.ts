import { randomUUID } from 'node:crypto';
import { ASKED, type Pin } from '@garnish/core/notes/note-schema';
import { FIRST_RELEASE } from '@garnish/core/releases/numbers';
import { adding } from '@garnish/core/system/collection';
import type { StyleDocument } from '@garnish/core/system/document';
import type { Patch } from '@garnish/core/system/patch';
import type { LinkChoices, Links } from '../guests/links.ts';
import { DEMO_CHANNEL } from '../messages/receiver.ts';
import type { Messages } from '../messages/store.ts';
import type { NewNote, Notes } from '../notes/store.ts';
import type { Releases } from '../releases/store.ts';
import type { Store } from '../systems/store.ts';
import { brackwater } from './brackwater.ts';
import { kestrel } from './kestrel.ts';
import { tallow } from './tallow.ts';

/** What the demo has beside its systems. */
export interface DemoHandoff {
  readonly releases: Releases;
  readonly links: Links;
  readonly notes: Notes;
  readonly messages: Messages;
}

/** Something that is said of a thing on a page, and what was answered. */
interface Talk {
  readonly kind: 'question' | 'behavior' | 'fault' | typeof ASKED;
  readonly writer: string;
  readonly words: string;
  readonly page: string;
  readonly pin: Pin;
  readonly answer?: Pick<NewNote, 'writer' | 'words'>;
}

/** A system of the demo, and how it was handed over: in two releases, by links, with what was said of it. */
export interface HandedDemo {
  readonly system: () => StyleDocument;
  /** What it was otherwise when it was released first. */
  readonly before: Patch;
  /** What was decided between the two releases, the last one last. */
  readonly since: readonly { readonly label: string; readonly patch: Patch }[];
  readonly releases: readonly [
    first: { readonly number: string; readonly words: string },
    second: { readonly number: string; readonly words: string },
  ];
  readonly links: readonly LinkChoices[];
  readonly talks: readonly Talk[];
  /** Whether a channel of its team is told. */
  readonly isTold: boolean;
}

const DESIGNER = 'the designer';

const replacing = (path: string, value: string | number) =>
  ({ op: 'replace', path, value }) as const;

/** A page as a whole. */
const wholePage = (page: string): Pick<Talk, 'page' | 'pin'> => ({
  page,
  pin: { at: `/content/pages/items/${page}`, up: 0, down: [], name: 'the page' },
});

/** Words of a section, as its place in the document has them. */
const wordsAt = (
  page: string,
  place: string,
  { up = 0, name }: { readonly up?: number; readonly name: string },
): Pick<Talk, 'page' | 'pin'> => ({
  page,
  pin: { at: `/content/pages/items/${page}/sections/items/${place}`, up, down: [], name },
});

function ferries(): HandedDemo {
  const now = brackwater();
  const { veiled } = now.shape.opacities.items;
  const [home = ''] = now.content.pages.order;
  const [key, section] =
    Object.entries(now.content.pages.items[home]?.sections.items ?? {}).find(
      ([, { kind }]) => kind === 'cards',
    ) ?? [];
  const [card] = section?.kind === 'cards' ? section.cards.order : [];
  if (key === undefined || card === undefined) throw new Error('the demo has no card');
  return {
    system: brackwater,
    before: [
      replacing('/color/sources/items/buoy/value', '#a8432a'),
      replacing('/shape/radii/items/soft/px', 6),
      {
        op: 'replace',
        path: '/shape/opacities',
        value: { order: ['veiled'], items: { ...(veiled && { veiled }) } },
      },
    ],
    since: [
      {
        label: 'buoy #b5391a',
        patch: [replacing('/color/sources/items/buoy/value', '#b5391a')],
      },
      { label: 'soft corner 4 px', patch: [replacing('/shape/radii/items/soft/px', 4)] },
      {
        label: 'opacity faint',
        patch: adding('/shape/opacities', { order: ['veiled'], items: {} }, 'faint', {
          name: 'faint',
          value: 0.4,
        }),
      },
    ],
    releases: [
      {
        number: FIRST_RELEASE,
        words: 'The first one: home, timetable, booking and the notice.',
      },
      {
        number: '1.1.0',
        words:
          'A red that reads at dusk, tighter corners, and an opacity for what is only hinted at.',
      },
    ],
    links: [
      { label: 'for whoever builds it', mayWrite: true },
      { label: 'the ferry people', forClient: true },
      { label: 'the harbor office', release: '1.1.0', pages: [home] },
    ],
    talks: [
      {
        kind: 'question',
        writer: 'Whoever builds it',
        words: 'Does the whole card lead on, or only its link?',
        ...wordsAt(home, `${key}/cards/items/${card}/title`, { up: 1, name: 'card' }),
        answer: { writer: DESIGNER, words: 'Only the link: some cards have none.' },
      },
      {
        kind: ASKED,
        writer: DESIGNER,
        words: 'Is this the tone?',
        ...wholePage(home),
        answer: { writer: 'The ferry people', words: 'Not yet. It may be a little warmer.' },
      },
    ],
    isTold: true,
  };
}

const planetarium = (): HandedDemo => ({
  system: kestrel,
  before: [
    replacing('/color/sources/items/comet/value', '#b4d63a'),
    replacing('/shape/radii/items/round/px', 12),
    replacing('/type/roles/items/h1/letterSpacing', -0.015),
  ],
  since: [
    {
      label: 'comet #c8f04a',
      patch: [replacing('/color/sources/items/comet/value', '#c8f04a')],
    },
    { label: 'round corner 16 px', patch: [replacing('/shape/radii/items/round/px', 16)] },
    {
      label: 'letter spacing of h1 -0.03 em',
      patch: [replacing('/type/roles/items/h1/letterSpacing', -0.03)],
    },
  ],
  releases: [
    { number: FIRST_RELEASE, words: 'For the autumn program.' },
    { number: '1.0.1', words: 'A brighter comet, rounder corners, and headings set closer.' },
  ],
  links: [
    { label: 'the builders of the site', mayWrite: true },
    { label: 'the people at the dome', forClient: true },
  ],
  talks: [
    {
      kind: 'behavior',
      writer: 'Whoever builds the site',
      words: 'May the heading break after the second word on a phone?',
      ...wordsAt('evening', 'hero/title', { name: 'words in h1' }),
      answer: { writer: DESIGNER, words: 'Wherever it falls: it is balanced over its lines.' },
    },
    {
      kind: ASKED,
      writer: DESIGNER,
      words: 'Is this dark enough to think of the dome?',
      ...wholePage('evening'),
      answer: { writer: 'The people at the dome', words: 'Yes. One nearly whispers.' },
    },
  ],
  isTold: false,
});

const candles = (): HandedDemo => ({
  system: tallow,
  before: [
    replacing('/color/sources/items/brand/value', '#b8741f'),
    replacing('/space/parts/card.gap/px', 26),
  ],
  since: [
    {
      label: 'beeswax #c9822b',
      patch: [replacing('/color/sources/items/brand/value', '#c9822b')],
    },
    { label: 'gap of a card 22 px', patch: [replacing('/space/parts/card.gap/px', 22)] },
  ],
  releases: [
    { number: '0.1.0', words: 'A first evening’s work, to be looked at and not yet built from.' },
    { number: '0.1.1', words: 'A lighter wax. What is still to repair stands in Review.' },
  ],
  links: [{ label: 'the candle makers', forClient: true }],
  talks: [
    {
      kind: 'fault',
      writer: DESIGNER,
      words: 'Quiet words are too pale on the page: to be repaired before anybody builds it.',
      ...wordsAt('home', 'hero/lead', { name: 'words in lead' }),
    },
    {
      kind: ASKED,
      writer: DESIGNER,
      words: 'Is it warm without being sweet?',
      ...wholePage('home'),
    },
  ],
  isTold: false,
});

/** Every system of the demo with how it is handed over, in their order. */
export const handedDemos = (): readonly HandedDemo[] => [ferries(), planetarium(), candles()];

/**
 * Makes the two releases of a system, with what was decided between them.
 * @param first how it was when it was released first
 * @returns its id
 */
export async function release(
  { since, releases: [one, two] }: HandedDemo,
  first: StyleDocument,
  { store, releases }: { readonly store: Store; readonly releases: Releases },
): Promise<string> {
  const author = randomUUID();
  const id = await store.create(first);
  await releases.make(id, { ...one, base: 0, author });
  const window = randomUUID();
  for (const [base, { label, patch }] of since.entries())
    await store.change(
      id,
      {
        id: randomUUID(),
        base,
        settled: [],
        patch: [...patch],
        label,
        window,
        gesture: randomUUID(),
        kind: 'change',
      },
      author,
    );
  await releases.make(id, { ...two, base: since.length, author });
  return id;
}

/** Makes the links of a system, and writes down what was said of it. */
export async function handOver(
  id: string,
  { links: wanted, talks, isTold }: HandedDemo,
  { links, notes, messages }: Pick<DemoHandoff, 'links' | 'notes' | 'messages'>,
): Promise<void> {
  if (isTold) await messages.add(id, DEMO_CHANNEL);
  for (const choices of wanted) await links.make(id, choices);
  for (const { answer, ...said } of talks) {
    const asked = randomUUID();
    await notes.add(id, { id: asked, author: randomUUID(), ...said });
    if (answer)
      await notes.add(id, { id: randomUUID(), author: randomUUID(), answers: asked, ...answer });
  }
}
