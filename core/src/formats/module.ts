import type { Derived } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import { treeOf, type Tree } from './json.ts';
import { plainTokens } from './plain-tokens.ts';

/** A key of an object as JavaScript writes it. */
const keyOf = (name: string): string =>
  /^[A-Za-z_$][\w$]*$/.test(name) ? name : inScript(JSON.stringify(name));

/** Text that ends no element where a module stands in a page. */
const inScript = (text: string): string => text.replaceAll('</', String.raw`<\/`);

/** How the fields of an object are written: as values, or as types. */
interface Fields {
  readonly before: string;
  readonly leaf: (value: string | number) => string;
  readonly after: string;
}
const VALUES: Fields = { before: '', leaf: (value) => inScript(JSON.stringify(value)), after: ',' };
const TYPES: Fields = { before: 'readonly ', leaf: (value) => typeof value, after: ';' };

function objectOf(tree: Tree, fields: Fields, indent = ''): string {
  const inner = `${indent}  `;
  const lines = Object.entries(tree).map(
    ([key, value]) =>
      `${inner}${fields.before}${keyOf(key)}: ${typeof value === 'object' ? objectOf(value, fields, inner) : fields.leaf(value)}${fields.after}\n`,
  );
  return lines.length === 0 ? '{}' : `{\n${lines.join('')}${indent}}`;
}

/** The tokens as a module: an object in groups for each theme, and the first of them as what it exports by default. */
export function writeModule(document: StyleDocument, derived: Derived): string {
  const { of, modes, tokens } = plainTokens(document, derived);
  const [first] = modes;
  return [
    `/* ${inScript(of.replaceAll('*/', '* /'))} */`,
    ...modes.map((mode) => `export const ${mode} = ${objectOf(treeOf(tokens, mode), VALUES)};\n`),
    `export default ${first};\n`,
  ].join('\n');
}

/** The types of the module, for TypeScript. */
export function writeModuleTypes(document: StyleDocument, derived: Derived): string {
  const { of, modes, tokens } = plainTokens(document, derived);
  const [first] = modes;
  return [
    `/* ${of.replaceAll('*/', '* /')} */`,
    `/** The tokens in their groups: numbers where they are, else as CSS writes them. */`,
    `export interface Tokens ${objectOf(treeOf(tokens, first), TYPES)}\n`,
    ...modes.map((mode) => `export declare const ${mode}: Tokens;`),
    `declare const tokens: Tokens;`,
    `export default tokens;`,
    '',
    '/** The custom properties of the style sheet. */',
    `export type CustomProperty =\n${tokens.map(({ name }) => `  | ${JSON.stringify(`--${name}`)}`).join('\n')};\n`,
  ].join('\n');
}
