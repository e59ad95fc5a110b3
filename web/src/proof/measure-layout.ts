import { breathe } from '../ui/in-breaths.ts';
import type { MeasuredBox, MeasuredPage, Sides } from '@garnish/core/checks/page/measured-page';

/** So many elements are read before the page may answer to its keys again. */
const SLICE = 150;
const WORDS = 28;

const TARGETS = 'a[href], button, input, select, textarea, summary, [role="button"]';

const number = (css: string): number => {
  const value = Number.parseFloat(css);
  return Number.isFinite(value) ? value : 0;
};

const sides = (style: CSSStyleDeclaration, property: 'padding' | 'margin'): Sides =>
  property === 'padding'
    ? [
        number(style.paddingTop),
        number(style.paddingRight),
        number(style.paddingBottom),
        number(style.paddingLeft),
      ]
    : [
        number(style.marginTop),
        number(style.marginRight),
        number(style.marginBottom),
        number(style.marginLeft),
      ];

/** The words that an element has itself, and how much room their lines take. */
function ownWords(element: Element): { text: string; width: number; height: number } {
  const nodes = [...element.childNodes].filter(
    (node) => node.nodeType === 3 && (node.textContent ?? '').trim() !== '',
  );
  if (nodes.length === 0) return { text: '', width: 0, height: 0 };
  const range = element.ownerDocument.createRange();
  range.selectNodeContents(element);
  const { width, height } = range.getBoundingClientRect();
  const text = nodes.map((node) => (node.textContent ?? '').trim()).join(' ');
  return { text: text.slice(0, WORDS), width, height };
}

/** Whether a ground of its own is seen, which that around it does not have. */
const hasGround = ({ backgroundColor, backgroundImage }: CSSStyleDeclaration): boolean =>
  backgroundImage !== 'none' || !/^rgba?\(0, 0, 0, 0\)$|^transparent$/.test(backgroundColor);

/** The picture that an element shows, by the name of its file and its own size. */
function pictureOf(element: HTMLElement): Pick<MeasuredBox, 'picture'> {
  const [, file] = /\/proof\/pictures\/([^/]+)$/.exec(element.getAttribute('src') ?? '') ?? [];
  if (file === undefined) return {};
  const own = (name: string): number => number(element.getAttribute(name) ?? '');
  return { picture: { file, width: own('width'), height: own('height') } };
}

function boxOf(
  element: HTMLElement,
  { parent, child }: Pick<MeasuredBox, 'parent' | 'child'>,
  scrollY: number,
  style: CSSStyleDeclaration,
): MeasuredBox {
  const rect = element.getBoundingClientRect();
  const words = ownWords(element);
  const border: Sides = [
    number(style.borderTopWidth),
    number(style.borderRightWidth),
    number(style.borderBottomWidth),
    number(style.borderLeftWidth),
  ];
  return {
    parent,
    child,
    tag: element.localName,
    classes: [...element.classList],
    display: style.display,
    left: rect.left,
    top: rect.top + scrollY,
    width: rect.width,
    height: rect.height,
    padding: sides(style, 'padding'),
    margin: sides(style, 'margin'),
    border,
    rowGap: number(style.rowGap),
    columnGap: number(style.columnGap),
    fontPx: number(style.fontSize),
    text: words.text,
    textWidth: words.width,
    textHeight: words.height,
    overflowPx: words.text === '' ? 0 : Math.max(0, element.scrollWidth - element.clientWidth),
    isTarget: element.matches(TARGETS),
    isSeen: parent >= 0 && (hasGround(style) || border.some((width) => width > 0)),
    scrolls: /auto|scroll/.test(style.overflowX),
    isOut: /absolute|fixed/.test(style.position),
    ...pictureOf(element),
  };
}

function* boxesOf(page: Document): Generator<MeasuredBox> {
  const view = page.defaultView;
  const site = page.querySelector<HTMLElement>('.site');
  if (!view || !site) return;
  const indexes = new Map<Element, number>();
  const counts = new Map<Element | null, number>();
  for (const element of [site, ...site.querySelectorAll<HTMLElement>('*')]) {
    const child = (counts.get(element.parentElement) ?? 0) + 1;
    counts.set(element.parentElement, child);
    // What is inside a drawing is the drawing's own.
    if (element.parentElement?.closest('svg')) continue;
    const style = view.getComputedStyle(element);
    if (style.display === 'none') continue;
    const parent = element === site ? -1 : (indexes.get(element.parentElement ?? site) ?? -1);
    if (parent < 0 && element !== site) continue;
    indexes.set(element, indexes.size);
    yield boxOf(element, { parent, child }, view.scrollY, style);
  }
}

const pageOf = (page: Document, boxes: readonly MeasuredBox[]): MeasuredPage => ({
  widthPx: page.documentElement.clientWidth,
  heightPx: page.documentElement.scrollHeight,
  rootPx: number(page.defaultView?.getComputedStyle(page.documentElement).fontSize ?? '16px'),
  boxes,
});

/** The page as it is laid out now, at once: for what is drawn over it. */
export const layoutNow = (page: Document): MeasuredPage => pageOf(page, [...boxesOf(page)]);

/** The same in slices, between which the window answers; nothing where it was called off. */
export async function measureLayout(
  page: Document,
  isOff: () => boolean,
): Promise<MeasuredPage | undefined> {
  const boxes: MeasuredBox[] = [];
  for (const box of boxesOf(page)) {
    boxes.push(box);
    if (boxes.length % SLICE !== 0) continue;
    await breathe();
    if (isOff()) return undefined;
  }
  return pageOf(page, boxes);
}
