import type { Derived } from '../derive/derived.ts';
import type { StyleDocument } from '../system/document.ts';
import { told } from './app-constants.ts';
import { appValue, type AppValue } from './app-values.ts';
import { identifiers, inAscii, plainTokens, type PlainToken } from './plain-tokens.ts';

const inXml = (text: string): string =>
  text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;')
    .replaceAll("'", String.raw`\'`);

/** No comment of XML holds two hyphens. */
const xmlComment = (text: string): string => `<!-- ${text.replaceAll('--', '- -')} -->`;

function xmlItem(name: string, value: AppValue): string {
  const note =
    value.kind === 'length' && value.told !== undefined
      ? ` ${xmlComment(`flows: ${value.told}`)}`
      : '';
  switch (value.kind) {
    case 'color':
      return `<color name="${name}">#${value.alpha}${value.rgb}</color>`;
    case 'length':
      return `<dimen name="${name}">${value.px}${value.isText ? 'sp' : 'dp'}</dimen>${note}`;
    case 'em':
    case 'number':
      return `<item name="${name}" format="float" type="dimen">${value.value}</item>`;
    case 'duration':
      return `<integer name="${name}">${Math.round(value.ms)}</integer>`;
    case 'text':
      return `<string name="${name}" translatable="false">${inXml(value.value)}</string>`;
  }
}

/** A name of a resource: small letters, digits and underscores, a letter first. */
const resourceName = ({ name }: PlainToken): string => {
  const plain = inAscii(name).toLowerCase().replaceAll('-', '_');
  return /^[a-z]/.test(plain) ? plain : `t_${plain}`;
};

const xmlOf =
  (which: 0 | 1) =>
  (document: StyleDocument, derived: Derived): string => {
    const plain = plainTokens(document, derived);
    const [first] = plain.modes;
    const mode = plain.modes[which] ?? first;
    const names = identifiers(plain.tokens, resourceName);
    const items = plain.tokens.flatMap((token) => {
      const value = appValue(token, mode);
      const usual = appValue(token, first);
      // The other theme holds what differs; all else falls back to the first.
      return value === undefined ||
        (mode !== first && JSON.stringify(value) === JSON.stringify(usual))
        ? []
        : [`  ${xmlItem(names.get(token.name) ?? '', value)}\n`];
    });
    return [
      '<?xml version="1.0" encoding="utf-8"?>\n',
      ...told(plain, mode, `tokens as resources, ${mode}`).map((line) => `${xmlComment(line)}\n`),
      '<resources>\n',
      ...items,
      '</resources>\n',
    ].join('');
  };

/** The tokens as XML resources of Android applications, in the theme that stands where nothing is said. Source: Android resource types. */
export const writeXml = xmlOf(0);

/** What differs in the other theme. */
export const writeXmlOther = xmlOf(1);
