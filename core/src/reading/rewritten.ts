import postcss, { type AtRule, type ChildNode, type Root, type Rule } from 'postcss';
import { parseTransparentColor } from '../color/parse-color.ts';
import { seeded } from '../seeded.ts';
import { partsOfDeclaration } from './values.ts';
import { filling } from './variables.ts';

/** How what was exported is written anew: as somebody might have built it by hand. */
export interface Rewriting {
  readonly seed: string;
  /** Each length of a space or a text size is moved by so many px at most. */
  readonly noisePx?: number;
  /** Each color is moved by such a share of each channel at most, 0 to 1. */
  readonly noiseColor?: number;
}

/** Names that say nothing. */
const SYLLABLES = ['ba', 'do', 'ki', 'lu', 'me', 'no', 'ra', 'su', 'ta', 've'];

const IS_ROOT = /^:root$/;
const CLASS = /\.([A-Za-z_][\w-]*)/g;

/** The custom properties of the root that stand in an at-rule, or in none. */
function definedIn(root: Root, within: string | undefined): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  const read = (node: ChildNode): void => {
    if (node.type === 'rule' && IS_ROOT.test(node.selector))
      node.walkDecls(/^--/, ({ prop, value }) => {
        found.set(prop, value);
      });
  };
  for (const node of root.nodes)
    if (within === undefined) read(node);
    else if (node.type === 'atrule' && node.params === within) node.nodes?.forEach(read);
  return found;
}

/** Whether an at-rule asks for the width of the screen, and nothing else. */
const asksWidth = (node: ChildNode): node is AtRule =>
  node.type === 'atrule' &&
  node.name === 'media' &&
  /width/.test(node.params) &&
  !/gamut|scheme|motion|hover/.test(node.params);

/**
 * A sheet and pages that were exported, for tests: every value written out, the classes renamed without sense, the rules
 * of different things in another order, and noise added to lengths and colors.
 */
export function rewritten(
  css: string,
  pages: readonly string[],
  { seed, noisePx = 0, noiseColor = 0 }: Rewriting,
): {
  readonly css: string;
  readonly pages: readonly string[];
  readonly nameOf: (name: string) => string;
} {
  const random = seeded(seed);
  const source = postcss.parse(css);
  const base = definedIn(source, undefined);
  const widths = [...new Set(source.nodes.filter(asksWidth).map(({ params }) => params))];
  const fill = filling((name) => base.get(name));
  const fillAt = widths.map((params) => {
    const own = definedIn(source, params);
    return [params, filling((name) => own.get(name) ?? base.get(name))] as const;
  });
  const names = new Map<string, string>();
  const nameOf = (name: string): string => {
    const known = names.get(name);
    if (known !== undefined) return known;
    let made: string;
    do
      made = Array.from(
        { length: 3 },
        () => SYLLABLES[Math.floor(random() * SYLLABLES.length)] ?? '',
      ).join('');
    while ([...names.values()].includes(made));
    names.set(name, made);
    return made;
  };
  // All names are made first, so that what is asked for by a part of a name can be told.
  for (const [, name = ''] of css.replaceAll(/\{[^{}]*\}/g, '{}').matchAll(CLASS)) nameOf(name);
  for (const page of pages)
    for (const [, list = ''] of page.matchAll(/\sclass="([^"]*)"/g))
      for (const name of list.split(/\s+/).filter(Boolean)) nameOf(name);
  const renamed = (selector: string): string =>
    selector
      .replaceAll(CLASS, (_, name: string) => `.${nameOf(name)}`)
      .replaceAll(
        /\[class\*="([^"]*)"\]/g,
        (_, part: string) =>
          `:is(${[...names.keys()]
            .filter((name) => name.includes(part))
            .map((name) => `.${nameOf(name)}`)
            .join(', ')})`,
      );
  const moved = (): number => (random() * 2 - 1) * noisePx;
  /** A declaration with noise in its lengths and its colors. */
  const noisy = (property: string, value: string): string => {
    if (noisePx === 0 && noiseColor === 0) return value;
    let text = value;
    for (const part of partsOfDeclaration({ property, value }).toReversed()) {
      let now = part.text;
      if (part.kind === 'color') {
        const read = parseTransparentColor(part.text);
        if (read.ok && noiseColor > 0) {
          const channels = [1, 3, 5].map((at) => {
            const channel = Number.parseInt(read.hex.slice(at, at + 2), 16);
            return Math.round(
              Math.min(255, Math.max(0, channel + (random() * 2 - 1) * noiseColor * 255)),
            );
          });
          now = `rgb(${channels.join(' ')} / ${read.alpha})`;
        }
      } else if ((part.kind === 'space' || part.kind === 'size') && noisePx > 0) {
        const length = /^([\d.]+)(px|rem)$/.exec(part.text);
        if (length) {
          const px = Number(length[1]) * (length[2] === 'rem' ? 16 : 1);
          if (px > 2) now = `${Math.round((px + moved()) * 100) / 100}px`;
        } else if (/^[a-z]+\(/i.test(part.text))
          now = `calc(${part.text} + ${moved().toFixed(2)}px)`;
      }
      text = text.slice(0, part.from) + now + text.slice(part.to);
    }
    return text;
  };
  /** The groups of rules that stay in order: of one selector, whatever they stand in. */
  const groups = new Map<string, string[]>();
  const put = (selector: string, within: readonly string[], declarations: string): void => {
    if (declarations === '') return;
    const rule = `${selector} { ${declarations} }`;
    const key = selector.replaceAll(/::?[\w-]+(?:\([^)]*\))?/g, '').trim();
    const list = groups.get(key) ?? [];
    groups.set(key, list);
    list.push(within.reduceRight((inner, one) => `${one} { ${inner} }`, rule));
  };
  const write = (rule: Rule, within: readonly string[]): void => {
    if (/^:root/.test(rule.selector) || rule.selector === '@font-face') return;
    const said: string[] = [];
    const later = new Map<string, string[]>();
    rule.walkDecls(({ prop, value }) => {
      const now = fill(value);
      if (now === undefined) return;
      const noise = noisy(prop, now);
      said.push(`${prop}: ${noise}`);
      for (const [params, fillThere] of fillAt) {
        const there = fillThere(value);
        if (there !== undefined && there !== now)
          later.set(params, [...(later.get(params) ?? []), `${prop}: ${there}`]);
      }
    });
    put(renamed(rule.selector), within, said.join('; '));
    for (const [params, own] of later)
      put(renamed(rule.selector), [`@media ${params}`, ...within], own.join('; '));
  };
  const walk = (nodes: readonly ChildNode[], within: readonly string[]): void => {
    for (const node of nodes)
      if (node.type === 'rule') write(node, within);
      else if (
        node.type === 'atrule' &&
        node.nodes &&
        !/^(?:font-face|property|keyframes)$/.test(node.name)
      ) {
        // The other theme and other screens are said by what the root has, which is written out.
        if (/color-gamut|prefers-color-scheme/.test(node.params)) continue;
        walk(node.nodes, [...within, `@${node.name} ${node.params}`]);
      }
  };
  walk(source.nodes, []);
  const shuffled = [...groups.values()]
    .map((list) => [list, random()] as const)
    .toSorted(([, one], [, other]) => one - other)
    .flatMap(([list]) => list);
  return {
    css: shuffled.join('\n'),
    pages: pages.map((page) =>
      page.replaceAll(
        /\sclass="([^"]*)"/g,
        (_, list: string) => ` class="${list.split(/\s+/).filter(Boolean).map(nameOf).join(' ')}"`,
      ),
    ),
    nameOf,
  };
}
