import type { IconDrawing } from '../icons/drawing.ts';
import type { IconMeasures } from '../icons/measure.ts';
import { OWN_SIGNS, signDrawing, type SignUse } from '../icons/own-signs.ts';
import { once } from '../once.ts';
import { kindOf } from '../proof/sections/kinds.ts';
import { allSections } from '../proof/texts.ts';
import { plainName } from '../tokens/token.ts';
import { inOrder, type StyleDocument } from './document.ts';
import { adding, removing } from './collection.ts';
import { jsonOf } from './json.ts';
import type { Patch } from './patch.ts';
import type { NamedIcon } from './icon-schema.ts';

/** An icon as the site has it. */
export interface SystemIcon {
  readonly id: string;
  /** What its class ends with. */
  readonly slug: string;
  readonly name: string;
  readonly drawing: IconDrawing;
  readonly measures: IconMeasures;
  /** What is decided of it alone; nothing of a sign of our own that nobody swapped. */
  readonly decided: NamedIcon | undefined;
  /** The component that draws it by itself. */
  readonly of?: string | undefined;
}

const OWN: ReadonlyMap<string, SignUse> = new Map(OWN_SIGNS.map((sign) => [sign.id, sign]));

/** A sign of our own by its id. */
export const ownSign = (id: string): SignUse | undefined => OWN.get(id);

/** The icons that the words of pages stand beside, by id, each once. */
export const iconsOnPages = once((content: StyleDocument['content']): readonly string[] => {
  const found = new Set<string>();
  for (const { own } of allSections(content)) {
    const { signed } = kindOf(own.kind);
    const part: unknown = signed && (own as Readonly<Record<string, unknown>>)[signed.of];
    if (typeof part !== 'object' || part === null || !('items' in part)) continue;
    for (const { icon } of Object.values(part.items as Record<string, { readonly icon?: string }>))
      if (icon !== undefined) found.add(icon);
  }
  return [...found];
});

/**
 * The icons of a site in their order: the named ones, and the signs of our own that components or pages show. A named
 * icon with the id of a sign stands for it everywhere. A class is called as the sign it stands for, or by the name.
 */
export function systemIcons(
  { named }: StyleDocument['icons'],
  onPages: readonly string[],
): ReadonlyMap<string, SystemIcon> {
  const all = new Map<string, SystemIcon>();
  const taken = new Set(OWN.keys());
  for (const [id, decided] of inOrder(named)) {
    const plain = plainName(decided.name);
    let slug = OWN.has(id) ? id : plain;
    for (let number = 2; !OWN.has(id) && taken.has(slug); number += 1) slug = `${plain}-${number}`;
    taken.add(slug);
    const { name, drawing, measures } = decided;
    all.set(id, { id, slug, name, drawing, measures, decided, of: OWN.get(id)?.of });
  }
  for (const sign of OWN_SIGNS)
    if (!all.has(sign.id) && (sign.of !== undefined || onPages.includes(sign.id)))
      all.set(sign.id, {
        id: sign.id,
        slug: sign.id,
        name: sign.name,
        drawing: signDrawing(sign),
        measures: sign.measures,
        decided: undefined,
        of: sign.of,
      });
  return all;
}

/** Names an icon, or swaps the drawing of one: what else was decided of it stays. */
export function namingIcon(
  { icons: { named } }: StyleDocument,
  id: string,
  {
    name,
    drawing,
    measures,
    from,
  }: Pick<NamedIcon, 'drawing' | 'measures' | 'from'> & {
    readonly name: string;
  },
): Patch {
  const there = named.items[id];
  const { from: _before, ...kept } = there ?? {};
  const icon = { name, ...kept, drawing, measures, ...(from && { from }) };
  return there
    ? [{ op: 'replace', path: `/icons/named/items/${id}`, value: jsonOf(icon) }]
    : adding('/icons/named', named, id, icon);
}

/** Takes a named icon out; where it stood for a sign of ours, that is drawn again. */
export const lettingIconGo = ({ icons: { named } }: StyleDocument, id: string): Patch =>
  removing('/icons/named', named, id);
