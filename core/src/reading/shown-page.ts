import { parse, serialize, type DefaultTreeAdapterTypes } from 'parse5';
import type { AtRule } from 'postcss';
import safeParse from 'postcss-safe-parser';
import { asShown, findingAssets } from './assets.ts';
import { textOfBytes } from './encoding.ts';
import type { Asset } from './saved-page.ts';
import { sheltered, shelteredStyle } from './sheltered.ts';
import { elementsIn, isHtml } from './sheets-in.ts';

/** A page as it can be shown without asking for anything. */
export interface ShownPage {
  readonly file: string;
  readonly title: string;
  /** Without what acts and what asks for anything; it is cleaned once more where it is shown. */
  readonly html: string;
  /** Its style sheets in their order, nothing in them asked for any more. */
  readonly sheets: readonly string[];
  /** What it asks for and what is not among the files. */
  readonly missing: readonly string[];
}

type Element = DefaultTreeAdapterTypes.Element;

/** What acts or asks; sheets are told by themselves. Source: HTML, embedded content, scripting and metadata. */
export const LEFT_OUT = [
  ...['script', 'style', 'link', 'meta', 'base', 'template', 'noscript'],
  ...['iframe', 'frame', 'frameset', 'object', 'embed', 'audio', 'source', 'track', 'portal'],
];
const IS_LEFT_OUT: ReadonlySet<string> = new Set(LEFT_OUT);

/** Attributes in which an address of a picture stands, by element. */
const PICTURES: Readonly<Record<string, readonly string[]>> = {
  img: ['src'],
  input: ['src'],
  video: ['poster'],
  image: ['href', 'xlink:href'],
};
/** Attributes that ask for something else. */
const ASKING =
  /^(?:on.*|srcset|imagesrcset|sizes|background|ping|action|formaction|cite|longdesc|data|src|poster|href|xlink:href|srcdoc|manifest|codebase|autoplay|autofocus|target|download|http-equiv)$/i;

/** An attribute by the name that it is written with. */
const written = ({ name, prefix }: Element['attrs'][number]): string =>
  prefix === undefined || prefix === '' ? name : `${prefix}:${name}`;

/** Lets go of everything in an element by which it would act or ask; what came with the page is put in its place. */
function settle(
  element: Element,
  shown: (address: string) => string | undefined,
  missing: Set<string>,
): void {
  const { tagName } = element;
  const own = Object.hasOwn(PICTURES, tagName) ? (PICTURES[tagName] ?? []) : [];
  const attrs: Element['attrs'] = [];
  for (const attribute of element.attrs) {
    const name = written(attribute);
    const { value } = attribute;
    if (name === 'style') {
      const safe = shelteredStyle(value, shown);
      for (const address of safe.missing) missing.add(address);
      attrs.push({ ...attribute, value: safe.css });
    } else if (own.includes(name)) {
      const found = /^data:image\//i.test(value) ? value : shown(value);
      if (found !== undefined) attrs.push({ ...attribute, value: found });
      else if (value.trim() !== '') missing.add(value);
    } else if (name === 'href' && (tagName === 'a' || tagName === 'area')) {
      // It stays a link for the sheet, and leads nowhere.
      attrs.push({ ...attribute, value: '#' });
    } else if (!ASKING.test(name) || (/href$/.test(name) && value.startsWith('#')))
      attrs.push(attribute);
  }
  element.attrs = attrs;
  if ('childNodes' in element)
    element.childNodes = element.childNodes.filter(
      (node) => !('tagName' in node && IS_LEFT_OUT.has(node.tagName)),
    );
}

/** Browsers stop at 512 elements that stand in each other; nobody builds half as many. */
const DEEPEST_ELEMENT = 400;

/** Cuts off what stands deeper than that. @returns whether anything did */
function cutAt(tree: DefaultTreeAdapterTypes.Document): boolean {
  let isCut = false;
  const waiting: [node: DefaultTreeAdapterTypes.ParentNode, depth: number][] = [[tree, 0]];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const [node, depth] = next;
    if (depth < DEEPEST_ELEMENT) {
      for (const child of node.childNodes)
        if ('childNodes' in child) waiting.push([child, depth + 1]);
    } else if (node.childNodes.some((child) => 'tagName' in child)) {
      isCut = true;
      node.childNodes = node.childNodes.filter((child) => !('tagName' in child));
    }
  }
  return isCut;
}

/** Sheets that import others deeper than this are left out. */
const DEEPEST_IMPORT = 8;

/** A sheet within an at-rule. */
const under = (css: string, around: string): string => `${around} {\n${css}\n}`;

const plain = (text: string): string => text.replaceAll(/[{};]/g, ' ').trim();

/** The at-rule that `media` is; none where it asks for nothing. */
const asMedia = (media: string): readonly string[] =>
  media.trim() === '' || /^all$/i.test(media.trim()) ? [] : [`@media ${plain(media)}`];

const SUPPORTS = /^supports\(((?:[^()]|\((?:[^()]|\([^()]*\))*\))*)\)/i;

/** The sheets that a sheet imports, with what is said of each. Source: CSS Cascade 5, 2. */
function importsOf(
  css: string,
): readonly { readonly address: string; readonly around: readonly string[] }[] {
  if (!css.includes('@import')) return [];
  const found: { address: string; around: readonly string[] }[] = [];
  safeParse(css).walkAtRules(/^import$/i, (rule: AtRule) => {
    const [, inUrl, quoted, media = ''] =
      /^(?:url\(\s*["']?([^"')]*)["']?\s*\)|["']([^"']*)["'])\s*([^]*)$/i.exec(rule.params) ?? [];
    const address = inUrl ?? quoted;
    if (address === undefined) return;
    const [whole, name] = /^layer(?:\(([^()]*)\))?(?=\s|$)/i.exec(media.trim()) ?? [];
    const rest = whole === undefined ? media.trim() : media.trim().slice(whole.length).trim();
    const [asked, condition = ''] = SUPPORTS.exec(rest) ?? [];
    const isBare = /^[\w-]+\s*:/.test(condition);
    found.push({
      address,
      // The innermost first.
      around: [
        ...(whole === undefined ? [] : [`@layer ${plain(name ?? '')}`.trim()]),
        ...asMedia(asked === undefined ? rest : rest.slice(asked.length)),
        ...(asked === undefined
          ? []
          : [`@supports ${isBare ? `(${plain(condition)})` : plain(condition)}`]),
      ],
    });
  });
  return found;
}

/**
 * Pages as they can be shown: with the sheets and pictures that came with them, and nothing from anywhere else.
 * @param assets all files that came together, pages among them
 */
export function shownPages(assets: readonly Asset[]): readonly ShownPage[] {
  const find = findingAssets(assets);
  const text = (asset: Asset): string => textOfBytes(asset.bytes) ?? '';
  const data = new Map<Asset, string | undefined>();
  const held = (asset: Asset | undefined): string | undefined => {
    if (!asset) return undefined;
    if (!data.has(asset)) data.set(asset, asShown(asset));
    return data.get(asset);
  };
  return assets
    .filter(({ name }) => isHtml({ file: name }))
    .map((page) => {
      const missing = new Set<string>();
      const sheets: string[] = [];
      const show =
        (from: Asset) =>
        (address: string): string | undefined =>
          held(find(address, from));
      /** What stands around it, the outermost last. */
      const take = (css: string, from: Asset, around: readonly string[], depth = 0): void => {
        for (const one of importsOf(css)) {
          const asset = find(one.address, from);
          if (asset && depth < DEEPEST_IMPORT)
            take(text(asset), asset, [...one.around, ...around], depth + 1);
          else missing.add(one.address);
        }
        const safe = sheltered(css, show(from));
        sheets.push(around.reduce(under, safe.css));
        for (const address of safe.missing) missing.add(address);
      };
      let title = '';
      const tree = parse(text(page));
      const elements = elementsIn(tree);
      for (const { tagName, attrs, childNodes } of elements) {
        const of = (name: string): string | undefined =>
          attrs.find((one) => one.name === name)?.value;
        const words = (): string =>
          childNodes.map((node) => ('value' in node ? node.value : '')).join('');
        if (tagName === 'title' && title === '') title = words().trim();
        else if (tagName === 'style') take(words(), page, asMedia(of('media') ?? ''));
        else if (tagName === 'link') {
          const href = of('href');
          const rel = (of('rel') ?? '').toLowerCase().split(/\s+/);
          if (!rel.includes('stylesheet') || rel.includes('alternate') || href === undefined)
            continue;
          const asset = find(href, page);
          if (asset) take(text(asset), asset, asMedia(of('media') ?? ''));
          else missing.add(href);
        } else if (/^(?:script|iframe|frame|object|embed|audio|track)$/.test(tagName)) {
          const address = of('src') ?? of('data');
          if (address !== undefined) missing.add(address);
        }
      }
      for (const element of elements) settle(element, show(page), missing);
      if (cutAt(tree)) missing.add(`what stands in more than ${DEEPEST_ELEMENT} others`);
      return { file: page.name, title, html: serialize(tree), sheets, missing: [...missing] };
    });
}
