import { parse, walk, generate, type CssNode } from 'css-tree';
import postcss, { type Root } from 'postcss';
import safeParse from 'postcss-safe-parser';

/** A sheet that asks for nothing, and what it asked for that is not there. */
export interface Sheltered {
  readonly css: string;
  readonly missing: readonly string[];
}

/** What holds nothing. */
const NOTHING = 'data:,';
/** Values in which addresses stand, as functions or as mere strings. */
const ASKING = /url\(|image-set\(|image\(|src\(|cross-fade\(/i;
/** Functions in which a string is an address. Sources: CSS Images 4, 2.3 and 2.4; CSS Values 5, src(). */
const BY_STRING = /^(?:-webkit-)?(?:image-set|image|src|cross-fade)$/i;

/** A text with its escapes as the signs that they mean. Source: CSS Syntax 3, 4.3.7. */
const unescaped = (text: string): string =>
  text.replaceAll(/\\(?:([0-9a-f]{1,6})\s?|([^]))/gi, (_, hex: string | undefined, sign: string) =>
    hex === undefined ? sign : String.fromCodePoint(Math.min(0x10ffff, Number.parseInt(hex, 16))),
  );

/** The addresses of a value, each told in its place. */
function withAddresses(value: string, told: (address: string) => string): string {
  const tree = parse(value, { context: 'value', parseCustomProperty: true });
  let inFunction = 0;
  walk(tree, {
    enter(node: CssNode) {
      if (node.type === 'Function' && BY_STRING.test(node.name)) inFunction += 1;
      if (node.type === 'Url') node.value = told(node.value);
      else if (node.type === 'String' && inFunction > 0) node.value = told(node.value);
    },
    leave(node: CssNode) {
      if (node.type === 'Function' && BY_STRING.test(node.name)) inFunction -= 1;
    },
  });
  return generate(tree);
}

/** The declarations of one element, sheltered as a sheet is. */
export function shelteredStyle(
  style: string,
  shown: (address: string) => string | undefined,
): Sheltered {
  const { css, missing } = sheltered(`a{${style.replaceAll(/[{}]/g, ' ')}}`, shown);
  return { css: css.slice(css.indexOf('{') + 1, css.lastIndexOf('}')).trim(), missing };
}

const ASKED_THEME = /\(\s*prefers-color-scheme\s*:\s*(dark|light)\s*\)/gi;

/** A sheet as whoever prefers a theme sees it, whatever the browser prefers. */
export const inTheme = (css: string, theme: 'light' | 'dark'): string =>
  css.replaceAll(ASKED_THEME, (_, asked: string) =>
    asked.toLowerCase() === theme ? '(min-width: 0)' : '(max-width: 0)',
  );

/**
 * A style sheet as it is shown beside: what it asks for is taken from among the files that came with it, everything
 * else is left out and told. Imports are left out too: they are sheets of their own.
 * @param shown the file that an address means, as an address that holds it; nothing where it is not there
 */
export function sheltered(css: string, shown: (address: string) => string | undefined): Sheltered {
  const missing = new Set<string>();
  const told = (address: string): string => {
    if (/^data:(?:image|font|application\/(?:x-)?font)/i.test(address)) return address;
    if (address.startsWith('#')) return address;
    const found = shown(address);
    if (found === undefined && address !== '') missing.add(address);
    return found ?? NOTHING;
  };
  const root = safeParse(css) as Root;
  root.walkAtRules(/^(?:import|namespace|charset)$/i, (rule) => {
    rule.remove();
  });
  root.walkDecls((declaration) => {
    const { value } = declaration;
    if (!ASKING.test(value)) {
      // Who hides what is asked for behind escapes has no good reason.
      if (value.includes('\\') && ASKING.test(unescaped(value))) declaration.remove();
      return;
    }
    try {
      declaration.value = withAddresses(value, told);
    } catch {
      // What cannot be read could ask for anything.
      declaration.remove();
      return;
    }
    const left = unescaped(declaration.value.replaceAll(/data:[^"')]*/g, ''));
    if (/https?:|\/\//i.test(left)) declaration.remove();
  });
  return { css: postcss.root({ nodes: root.nodes }).toString(), missing: [...missing] };
}
