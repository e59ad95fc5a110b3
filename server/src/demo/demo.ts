import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { adding } from '@garnish/core/system/collection';
import { ASKED } from '@garnish/core/notes/note-schema';
import { FIRST_RELEASE } from '@garnish/core/releases/numbers';
import type { StyleDocument } from '@garnish/core/system/document';
import { patched, type Patch } from '@garnish/core/system/patch';
import { validate } from '@garnish/core/system/validate';
import type { Pictures } from '../pictures/pictures.ts';
import type { Links } from '../guests/links.ts';
import { DEMO_CHANNEL } from '../messages/receiver.ts';
import type { Messages } from '../messages/store.ts';
import type { Notes } from '../notes/store.ts';
import type { Releases } from '../releases/store.ts';
import type { Store } from '../systems/store.ts';
import { brackwater } from './brackwater.ts';
import { portraitFiles } from './portraits.ts';
import { kestrel } from './kestrel.ts';
import { tallow } from './tallow.ts';

/** The systems that a first start shows; all made up. */
export const demoSystems = () => [brackwater(), kestrel(), tallow()];

/** The same, checked as everything else is. */
const checked = (document: StyleDocument): StyleDocument => {
  const result = validate(document);
  if (!result.ok)
    throw new Error(`the demo “${document.name}” is not valid: ${JSON.stringify(result.problems)}`);
  return result.document;
};

/** What was decided between the two releases of the ferries, the last one last. */
const SINCE_FIRST: readonly { readonly label: string; readonly patch: Patch }[] = [
  {
    label: 'buoy #b5391a',
    patch: [{ op: 'replace', path: '/color/sources/items/buoy/value', value: '#b5391a' }],
  },
  {
    label: 'soft corner 4 px',
    patch: [{ op: 'replace', path: '/shape/radii/items/soft/px', value: 4 }],
  },
  {
    label: 'opacity faint',
    patch: adding('/shape/opacities', { order: ['veiled'], items: {} }, 'faint', {
      name: 'faint',
      value: 0.4,
    }),
  },
];

/** How the ferries were when they were released first. */
function firstBrackwater(): StyleDocument {
  const { veiled } = brackwater().shape.opacities.items;
  const result = patched(checked(brackwater()), [
    { op: 'replace', path: '/color/sources/items/buoy/value', value: '#a8432a' },
    { op: 'replace', path: '/shape/radii/items/soft/px', value: 6 },
    {
      op: 'replace',
      path: '/shape/opacities',
      value: { order: ['veiled'], items: { ...(veiled && { veiled }) } },
    },
  ]);
  if (!result.ok)
    throw new Error(`the demo has no first release: ${JSON.stringify(result.problems)}`);
  return result.document;
}

/** Two releases of the ferries, with what was decided between them. */
async function releaseBrackwater(store: Store, releases: Releases): Promise<string> {
  const author = randomUUID();
  const id = await store.create(firstBrackwater());
  await releases.make(id, {
    number: FIRST_RELEASE,
    words: 'The first one: home, timetable, booking and the notice.',
    base: 0,
    author,
  });
  const window = randomUUID();
  for (const [base, { label, patch }] of SINCE_FIRST.entries())
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
  await releases.make(id, {
    number: '1.1.0',
    words: 'A red that reads at dusk, tighter corners, and an opacity for what is only hinted at.',
    base: SINCE_FIRST.length,
    author,
  });
  return id;
}

/** A channel that is told, what was asked of a card and of the client, and links for whoever asks. */
async function handBrackwaterOver(
  id: string,
  { links, notes, messages }: Pick<DemoHandoff, 'links' | 'notes' | 'messages'>,
): Promise<void> {
  const { pages } = brackwater().content;
  const [home = ''] = pages.order;
  const [key, section] =
    Object.entries(pages.items[home]?.sections.items ?? {}).find(
      ([, { kind }]) => kind === 'cards',
    ) ?? [];
  const [card] = section?.kind === 'cards' ? section.cards.order : [];
  if (key === undefined || card === undefined) throw new Error('the demo has no card');
  await messages.add(id, DEMO_CHANNEL);
  await links.make(id, { label: 'for whoever builds it', mayWrite: true });
  await links.make(id, { label: 'the ferry people', forClient: true });
  await links.make(id, { label: 'the harbor office', release: '1.1.0', pages: [home] });
  const asked = randomUUID();
  await notes.add(id, {
    ...{ id: asked, author: randomUUID(), writer: 'Whoever builds it', kind: 'question' },
    words: 'Does the whole card lead on, or only its link?',
    page: home,
    pin: {
      at: `/content/pages/items/${home}/sections/items/${key}/cards/items/${card}/title`,
      ...{ up: 1, down: [], name: 'card' },
    },
  });
  await notes.add(id, {
    ...{ id: randomUUID(), author: randomUUID(), writer: 'the designer', answers: asked },
    words: 'Only the link: some cards have none.',
  });
  const tone = randomUUID();
  await notes.add(id, {
    ...{ id: tone, author: randomUUID(), writer: 'the designer', kind: ASKED },
    words: 'Is this the tone?',
    page: home,
    pin: { at: `/content/pages/items/${home}`, up: 0, down: [], name: 'the page' },
  });
  await notes.add(id, {
    ...{ id: randomUUID(), author: randomUUID(), writer: 'The ferry people', answers: tone },
    words: 'Not yet. It may be a little warmer.',
  });
}

/** What the demo has beside its systems. */
export interface DemoHandoff {
  readonly releases: Releases;
  readonly links: Links;
  readonly notes: Notes;
  readonly messages: Messages;
}

/** Loads the demo, through the same checks as everything else; with what was handed over of it where that is wanted. */
export async function loadDemo(
  store: Store,
  pictures: Pictures,
  handoff?: DemoHandoff,
): Promise<void> {
  await pictures.keep(readFileSync(new URL('./estuary.webp', import.meta.url)));
  for (const bytes of portraitFiles()) await pictures.keep(bytes);
  for (const [index, document] of demoSystems().entries()) {
    if (index === 0 && handoff)
      await handBrackwaterOver(await releaseBrackwater(store, handoff.releases), handoff);
    else await store.create(checked(document));
  }
}
