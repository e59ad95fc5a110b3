import type { Derived } from '../derive/derived.ts';
import { breakpointSlugs } from '../derive/space/space.ts';
import { inOrder, type StyleDocument } from '../system/document.ts';
import { inAscii, plainTokens, type PlainToken } from './plain-tokens.ts';

/** How a token is called among the theme variables of Tailwind CSS 4, by the group it stands in. Source: its documentation, theme variable namespaces. */
const NAMESPACES: Readonly<Record<string, string>> = {
  color: 'color',
  palette: 'color-palette',
  corner: 'radius',
  easing: 'ease',
  face: 'font',
  radius: 'radius',
  shadow: 'shadow',
  space: 'spacing',
  step: 'spacing',
  width: 'container',
};

/** What a text style sets beside its size. */
const BESIDE_SIZE: Readonly<Record<string, string>> = {
  'line-height': 'line-height',
  'letter-spacing': 'letter-spacing',
  weight: 'font-weight',
};

const ROOT_PX = 16;

function variablesOf({ path, name, tier }: PlainToken): readonly (readonly [string, string])[] {
  const [group = '', ...rest] = path.map(inAscii);
  const value = `var(--${name})`;
  if (group === 'type' && rest.length === 2) {
    const [role = '', part = ''] = rest;
    if (part === 'size') return [[`--text-${role}`, value]];
    const beside = BESIDE_SIZE[part];
    return beside === undefined ? [] : [[`--text-${role}--${beside}`, value]];
  }
  const namespace = Object.hasOwn(NAMESPACES, group) ? NAMESPACES[group] : undefined;
  return tier === 'component' || namespace === undefined || rest.length === 0
    ? []
    : [[`--${namespace}-${rest.join('-')}`, value]];
}

/**
 * The theme block for Tailwind CSS 4: its classes (`bg-page`, `text-h1`, `p-m`, `rounded-card`) take the custom
 * properties of `tokens.css`, whatever theme is shown; so that one stands before it. Of two tokens that would have one
 * name the first has it. `reference` keeps it from
 * declaring what `tokens.css` declares. Breakpoints stand in rem, because a media query knows no custom property.
 */
export function writeThemeBlock(document: StyleDocument, derived: Derived): string {
  const { tokens } = plainTokens(document, derived);
  const slugOf = breakpointSlugs(document.layout);
  const own = new Map<string, string>();
  const all = [
    ...inOrder(document.layout.breakpoints).map(
      ([id, { width }]) =>
        [`--breakpoint-${inAscii(slugOf.get(id) ?? id)}`, `${width / ROOT_PX}rem`] as const,
    ),
    ...tokens.flatMap(variablesOf),
  ];
  for (const [name, value] of all) if (!own.has(name)) own.set(name, value);
  return [
    '/* Load tokens.css first, then this. */',
    '@theme inline reference {',
    ...[...own].map(([name, value]) => `  ${name}: ${value};`),
    '}',
    '',
  ].join('\n');
}
