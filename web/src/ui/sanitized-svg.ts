import DOMPurify from 'dompurify';

/** Values that lead nowhere: no scheme, no other host, and `url()` only to a part of the file itself. */
const WITHIN = /^(?!\s*[a-z][a-z0-9+.-]*:)(?!\s*\/\/)(?!.*url\(\s*['"]?(?!#))/is;

const known = new Map<string, string>();
const MOST_KEPT = 20;

/**
 * SVG without anything that could act or load: scripts, event attributes, foreign objects, and every
 * reference that leads out of the file. Done where it comes in and again where it is shown, because a
 * document may come from elsewhere.
 */
export function sanitizedSvg(markup: string): string {
  const before = known.get(markup);
  if (before !== undefined) return before;
  const clean = DOMPurify.sanitize(markup, {
    USE_PROFILES: { svg: true, svgFilters: true },
    FORBID_TAGS: ['foreignObject', 'image', 'feImage', 'a', 'style'],
    FORBID_ATTR: ['href', 'xlink:href', 'style'],
    ALLOWED_URI_REGEXP: WITHIN,
  });
  if (known.size >= MOST_KEPT) known.clear();
  known.set(markup, clean);
  return clean;
}
