import type { ProofElement, ProofNode } from '@garnish/core/proof/node';
import { sitePage } from '@garnish/core/proof/site';
import { hexOf, type Hex } from '@garnish/core/color/srgb';
import { veilSlugs } from '@garnish/core/derive/color/veil';
import { MODES, type Mode } from '@garnish/core/system/document';
import type { View } from '../system/views.ts';
import { inHiddenPage } from './hidden-page.ts';
import { breathe } from '../ui/in-breaths.ts';

/** Where a text stands in a frame, as shares of it. */
export interface TextBox {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The same with its color in each theme. */
export interface InkedBox extends TextBox {
  readonly inks: Readonly<Record<Mode, Hex>>;
}

/** The frame of the picture at one width of the screen, with the texts over it. */
export interface PictureFrame<Box extends TextBox = TextBox> {
  readonly screenPx: number;
  readonly width: number;
  readonly height: number;
  readonly boxes: readonly Box[];
}

/** A picture on a page with words over it, at every width. */
export interface PictureOnPage {
  readonly page: string;
  /** Its veil, by id. */
  readonly veil: string;
  /** What the picture is on the page. */
  readonly role: 'opening' | 'background';
  readonly selector: string;
  readonly frames: readonly PictureFrame<InkedBox>[];
}

/** The lines of a text, not the box around them. */
function linesOf(element: Element): DOMRect | undefined {
  const range = element.ownerDocument.createRange();
  range.selectNodeContents(element);
  const box = range.getBoundingClientRect();
  return box.width > 0 && box.height > 0 ? box : undefined;
}

/** The texts over a picture: those of the opening, and what its quiet button says. */
const textsOver = (
  picture: Element,
  { derived: { styles } }: View,
): readonly { readonly text: string; readonly element: Element }[] => [
  ...[...styles.values()].flatMap(({ id, slug }) =>
    [...picture.querySelectorAll(`.hero-words > .type-${slug}`)].map((element) => ({
      text: id,
      element,
    })),
  ),
  ...[...picture.querySelectorAll('.hero-words .quiet-button')].map((element) => ({
    text: 'label',
    element: element.querySelector('[class*="type-"]') ?? element,
  })),
];

const hexOfCss = (css: string): Hex | undefined => {
  const [red, green, blue] = (/^rgba?\(([\d.]+), ([\d.]+), ([\d.]+)/.exec(css) ?? []).slice(1);
  return red === undefined
    ? undefined
    : hexOf([Number(red) / 255, Number(green) / 255, Number(blue) / 255]);
};

/** The color of each element in a theme, as the browser computes it. */
function inksIn(page: Document, elements: readonly Element[], mode: Mode): readonly Hex[] {
  page.documentElement.dataset['theme'] = mode;
  for (const moving of page.getAnimations()) moving.finish();
  return elements.map(
    (element) => hexOfCss(page.defaultView?.getComputedStyle(element).color ?? '') ?? '#000000',
  );
}

const hasPicture = (node: ProofNode): boolean =>
  typeof node !== 'string' &&
  (node.attributes['class']?.split(' ').includes('over-picture') === true ||
    node.children.some(hasPicture));

/** A page with nothing but its words over pictures, each in all that it stands in; nothing where it has none. */
function picturesAlone(node: ProofElement): ProofElement | undefined {
  if (!hasPicture(node)) return undefined;
  const names = node.attributes['class']?.split(' ') ?? [];
  if (names.includes('over-picture')) return node;
  return {
    ...node,
    children: node.children.flatMap((child) =>
      typeof child === 'string' ? [] : (picturesAlone(child) ?? []),
    ),
  };
}

/**
 * Where words stand over pictures on some pages at each width, and in which colors, as the browser lays them out in a
 * frame that nobody sees; an element that has no picture under it is none.
 */
export async function measureOver(
  view: View,
  widths: readonly number[],
  pages: readonly string[],
  isOff: () => boolean = () => false,
): Promise<readonly PictureOnPage[]> {
  const slugOf = veilSlugs(view.document.color.veils);
  const idOf = new Map([...slugOf].map(([id, slug]) => [`over-${slug}`, id]));
  const found = new Map<
    string,
    {
      readonly on: Omit<PictureOnPage, 'frames'>;
      readonly inks: readonly (readonly Hex[])[];
      readonly frames: PictureFrame<InkedBox>[];
    }
  >();
  for (const id of pages) {
    // Others may measure between two pages.
    await inHiddenPage(async (hidden) => {
      const { document: page } = hidden;
      if (isOff()) return;
      const alone = picturesAlone(sitePage(view.document, view.derived, id));
      if (!alone) return;
      hidden.showNode(view, alone);
      const before = page.documentElement.dataset['theme'];
      for (const screenPx of widths) {
        await hidden.resize(screenPx);
        await breathe();
        if (isOff()) break;
        [...page.querySelectorAll('.over-picture')].forEach((picture, index) => {
          const name = [...picture.classList].find((one) => idOf.has(one));
          const veil = name === undefined ? undefined : idOf.get(name);
          if (name === undefined || veil === undefined) return;
          const around = picture.getBoundingClientRect();
          const texts = textsOver(picture, view);
          const elements = texts.map(({ element }) => element);
          const key = `${id} ${index}`;
          // Colors are the same at every width.
          const own = found.get(key) ?? {
            on: {
              page: id,
              veil,
              role: picture.classList.contains('picture-band') ? 'background' : 'opening',
              selector: `.${name}`,
            },
            inks: MODES.map((mode) => inksIn(page, elements, mode)),
            frames: [],
          };
          const boxes = texts.flatMap(({ text, element }, at): InkedBox[] => {
            const box = linesOf(element);
            if (!box) return [];
            const [light = '#000000', dark = '#000000'] = own.inks.map((all) => all[at]);
            return [
              {
                text,
                x: (box.left - around.left) / around.width,
                y: (box.top - around.top) / around.height,
                width: box.width / around.width,
                height: box.height / around.height,
                inks: { light, dark },
              },
            ];
          });
          own.frames.push({ screenPx, width: around.width, height: around.height, boxes });
          found.set(key, own);
        });
      }
      if (before === undefined) delete page.documentElement.dataset['theme'];
      else page.documentElement.dataset['theme'] = before;
    });
    if (isOff()) return [];
  }
  return [...found.values()].map(({ on, frames }) => ({ ...on, frames }));
}

/** The frames of a picture with words over it on a page; nothing where it has none there. */
export async function measureHero(
  view: View,
  widths: readonly number[],
  onPage: string,
  ofVeil: string,
): Promise<readonly PictureFrame[]> {
  const all = await measureOver(view, widths, [onPage]);
  return all.find(({ veil }) => veil === ofVeil)?.frames ?? [];
}
