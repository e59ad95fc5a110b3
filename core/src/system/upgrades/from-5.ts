import type { Json } from '../json.ts';
import type { Operation } from '../patch.ts';
import { isRaw, ordered, type Raw, type UpgradeStep } from './upgrade-step.ts';

const HOME = '/content/pages/items/home/sections/items';

/** Where the parts of the one page went, the longest places first. */
const MOVED: readonly (readonly [from: string, to: string])[] = [
  ['/content/heroVeil', `${HOME}/hero/veil`],
  ['/content/alerts', `${HOME}/alerts/messages`],
  ...['hero', 'notice', 'table', 'prices', 'cards', 'form', 'story', 'questions'].map(
    (part) => [`/content/${part}`, `${HOME}/${part}`] as const,
  ),
];

const movedPath = (path: string): string => {
  for (const [from, to] of MOVED)
    if (path === from || path.startsWith(`${from}/`)) return `${to}${path.slice(from.length)}`;
  return path;
};

/** The kind of the section that a part became. */
const KIND: Readonly<Record<string, string>> = {
  hero: 'opening',
  notice: 'notice',
  table: 'table',
  prices: 'table',
  cards: 'cards',
  form: 'form',
  story: 'story',
  questions: 'questions',
};

const linkOf = (link: unknown): unknown => (typeof link === 'string' ? { words: link } : link);

const linksOf = (nav: unknown): unknown =>
  isRaw(nav) && isRaw(nav['items'])
    ? {
        ...nav,
        items: Object.fromEntries(
          Object.entries(nav['items']).map(([id, link]) => [id, linkOf(link)]),
        ),
      }
    : nav;

/** One page became pages of sections; what was on it is the home page, in the order in which it stood. */
function pagesOf(content: Raw): Raw {
  const {
    hero,
    heroVeil,
    notice,
    alerts,
    table,
    prices,
    cards,
    form,
    story,
    questions,
    nav,
    ...site
  } = content;
  const of = (id: string, words: unknown, more: Raw = {}): (readonly [string, unknown])[] =>
    isRaw(words) ? [[id, { kind: KIND[id], ...words, ...more }]] : [];
  const secondary = isRaw(hero) ? hero['secondary'] : undefined;
  return {
    ...site,
    nav: linksOf(nav),
    pages: ordered([
      [
        'home',
        {
          name: 'Home',
          sections: ordered([
            ...of('hero', hero, heroVeil === undefined ? {} : { veil: heroVeil }),
            ...of('notice', notice),
            ...(isRaw(alerts) ? [['alerts', { kind: 'alerts', messages: alerts }] as const] : []),
            ...of('table', table),
            ...of('prices', prices),
            ...of('cards', cards),
            ...of('form', form),
            ['artwork', { kind: 'artwork' }],
            ...of('story', story, typeof secondary === 'string' ? { link: secondary } : {}),
            ...of('questions', questions),
          ]),
        },
      ],
    ]),
  };
}

/** The value of a change at the place of a whole part, as the section has it. */
function movedValue(path: string, value: Json): Json {
  const whole = /^\/content\/(\w+)$/.exec(path)?.[1];
  if (whole !== undefined && Object.hasOwn(KIND, whole) && isRaw(value))
    return { kind: KIND[whole] ?? '', ...value };
  if (path === '/content/nav') return linksOf(value) as Json;
  if (/^\/content\/nav\/items\/[^/]+$/.test(path)) return linkOf(value) as Json;
  return value;
}

export const from5: UpgradeStep = {
  document: (document) => {
    const { content } = document;
    // What has pages already is as it is to be.
    return isRaw(content) && !Object.hasOwn(content, 'pages')
      ? { ...document, content: pagesOf(content) }
      : document;
  },
  operation: (operation): Operation =>
    operation.op === 'remove'
      ? { ...operation, path: movedPath(operation.path) }
      : {
          ...operation,
          path: movedPath(operation.path),
          value: movedValue(operation.path, operation.value),
        },
};
