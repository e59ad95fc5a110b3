import type { Derived } from '../derive/derived.ts';
import type { SheetChoices } from '../system/sheet-naming.ts';
import { namedProperty, namingOf, type Naming } from './naming.ts';
import { registrationsCss } from './registrations.ts';
import { namedCss, sheetOf } from './sheet.ts';

/** Names from before, which take their values from what is called otherwise now. */
function formerCss(naming: Naming, groups: Derived['groups']): string {
  const { former = [] } = naming;
  if (former.length === 0) return '';
  // What CSS has no single value for has no custom property today, and had none before.
  const declared = new Set(
    groups.flatMap(({ tokens }) =>
      tokens.flatMap(({ id, values }) => (values.light.css === undefined ? [] : [id])),
    ),
  );
  const lines = former.flatMap(({ id, property, canonical }) =>
    declared.has(id) ? [`  ${property}: var(${namedProperty(canonical, naming)});\n`] : [],
  );
  return `/* Deprecated: names from before. */\n:root {\n${lines.join('')}}\n`;
}

/** The style sheet. The proof is rendered with these very rules, by their own names. */
export function writeCss(
  derived: Pick<Derived, 'faces' | 'groups' | 'rules' | 'themes'>,
  sheet?: SheetChoices,
): string {
  const naming = namingOf(sheet, derived);
  const css = namedCss(sheetOf(derived), naming, formerCss(naming, derived.groups));
  if (sheet?.registered !== true) return css;
  const tokens = derived.groups.flatMap((group) => group.tokens);
  return `${registrationsCss({ ...derived, tokens }, naming)}\n${css}`;
}
