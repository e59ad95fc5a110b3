import type { Derived, Rule, RuleGroup } from '../derive/derived.ts';
import { propertyOf, type TokenJson } from '../tokens/token.ts';
import { atOnce } from '../once.ts';
import { namesIn, partsOf } from './made-of.ts';

/** A page that can be asked: a document of the DOM and each of its elements can. */
export interface AskedPage {
  querySelector(selector: string): unknown;
}

/** A page with the rules that hold on it beside those of the exported sheet. */
export interface StandingPage {
  readonly page: AskedPage;
  readonly own: RuleGroup;
}

/** What something is in only for a moment: a rule for it stands where it can come to be. */
const STATES =
  /::?(?:hover|active|visited|focus-visible|focus-within|focus|after|before|placeholder|backdrop|file-selector-button|user-invalid|popover-open)/g;

const withoutStates = (rule: Rule): string =>
  partsOf(rule)
    .map((part) => part.replaceAll(STATES, '').trim() || '*')
    .join(', ');

/** So many rules are asked before others have their turn. */
const PER_STEP = 12;

/** The ids that a value of several parts is made of: `{color.line}`. */
export const idsIn = (json: TokenJson): readonly string[] =>
  [...JSON.stringify(json).matchAll(/\{([^{}"]+)\}/g)].map(([, id = '']) => id);

/**
 * The ids of the tokens that stand on pages: those that a rule takes which something on a page answers to, in some
 * state and on some screen, and all that these take their values from. A value of several parts that no property
 * holds (a text style) stands where all its parts do. It stops between some of the rules, so that others can do what
 * they have to.
 */
export function* standingInSteps(
  pages: readonly StandingPage[],
  { rules, tokens }: Pick<Derived, 'rules' | 'tokens'>,
): Generator<undefined, ReadonlySet<string>> {
  let asked = 0;
  const byProperty = new Map(tokens.map((token) => [propertyOf(token), token]));
  const byId = new Map(tokens.map((token) => [token.id, token]));
  const handedOn = new Map<string, string[]>();
  const found = new Set<string>();
  const open: string[] = [];
  const seen = new Set<unknown>();
  for (const { page, own } of pages)
    for (const group of [...rules, own])
      for (const rule of group.rules) {
        if (seen.has(rule)) continue;
        asked += 1;
        if (asked % PER_STEP === 0) yield;
        if (page.querySelector(withoutStates(rule)) === null) continue;
        seen.add(rule);
        for (const [property, value] of rule.declarations) {
          const names = namesIn(value);
          if (property.startsWith('--'))
            handedOn.set(property, [...(handedOn.get(property) ?? []), ...names]);
          else open.push(...names);
        }
      }
  const reached = new Set<string>();
  for (let name = open.pop(); name !== undefined; name = open.pop()) {
    if (reached.has(name)) continue;
    reached.add(name);
    open.push(...(handedOn.get(name) ?? []));
    const token = byProperty.get(name);
    if (!token) continue;
    found.add(token.id);
    for (const { css = '', reference, json } of [token.values.light, token.values.dark]) {
      open.push(...namesIn(css));
      for (const id of reference === undefined ? idsIn(json) : [reference]) {
        const other = byId.get(id);
        if (other) open.push(propertyOf(other));
      }
    }
  }
  for (const { id, values } of tokens) {
    if (values.light.css !== undefined || found.has(id)) continue;
    const parts = idsIn(values.light.json);
    if (parts.length > 0 && parts.every((one) => found.has(one))) found.add(id);
  }
  return found;
}

/** The same at once. */
export const tokensStanding = (...given: Parameters<typeof standingInSteps>): ReadonlySet<string> =>
  atOnce(standingInSteps(...given));
