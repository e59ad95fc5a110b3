import type { StyleDocument } from '../../system/document.ts';
import { iconsOnPages, systemIcons } from '../../system/icons.ts';
import { keptMap } from '../../same.ts';
import { roleNames } from '../color/nodes.ts';
import { node } from '../graph.ts';
import { ruleNode, tokenNode } from '../parts.ts';
import { steps } from '../space/nodes.ts';
import { settings } from '../type/nodes.ts';
import { deriveIconRules, deriveIconTokens } from './icons.ts';

const decided = ({ icons }: StyleDocument) => icons;

/** The face that words in controls are set in, as far as icons stand beside it. */
const label = node('icons: face beside them', [settings], (all) => {
  const style = all.get('label') ?? [...all.values()][0];
  if (!style) return undefined;
  const { ascent, descent, capHeight } = style.family.metrics;
  return { name: style.family.name, metrics: { ascent, descent, capHeight } };
});

/** The steps of space that sizes may be multiples of. */
const sizes = node(
  'icons: steps',
  [decided, steps],
  (icons, all): ReadonlyMap<string, { readonly slug: string; readonly px: number }> =>
    new Map(
      Object.values(icons.sizes.items).flatMap(({ step }) => {
        const one = step === undefined ? undefined : all.get(step);
        return one ? [[one.id, { slug: one.slug, px: one.px }] as const] : [];
      }),
    ),
  keptMap,
);

export const iconTokens = tokenNode('icons: tokens', [decided, label, sizes], deriveIconTokens);

const onPages = node('icons: on pages', [({ content }: StyleDocument) => content], iconsOnPages);

/** The icons of the site, by id. */
export const icons = node('icons: all', [decided, onPages], systemIcons, keptMap);

export const iconRules = ruleNode('icons: rules', [icons, decided, roleNames], deriveIconRules);
