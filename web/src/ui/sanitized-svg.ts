import DOMPurify from 'dompurify';

/** Functions of CSS that a presentation attribute may call; any other could load something. */
const FUNCTION =
  /^(?:url|rgba?|hsla?|hwb|lab|lch|oklab|oklch|color|var|calc|translate|translateX|translateY|scale|rotate|skewX|skewY|matrix|blur|brightness|contrast|drop-shadow|grayscale|hue-rotate|invert|opacity|saturate|sepia)$/i;

/** A part of the file itself. */
const WITHIN = /^#[\w.:-]+$/;
const URLS = /url\(\s*(["']?)(.*?)\1\s*\)/gi;

/**
 * Whether a value leads nowhere: no escapes (CSS would read them as other letters), no address but that of
 * a part of the file, no function that is not known to be harmless.
 */
function isHarmless(value: string): boolean {
  if (/[\\@<>]|javascript:|data:/i.test(value)) return false;
  const names = [...value.matchAll(/([\w-]+)\s*\(/g)].map(([, name = '']) => name);
  if (!names.every((name) => FUNCTION.test(name))) return false;
  const left = value.replaceAll(URLS, (whole, _quote, address: string) =>
    WITHIN.test(address.trim()) ? '' : whole,
  );
  return !/url\s*\(/i.test(left);
}

/** The most elements that artwork has, and that are drawn where parts refer to parts. */
const MOST_DRAWN = 20_000;

/**
 * How many elements are drawn when every reference is followed: a pattern of ten patterns of ten, and so
 * on, is a few lines of text and hours of work. Infinity for references that run in a circle.
 */
function drawnOf(root: Element): number {
  const known = new Map<Element, number>();
  const open = new Set<Element>();
  const byId = new Map([...root.querySelectorAll('[id]')].map((one) => [one.id, one]));
  const drawn = (element: Element): number => {
    const before = known.get(element);
    if (before !== undefined) return before;
    if (open.has(element)) return Infinity;
    open.add(element);
    let sum = 1;
    for (const child of element.children) sum += drawn(child);
    for (const { value } of element.attributes)
      for (const [, , address = ''] of value.matchAll(URLS)) {
        const target = byId.get(address.trim().slice(1));
        if (target) sum += drawn(target);
      }
    open.delete(element);
    known.set(element, sum);
    return sum;
  };
  return drawn(root);
}

const purifier = DOMPurify(window);
purifier.addHook('uponSanitizeAttribute', (_element, attribute) => {
  if (!isHarmless(attribute.attrValue)) attribute.keepAttr = false;
});

const known = new Map<string, string>();
const MOST_KEPT = 20;

/**
 * SVG without anything that could act or load: scripts, event attributes, foreign objects, animation, and
 * every reference that leads out of the file; nothing at all where drawing it would take for ever. Done
 * where it comes in and again wherever it is shown, because a document may come from elsewhere.
 */
export function sanitizedSvg(markup: string): string {
  const before = known.get(markup);
  if (before !== undefined) return before;
  const clean = purifier.sanitize(markup, {
    USE_PROFILES: { svg: true, svgFilters: true },
    FORBID_TAGS: [
      ...['foreignObject', 'image', 'feImage', 'a', 'style', 'use', 'script', 'set'],
      ...['animate', 'animateColor', 'animateMotion', 'animateTransform'],
    ],
    FORBID_ATTR: ['href', 'xlink:href', 'style', 'begin', 'onbegin'],
    RETURN_DOM_FRAGMENT: true,
  });
  const holder = document.createElement('div');
  holder.append(clean);
  const drawn = holder.querySelectorAll('*').length > MOST_DRAWN ? Infinity : drawnOf(holder);
  const result = drawn > MOST_DRAWN ? '' : holder.innerHTML;
  if (known.size >= MOST_KEPT) known.clear();
  known.set(markup, result);
  return result;
}
