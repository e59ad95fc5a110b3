import { oklabDistance, oklabOf } from '../color/oklab.ts';
import { isHex, rgbOf } from '../color/srgb.ts';
import { isOf, nameOf, partsOf } from '../derive/components.ts';
import type { Derived } from '../derive/derived.ts';
import type { Manner } from '../system/component-schema.ts';
import { ownVariantsOf, type OwnVariant } from '../derive/own-variants.ts';
import type { Mode } from '../system/document.ts';
import { modesOf } from '../system/themes.ts';
import { checkOf, type Finding, type Repair } from './finding.ts';

/** Actions that stand beside each other: what is to draw more, and what is to draw less. */
export const NEIGHBORS = [
  ['button', 'quiet-button'],
  ['button', 'plain-button'],
  ['danger-button', 'quiet-button'],
  ['danger-button', 'plain-button'],
] as const;

/** What a button is or follows: of a component, or a variant of one’s own with what it takes by itself. */
interface Actor {
  readonly of: string;
  readonly slug: string;
  readonly own?: OwnVariant;
}

/** A component, and behind it the variants of one’s own that follow it. */
const actorsOf = (of: string, variants: readonly OwnVariant[]): readonly Actor[] => [
  { of, slug: of },
  ...variants.filter((own) => own.of === of).map((own) => ({ of, slug: own.slug, own })),
];

/** The share of a control that its edge covers: twice the edge over the usual height, and as much at the sides. */
const EDGE_SHARE = 0.12;
/** The share that its words cover. */
const WORDS_SHARE = 0.15;

interface Weighed {
  readonly manner: Manner;
  readonly tokenById: Derived['tokenById'];
  readonly page: string;
  readonly mode: Mode;
}

/**
 * How much a control draws at rest: how far its ground, its edge and its words are from the page in OKLab, each by
 * the share that it covers. 0 for nothing but the page. Common practice.
 */
export function weightOf(
  { of, slug }: Omit<Actor, 'own'>,
  { manner, tokenById, page, mode }: Weighed,
): number {
  const apart = (property: string, from: string): number => {
    const part = partsOf(of).find(
      (one) => one.property === property && one.state === undefined && isOf(one, manner),
    );
    const css =
      part &&
      (tokenById.get(`${slug}.${part.part}`) ?? tokenById.get(nameOf(part)))?.values[mode].css;
    return css !== undefined && isHex(css) && isHex(from)
      ? oklabDistance(oklabOf(rgbOf(css)), oklabOf(rgbOf(from)))
      : 0;
  };
  return (
    apart('background-color', page) +
    EDGE_SHARE * apart('border-color', page) +
    WORDS_SHARE * apart('color', page)
  );
}

/** What departs of two neighbors follows their manner again, and what variants of one’s own take what they are copies of. */
function repairOf(
  pair: readonly Actor[],
  departures: Readonly<Record<string, string>>,
): Repair | undefined {
  const departing = Object.keys(departures).filter((name) =>
    pair.some(({ of }) => name.startsWith(`${of}.`)),
  );
  const taken = pair.flatMap(({ own }) =>
    own === undefined
      ? []
      : Object.entries(own.takes).map(([part, value]) => ({
          name: `${own.slug}.${part}`,
          path: `/components/variants/items/${own.id}/takes/${part}`,
          value,
        })),
  );
  const all = [
    ...departing.map((name) => ({
      name,
      path: `/components/departures/${name}`,
      value: departures[name] ?? '',
    })),
    ...taken,
  ];
  return all.length === 0
    ? undefined
    : {
        label: `Let ${all.map(({ name }) => name).join(' and ')} follow again`,
        patch: all.map(({ path }) => ({ op: 'remove', path })),
        before: all.map(({ value }) => value).join(', '),
        after: 'as their manner',
      };
}

export const componentWeightCheck = checkOf(
  ['components'],
  ['tokenById', 'colors', 'themes'],
  ({ components: { manner, departures, variants } }, { tokenById, colors, themes }) => {
    const ownOnes = ownVariantsOf({ variants });
    const pairs = NEIGHBORS.flatMap(([main, second]) =>
      actorsOf(main, ownOnes).flatMap((one) =>
        actorsOf(second, ownOnes).map((other) => [one, other] as const),
      ),
    );
    return pairs.flatMap(([first, other]) => {
      const [main, second] = [first.slug, other.slug];
      return modesOf(themes).flatMap((mode): Finding[] => {
        const page = colors.get('page')?.colors[mode];
        if (page === undefined) return [];
        const [one, rest] = [first, other].map((actor) =>
          weightOf(actor, { manner, tokenById, page, mode }),
        );
        if (one === undefined || rest === undefined || rest === 0 || one > rest) return [];
        const repair = repairOf([first, other], departures);
        return [
          {
            id: `weight:${main}:${second}:${mode}`,
            severity: 'look',
            area: 'components',
            decision: first.own
              ? `/components/variants/items/${first.own.id}`
              : `/components/departures/${main}.background`,
            title: `${second} draws as much as ${main} in ${mode}`,
            figures: `${rest.toFixed(3)} against ${one.toFixed(3)}: distance from the page in OKLab, by the share that is covered`,
            reason: 'Of two actions beside each other one sees first what draws more.',
            source: 'common practice',
            where: { selector: `.${second}`, mode },
            ...(repair && { repair }),
          },
        ];
      });
    });
  },
);
