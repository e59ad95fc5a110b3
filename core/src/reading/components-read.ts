import type { ReadSheet } from './read-sheet.ts';

/** A state that a component can be in, as rules tell it. */
export const READ_STATES = ['hover', 'focus', 'pressed', 'current', 'off', 'wrong'] as const;
export type ReadState = (typeof READ_STATES)[number];

/** How a state is told in selectors. Sources: Selectors 4, 9 and 11; WAI-ARIA 1.2, states. */
const STATES: Readonly<Record<ReadState, RegExp>> = {
  hover: /:hover\b/i,
  focus: /:focus(?:-visible|-within)?\b/i,
  pressed: /:active\b|\[aria-pressed/i,
  current:
    /:(?:checked|target)\b|\[aria-(?:current|selected|checked|expanded)|\[open\]|\.(?:is-)?(?:active|current|selected|open)(?![\w-])/i,
  off: /:disabled\b|\[disabled\]|\[aria-disabled|\.(?:is-)?disabled(?![\w-])/i,
  wrong: /:(?:user-)?invalid\b|\[aria-invalid|\.(?:is-|has-)?(?:invalid|error|danger)(?![\w-])/i,
};

/** Components by what their selectors are called, or are; and the states that each is to have. Common practice. */
const KINDS = [
  [
    'button',
    /(?:^|[\s>+~,(])(?:button|input\[type=["']?(?:submit|button)["']?\])(?![\w-])|\.(?:[\w-]*-)?(?:btn|button|cta)(?![a-z])/i,
    ['hover', 'focus', 'pressed', 'off'],
  ],
  [
    'field',
    /(?:^|[\s>+~,(])(?:input|select|textarea)(?![\w-])|\.(?:[\w-]*-)?(?:input|field|form-control)(?![a-z])/i,
    ['focus', 'off', 'wrong'],
  ],
  ['link', /(?:^|[\s>+~,(])a(?![\w-])/i, ['hover', 'focus']],
  ['card', /\.(?:[\w-]*-)?(?:card|panel|tile)(?![a-z])/i, []],
  [
    'navigation',
    /(?:^|[\s>+~,(])nav(?![\w-])|\.(?:[\w-]*-)?(?:nav|navbar|menu)(?![a-z])/i,
    ['hover', 'focus', 'current'],
  ],
] as const satisfies readonly (readonly [string, RegExp, readonly ReadState[]])[];

/** A component that some sheets speak of. */
export interface ReadComponent {
  readonly name: (typeof KINDS)[number][0];
  /** How many rules are about it. */
  readonly rules: number;
  /** Its variants: classes of it that more than one rule is about, the most frequent first. */
  readonly variants: readonly string[];
  readonly states: readonly ReadState[];
  /** States that such a component is to have, and that no rule speaks of. */
  readonly missing: readonly ReadState[];
}

const WITHOUT_STATES = /::?[\w-]+(?:\([^()]*\))?|\[[^\]]*\]/g;

/** The components that some sheets speak of, with their variants and states, by what their selectors are and are called. */
export function componentsRead(sheets: readonly ReadSheet[]): readonly ReadComponent[] {
  const selectors = [
    ...new Set(
      sheets.flatMap(({ declarations }) =>
        declarations.flatMap(({ selector, within }) =>
          within.some((one) => /^@(?:media\s+print|keyframes)/i.test(one))
            ? []
            : selector.split(/,(?![^(]*\))/).map((one) => one.trim()),
        ),
      ),
    ),
  ];
  return KINDS.flatMap(([name, about, wanted]): readonly ReadComponent[] => {
    // What a rule is about stands last in its selector.
    const own = selectors.filter((selector) => about.test(lastOf(selector)));
    if (own.length === 0) return [];
    const counts = new Map<string, number>();
    for (const selector of own)
      for (const variant of new Set(
        lastOf(selector)
          .replaceAll(WITHOUT_STATES, '')
          .match(/\.[\w-]+/g) ?? [],
      ))
        counts.set(variant, (counts.get(variant) ?? 0) + 1);
    const states = READ_STATES.filter((state) => own.some((one) => STATES[state].test(one)));
    return [
      {
        name,
        rules: own.length,
        variants: [...counts]
          .filter(
            ([variant, count]) =>
              count > 1 && !READ_STATES.some((one) => STATES[one].test(variant)),
          )
          .toSorted(([, one], [, other]) => other - one)
          .map(([variant]) => variant),
        states,
        missing: wanted.filter((state) => !states.includes(state)),
      },
    ];
  });
}

/** The last part of a selector: what it is about. */
const lastOf = (selector: string): string =>
  selector
    .replaceAll(/\([^()]*\)/g, '')
    .split(/[\s>+~]+/)
    .at(-1) ?? selector;
