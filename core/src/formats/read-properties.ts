import { generate, parse, walk, type CssNode, type Declaration } from 'css-tree';
import { parseTransparentColor } from '../color/parse-color.ts';
import { DARK_MEDIA, DARK_ROOT, USUAL_ROOT } from '../reading/theme-of.ts';
import type { CustomItem } from '../system/custom-values.ts';
import { customToken } from '../system/document.ts';
import { isInherited, jsonProblem } from '../system/json.ts';
import type { TokenJson } from '../tokens/token.ts';
import { readForm, type Form } from '../tokens/token-forms.ts';
import type { LeftOut } from './extended-groups.ts';

export type ReadProperties =
  | {
      readonly kind: 'tokens';
      readonly tokens: readonly CustomItem[];
      readonly leftOut: readonly LeftOut[];
    }
  | { readonly kind: 'problem'; readonly message: string };

/** More is no sheet that somebody wrote by hand. */
const MOST_CHARACTERS = 8_000_000;
const MOST = 5000;

const EASING = /^(?:cubic-bezier\(.*\)|linear|ease(?:-in)?(?:-out)?)$/i;
const FAMILY = /^(?:[\w -]+|"[^"]*"|'[^']*')(?:\s*,\s*(?:[\w -]+|"[^"]*"|'[^']*'))*$/;
const GENERIC =
  /\b(?:serif|sans-serif|monospace|system-ui|cursive|fantasy|ui-(?:serif|sans-serif|monospace|rounded))\b/i;
const LENGTH = /^-?(?:\d+\.?\d*|\.\d+)(?:px|rem|em)$|^0$/i;
const TIME = /^(?:\d+\.?\d*|\.\d+)m?s$/i;
const NUMBER = /^-?(?:\d+\.?\d*|\.\d+)$/;

/** Parts by commas that stand in no parentheses. */
function byCommas(text: string): readonly string[] {
  const parts: string[] = [];
  let depth = 0;
  let from = 0;
  for (let at = 0; at < text.length; at += 1) {
    const sign = text[at];
    if (sign === '(') depth += 1;
    if (sign === ')') depth -= 1;
    if (sign !== ',' || depth !== 0) continue;
    parts.push(text.slice(from, at));
    from = at + 1;
  }
  parts.push(text.slice(from));
  return parts.map((part) => part.trim());
}

/** What a word of a value stands for: itself, or the end of a reference, with the token that it is taken from. */
interface Word {
  readonly css: string;
  readonly from?: string;
}
type Resolve = (word: string) => Word;

/** A layer of a shadow with the parts of it that are taken from others. */
interface Layer {
  readonly value: { readonly [name: string]: TokenJson };
  readonly parts: Readonly<Record<string, string>>;
}

/** One layer of a shadow: two to four lengths, a color, and whether it lies inside. Source: CSS Backgrounds 3, box-shadow. */
function shadowOf(text: string, resolve: Resolve): Layer | undefined {
  const words = (text.match(/[\w-]+\([^()]*(?:\([^()]*\)[^()]*)*\)|\S+/g) ?? []).map(resolve);
  const isInset = ({ css }: Word): boolean => css.toLowerCase() === 'inset';
  const lengths = words.filter(({ css }) => LENGTH.test(css));
  const others = words.filter((word) => !LENGTH.test(word.css) && !isInset(word));
  const [color] = others;
  if (lengths.length < 2 || lengths.length > 4 || others.length !== 1 || color === undefined)
    return undefined;
  if (!parseTransparentColor(color.css).ok) return undefined;
  const nothing: Word = { css: '0' };
  const [offsetX = nothing, offsetY = nothing, blur = nothing, spread = nothing] = lengths;
  const named = { color, offsetX, offsetY, blur, spread };
  return {
    value: {
      ...Object.fromEntries(Object.entries(named).map(([name, { css }]) => [name, css])),
      ...(words.some(isInset) && { inset: true }),
    },
    parts: Object.fromEntries(
      Object.entries(named).flatMap(([name, { from }]) =>
        from === undefined ? [] : [[`/${name}`, from] as const],
      ),
    ),
  };
}

/** A shadow of one or several layers; nothing for what is none. */
function shadowIn(
  text: string,
  resolve: Resolve,
): (Pick<Layer, 'parts'> & { readonly value: TokenJson }) | undefined {
  const layers = byCommas(text).map((layer) => shadowOf(layer, resolve));
  const all = layers.flatMap((layer) => layer ?? []);
  const [only] = all;
  if (!only || all.length < layers.length) return undefined;
  if (all.length === 1) return only;
  return {
    value: all.map(({ value }) => value),
    parts: Object.fromEntries(
      all.flatMap(({ parts }, at) =>
        Object.entries(parts).map(([place, from]) => [`/${at}${place}`, from] as const),
      ),
    ),
  };
}

/** What a value is: a type of the open format and the value in its form; nothing where it has none. */
function typed(
  text: string,
  name: string,
): { readonly type: string; readonly form: Extract<Form, { ok: true }> } | undefined {
  const as = (type: string, value: TokenJson) => {
    const form = readForm(type, value);
    return form.ok ? { type, form } : undefined;
  };
  if (LENGTH.test(text) && (text !== '0' || /size|space|gap|radius|inset|width|height/.test(name)))
    return as('dimension', text);
  if (TIME.test(text)) return as('duration', text);
  if (NUMBER.test(text))
    return /weight/.test(name) && Number(text) >= 1 && Number(text) <= 1000
      ? as('fontWeight', Number(text))
      : as('number', Number(text));
  if (EASING.test(text)) return as('cubicBezier', text);
  if (parseTransparentColor(text).ok) return as('color', text);
  const shadow = shadowIn(text, (css) => ({ css }));
  if (shadow) return as('shadow', shadow.value);
  if (
    FAMILY.test(text) &&
    (/font|face|family/.test(name) || GENERIC.test(text) || /["']/.test(text))
  )
    return as('fontFamily', text);
  return undefined;
}

/** What a value is taken from, as a token keeps it. */
const taken = ({
  alias,
  parts,
}: {
  readonly alias?: string;
  readonly parts: Readonly<Record<string, string>>;
}): Pick<CustomItem, 'alias' | 'parts'> => ({
  ...(alias !== undefined && { alias }),
  ...(Object.keys(parts).length > 0 && { parts }),
});

/** Where references end: in a value, or in a reason why there is none. */
type End = { readonly css: string } | { readonly problem: string };

interface Said {
  light?: string;
  dark?: string;
}

/** Every custom property that a sheet declares on its root, with what it says there in each theme; the last one counts. */
function declaredIn(text: string): ReadonlyMap<string, Said> {
  const found = new Map<string, Said>();
  const add = ({ property, value }: Declaration, theme: 'light' | 'dark'): void => {
    if (!property.startsWith('--')) return;
    const said = found.get(property) ?? {};
    const plain = generate(value).trim();
    if (plain !== '') said[theme] = plain;
    found.set(property, said);
  };
  const tree = parse(text, { parseCustomProperty: false, onParseError: () => undefined });
  const within: CssNode[] = [];
  walk(tree, {
    enter(node: CssNode) {
      if (node.type === 'Atrule') within.push(node);
      if (node.type !== 'Rule') return;
      const isDark = within.some(
        (one) =>
          one.type === 'Atrule' && one.prelude !== null && DARK_MEDIA.test(generate(one.prelude)),
      );
      const selectors = byCommas(generate(node.prelude));
      // What is declared on a part of the page is no decision of the whole.
      const theme = selectors.some((one) => DARK_ROOT.test(one))
        ? 'dark'
        : selectors.some((one) => USUAL_ROOT.test(one))
          ? isDark
            ? 'dark'
            : 'light'
          : undefined;
      if (theme === undefined) return;
      // On other screens they say something else; that is no theme.
      if (
        within.some(
          (one) =>
            one.type === 'Atrule' &&
            one.name === 'media' &&
            one.prelude !== null &&
            !DARK_MEDIA.test(generate(one.prelude)),
        )
      )
        return;
      for (const one of node.block.children) if (one.type === 'Declaration') add(one, theme);
    },
    leave(node: CssNode) {
      if (node.type === 'Atrule') within.pop();
    },
  });
  // A few lines copied without a rule around them.
  if (found.size === 0)
    walk(
      parse(text, {
        context: 'declarationList',
        parseCustomProperty: false,
        onParseError: () => undefined,
      }),
      {
        visit: 'Declaration',
        enter: (node: Declaration) => add(node, 'light'),
      },
    );
  return found;
}

/**
 * Custom properties of any style sheet as tokens: colors, lengths, durations, numbers, weights, curves, shadows and
 * faces, references between them kept, with what they are in dark. What is something else, or depends on something
 * that is not in the sheet, is told. Nothing is thrown.
 */
export function readProperties(text: string): ReadProperties {
  if (text.length > MOST_CHARACTERS)
    return {
      kind: 'problem',
      message: `This sheet has ${text.length.toLocaleString('en-US')} characters; ${MOST_CHARACTERS.toLocaleString('en-US')} is the most.`,
    };
  const declared = declaredIn(text);
  if (declared.size === 0)
    return {
      kind: 'problem',
      message: 'No custom property stands in it: nothing begins with two hyphens.',
    };
  if (declared.size > MOST)
    return {
      kind: 'problem',
      message: `This sheet has ${declared.size.toLocaleString('en-US')} custom properties; ${MOST.toLocaleString('en-US')} is the most.`,
    };
  const leftOut: LeftOut[] = [];
  const pathOf = (property: string): string => property.slice(2).replaceAll(/[{}$.]/g, '-');
  const referred = (value: string): string | undefined =>
    /^var\(\s*(--[^\s,()]+)\s*(?:,[^()]*)?\)$/.exec(value)?.[1];
  const ends = { light: new Map<string, End>(), dark: new Map<string, End>() };
  /** A value in a theme with its references followed, or why there is none; each property is followed once. */
  const followed = (value: string, theme: 'light' | 'dark'): End => {
    const known = ends[theme];
    const passed = new Set<string>();
    let here = value;
    let end: End | undefined;
    while (end === undefined) {
      const alias = referred(here);
      if (alias === undefined)
        end = here.includes('var(')
          ? { problem: 'it is put together from other properties' }
          : { css: here };
      else if (passed.has(alias))
        end = { problem: `its references run in a circle through ${alias}` };
      else {
        end = known.get(alias);
        passed.add(alias);
        const said = declared.get(alias);
        const next = (theme === 'dark' ? said?.dark : undefined) ?? said?.light ?? said?.dark;
        if (next === undefined)
          end ??= { problem: `it refers to ${alias}, which is not in the sheet` };
        else here = next;
      }
    }
    for (const property of passed) known.set(property, end);
    return end;
  };
  const tokens: CustomItem[] = [];
  for (const [property, said] of declared) {
    const path = pathOf(property);
    const out = (reason: string): void => {
      leftOut.push({ path: property, reason });
    };
    if (path.split('.').some(isInherited)) {
      out('it is called as something that every object has');
      continue;
    }
    const light = said.light ?? said.dark ?? '';
    const valueIn = (value: string, theme: 'light' | 'dark') => {
      const end = followed(value, theme);
      if ('problem' in end) {
        // A shadow may take its color, or a length, from another property.
        const shadow = shadowIn(value, (word) => {
          const from = referred(word);
          const whole = from === undefined ? undefined : followed(word, theme);
          return from !== undefined && whole && 'css' in whole
            ? { css: whole.css, from: pathOf(from) }
            : { css: word };
        });
        const form = shadow && readForm('shadow', shadow.value);
        return shadow && form?.ok === true ? { type: 'shadow', form, parts: shadow.parts } : end;
      }
      const own = typed(end.css, property);
      const alias = referred(value);
      return own
        ? { ...own, parts: {}, ...(alias !== undefined && { alias: pathOf(alias) }) }
        : { problem: `“${end.css.slice(0, 60)}” is no value of a type that tokens have` };
    };
    const usual = valueIn(light, 'light');
    if ('problem' in usual) {
      out(usual.problem);
      continue;
    }
    const dark =
      said.dark !== undefined && said.light !== undefined ? valueIn(said.dark, 'dark') : undefined;
    if (dark && ('problem' in dark || dark.type !== usual.type)) {
      out(
        `in dark: ${'problem' in dark ? dark.problem : `it is a ${dark.type}, and else a ${usual.type}`}`,
      );
      continue;
    }
    const token = {
      path,
      type: usual.type,
      value: usual.form.value,
      ...taken(usual),
      ...(usual.form.extension !== undefined && { extension: usual.form.extension }),
      ...(dark && {
        dark: {
          value: dark.form.value,
          ...taken(dark),
        },
      }),
    };
    const unkept = jsonProblem(token);
    const checked = customToken.safeParse(token);
    if (unkept !== undefined) out(unkept);
    else if (checked.success) tokens.push(token);
    else out(checked.error.issues[0]?.message ?? 'it cannot be taken');
  }
  return { kind: 'tokens', tokens, leftOut };
}
