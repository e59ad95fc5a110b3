import type { Pin } from './note-schema.ts';

/** An element as far as pins look at it: of a browser, or of a document that stands for one. */
interface Pinnable<Self> {
  readonly parentElement: Self | null;
  readonly children: ArrayLike<Self>;
  readonly getAttribute: (name: string) => string | null;
  readonly querySelector: (selector: string) => Self | null;
  readonly querySelectorAll: (selector: string) => Iterable<Self>;
}

/** Where the words of a thing stand in the document, and where the section does that begins with it. */
const CONTENT = 'data-content';
const SECTION = 'data-section';

const placeOf = <Self extends Pinnable<Self>>(element: Self): string | undefined =>
  element.getAttribute(SECTION) ?? element.getAttribute(CONTENT) ?? undefined;

/** The way from one element out to another that is around it, as places among children from the outside in. */
function wayIn<Self extends Pinnable<Self>>(from: Self, to: Self): readonly number[] {
  const way: number[] = [];
  for (let one = to; one !== from;) {
    const parent = one.parentElement;
    if (!parent) break;
    way.unshift(Array.prototype.indexOf.call(parent.children, one));
    one = parent;
  }
  return way;
}

/** How many elements one stands within another. */
const depthIn = <Self extends Pinnable<Self>>(outer: Self, inner: Self): number =>
  wayIn(outer, inner).length;

/**
 * A pin for an element of a page: by its own place in the document, by the first words in it, or by what is around
 * it that has a place; at worst by the way from the page.
 */
export function pinOf<Self extends Pinnable<Self>>(site: Self, element: Self, name: string): Pin {
  const own = placeOf(element);
  const called = name.slice(0, 80);
  if (own !== undefined) return { at: own, up: 0, down: [], name: called };
  const words = element.querySelector(`[${CONTENT}]`);
  const at = words?.getAttribute(CONTENT) ?? undefined;
  if (words && at !== undefined) return { at, up: depthIn(element, words), down: [], name: called };
  for (let one = element.parentElement; one && one !== site; one = one.parentElement) {
    const around = placeOf(one);
    if (around !== undefined)
      return { at: around, up: 0, down: [...wayIn(one, element)], name: called };
  }
  return { up: 0, down: [...wayIn(site, element)], name: called };
}

/** The element that a pin means; nothing where it is gone. */
export function elementAt<Self extends Pinnable<Self>>(
  site: Self,
  { at, up, down }: Pick<Pin, 'at' | 'up' | 'down'>,
): Self | undefined {
  let here: Self | null | undefined = site;
  if (at !== undefined)
    // A place is words of people’s: it is compared, and never part of a selector.
    here = [...site.querySelectorAll(`[${SECTION}], [${CONTENT}]`)].find(
      (one) => one.getAttribute(SECTION) === at || one.getAttribute(CONTENT) === at,
    );
  for (let step = 0; step < up && here && here !== site; step += 1) here = here.parentElement;
  if (up > 0 && here === site) return undefined;
  for (const index of down) here = here?.children[index];
  return here ?? undefined;
}
