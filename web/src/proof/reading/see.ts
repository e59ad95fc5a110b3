import type { Box } from '@garnish/core/measures/geometry';
import { opacityOf, type SeenElement } from '@garnish/core/reading/seen';
import { boxOf, edgeOf, ownWordsOf, pxIn } from '../chosen.ts';

/** So many elements are looked at before others may have their turn. */
const PER_STEP = 40;
/** No more of a page are looked at. */
export const MOST_ELEMENTS = 20_000;

const SIDES = ['top', 'right', 'bottom', 'left'] as const;
const CORNERS = ['top-left', 'top-right', 'bottom-right', 'bottom-left'] as const;
/** What shows nothing of its own. */
const UNSEEN = /^(?:script|style|head|title|meta|link|br|wbr|source|option|optgroup)$/;

/** What lies behind the words of an element, its own ground first. */
function behind(
  element: Element,
  styleOf: (element: Element) => CSSStyleDeclaration,
): Pick<SeenElement, 'grounds' | 'isOverPicture'> {
  const grounds: string[] = [];
  let isOverPicture = false;
  for (let one: Element | null = element; one; one = one.parentElement) {
    const { backgroundColor, backgroundImage } = styleOf(one);
    if (backgroundImage !== 'none') isOverPicture = true;
    const opacity = opacityOf(backgroundColor);
    if (opacity > 0) grounds.push(backgroundColor);
    if (opacity === 1) break;
  }
  return { grounds, isOverPicture };
}

/** Whether a picture that stands elsewhere in the page lies where an element is: words are set over it. */
function isOver(
  element: Element,
  box: Box,
  pictures: readonly (readonly [Element, Box])[],
): boolean {
  const [x, y] = [box.left + box.width / 2, box.top + box.height / 2];
  return pictures.some(
    ([picture, { left, top, width, height }]) =>
      x > left && x < left + width && y > top && y < top + height && !element.contains(picture),
  );
}

/** An element in words: what it is in HTML, and its first class. */
const nameOf = (element: Element): string => {
  const [first] = element.classList;
  return first === undefined ? element.localName : `${element.localName}.${first}`;
};

/** Several values of one property, where they say anything. */
const listOf = (value: string): readonly string[] =>
  (value.match(/(?:[^,(]|\([^)]*\))+/g) ?? []).map((one) => one.trim()).filter((one) => one !== '');

/** Which heading something is. Source: HTML-AAM 1, headings. */
function levelOf(element: Element): number | undefined {
  const level = /^h([1-6])$/.exec(element.localName)?.[1];
  if (level !== undefined) return Number(level);
  if (element.getAttribute('role') !== 'heading') return undefined;
  const said = Number(element.getAttribute('aria-level') ?? 2);
  return said >= 1 && said <= 6 ? said : undefined;
}

const ACTING: readonly (readonly [selector: string, acts: NonNullable<SeenElement['acts']>])[] = [
  ['button, [role="button"], input[type="submit"], input[type="button"], summary', 'button'],
  ['a[href]', 'link'],
  ['input:not([type="hidden"]), select, textarea', 'field'],
  ['nav, [role="navigation"]', 'navigation'],
];

/** What one does with something. */
const actingOf = (element: Element): SeenElement['acts'] =>
  ACTING.find(([selector]) => element.matches(selector))?.[1];

/**
 * Whether a sheet says how high something is: what is laid out always has a height, so it is asked for what was
 * computed. Source: CSS Typed OM 1. Nothing is said where a browser does not tell.
 */
const saysHeight = (element: Element): boolean => {
  const map = 'computedStyleMap' in element ? element.computedStyleMap() : undefined;
  const height = map?.get('height')?.toString();
  return height !== undefined && height !== 'auto' && !height.endsWith('%');
};

/** Whether an image is as large before it has come as after: by its attributes, or by the sheet. */
const hasRoom = (element: Element, style: CSSStyleDeclaration): boolean =>
  (element.hasAttribute('width') && element.hasAttribute('height')) ||
  saysHeight(element) ||
  style.aspectRatio.replace(/^auto\s*/, '') !== '' ||
  style.position === 'absolute';

/**
 * Everything that a page shows, element by element, as the browser has computed it. It stops between some of them, so
 * that keys are not held up. @returns the elements, and what is told of each
 */
export function* seeing(
  page: Document,
): Generator<undefined, readonly (readonly [element: Element, seen: SeenElement])[]> {
  const view = page.defaultView;
  if (!view) return [];
  const styles = new Map<Element, CSSStyleDeclaration>();
  const styleOf = (element: Element): CSSStyleDeclaration => {
    const known = styles.get(element) ?? view.getComputedStyle(element);
    styles.set(element, known);
    return known;
  };
  const pictures = [...page.querySelectorAll('img, video, canvas')].map(
    (one) => [one, boxOf(one)] as const,
  );
  const found: (readonly [Element, SeenElement])[] = [];
  let looked = 0;
  for (const element of page.querySelectorAll('body, body *')) {
    looked += 1;
    if (looked > MOST_ELEMENTS) break;
    if (looked % PER_STEP === 0) yield;
    if (UNSEEN.test(element.localName) || element.parentElement?.closest('svg')) continue;
    const style = styleOf(element);
    const box = boxOf(element);
    if (style.display === 'none' || style.visibility !== 'visible' || box.width * box.height === 0)
      continue;
    const of = (name: string): string => style.getPropertyValue(name);
    const moves = listOf(style.transitionDuration).some((one) => pxIn(one) > 0);
    const spacing = pxIn(style.letterSpacing);
    const ground = behind(element, styleOf);
    found.push([
      element,
      {
        name: nameOf(element),
        box: { ...box, left: box.left + view.scrollX, top: box.top + view.scrollY },
        signs: ownWordsOf(element).length,
        isLink: element.closest('a') !== null,
        color: style.color,
        ...ground,
        isOverPicture: ground.isOverPicture || isOver(element, box, pictures),
        face: (listOf(style.fontFamily)[0] ?? '').replaceAll(/^["']|["']$/g, ''),
        sizePx: pxIn(style.fontSize),
        weight: pxIn(style.fontWeight),
        lineHeightPx: style.lineHeight === 'normal' ? undefined : pxIn(style.lineHeight),
        letterSpacingPx: Math.round(spacing * 100) / 100,
        margin: SIDES.map((side) => Math.max(0, pxIn(of(`margin-${side}`)))),
        padding: SIDES.map((side) => pxIn(of(`padding-${side}`))),
        gap: [pxIn(style.rowGap), pxIn(style.columnGap)],
        corners: CORNERS.map((corner) => pxIn(of(`border-${corner}-radius`))),
        edges: edgeOf(element).flatMap((px, index) => {
          const color = of(`border-${SIDES[index] ?? 'top'}-color`);
          return px > 0 ? [{ px, color }] : [];
        }),
        shadow: style.boxShadow === 'none' ? '' : style.boxShadow,
        picture: style.backgroundImage === 'none' ? '' : style.backgroundImage,
        durations: moves ? listOf(style.transitionDuration) : [],
        easings: moves ? listOf(style.transitionTimingFunction) : [],
        maxWidthPx: style.maxWidth.endsWith('px') ? pxIn(style.maxWidth) : undefined,
        hasRoom: element.localName === 'img' ? hasRoom(element, style) : undefined,
        isDrawing: element.localName === 'svg',
        level: levelOf(element),
        hasOwnGround: opacityOf(style.backgroundColor) > 0,
        acts: actingOf(element),
      },
    ]);
  }
  return found;
}
