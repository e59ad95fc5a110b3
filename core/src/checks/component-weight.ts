import { oklabDistance, oklabOf } from '../color/oklab.ts';
import { isHex, rgbOf } from '../color/srgb.ts';
import { isOf, nameOf, partsOf } from '../derive/components.ts';
import type { Derived } from '../derive/derived.ts';
import type { Manner } from '../system/component-schema.ts';
import { MODES, type Mode } from '../system/document.ts';
import { checkOf, type Finding, type Repair } from './finding.ts';

/** Actions that stand beside each other: what is to draw more, and what is to draw less. */
const NEIGHBORS = [
  ['button', 'quiet-button'],
  ['button', 'plain-button'],
  ['danger-button', 'quiet-button'],
] as const;

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
export function weightOf(of: string, { manner, tokenById, page, mode }: Weighed): number {
  const apart = (property: string, from: string): number => {
    const part = partsOf(of).find(
      (one) => one.property === property && one.state === undefined && isOf(one, manner),
    );
    const css = part && tokenById.get(nameOf(part))?.values[mode].css;
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

/** What departs of two neighbors follows their manner again. */
function repairOf(
  pair: readonly string[],
  departures: Readonly<Record<string, string>>,
): Repair | undefined {
  const names = Object.keys(departures).filter((name) =>
    pair.some((of) => name.startsWith(`${of}.`)),
  );
  return names.length === 0
    ? undefined
    : {
        label: `Let ${names.join(' and ')} follow again`,
        patch: names.map((name) => ({ op: 'remove', path: `/components/departures/${name}` })),
        before: names.map((name) => departures[name] ?? '').join(', '),
        after: 'as their manner',
      };
}

/** Of two neighboring actions the one that matters more draws more, in every theme. */
export const componentWeightCheck = checkOf(
  ['components'],
  ['tokenById', 'colors', 'themes'],
  ({ components: { manner, departures } }, { tokenById, colors }) =>
    NEIGHBORS.flatMap(([main, second]) =>
      MODES.flatMap((mode): Finding[] => {
        const page = colors.get('page')?.colors[mode];
        if (page === undefined) return [];
        const [one, other] = [main, second].map((of) =>
          weightOf(of, { manner, tokenById, page, mode }),
        );
        if (one === undefined || other === undefined || other === 0 || one > other) return [];
        const repair = repairOf([main, second], departures);
        return [
          {
            id: `weight:${main}:${second}:${mode}`,
            severity: 'look',
            area: 'components',
            decision: `/components/departures/${main}.background`,
            title: `${second} draws as much as ${main} in ${mode}`,
            figures: `${other.toFixed(3)} against ${one.toFixed(3)}: distance from the page in OKLab, by the share that is covered`,
            reason: 'Of two actions beside each other one sees first what draws more.',
            source: 'common practice',
            where: { selector: `.${second}`, mode },
            ...(repair && { repair }),
          },
        ];
      }),
    ),
);
