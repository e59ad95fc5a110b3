import mono from '@fontsource-variable/sometype-mono/files/sometype-mono-latin-wght-normal.woff2?url';
import sans from '@fontsource-variable/hanken-grotesk/files/hanken-grotesk-latin-wght-normal.woff2?url';
import { base64Of } from '@garnish/core/base64';
import type { SheetBlock } from '@garnish/core/formats/sheet';

/** An address that holds some bytes. */
export const holding = (bytes: Uint8Array, type: string): string =>
  `data:${type};base64,${base64Of(bytes)}`;

const dataOf = new Map<string, Promise<string>>();

/** A file as an address that holds it; asked for once. */
function asData(address: string): Promise<string> {
  const known = dataOf.get(address);
  if (known) return known;
  const made = (async () => {
    const bytes = new Uint8Array(await (await fetch(address)).arrayBuffer());
    return holding(
      bytes,
      /\.woff2(?:$|\?)/.test(address) ? 'font/woff2' : 'application/octet-stream',
    );
  })();
  dataOf.set(address, made);
  made.catch(() => dataOf.delete(address));
  return made;
}

const face = (family: string, address: string): string =>
  `@font-face{font-family:'${family}';font-weight:200 900;src:url("${address}") format("woff2")}`;

/** The faces of a drawing’s own words. */
export const ownFaces = async (): Promise<string> =>
  [
    face('Sometype Mono Variable', await asData(mono)),
    face('Hanken Grotesk Variable', await asData(sans)),
  ].join('\n');

const plain = (text: string): string => text.replaceAll(/["\s]/g, '').toLowerCase();

/** A range of characters in one form: browsers leave zeros out. Source: CSS Fonts 4, unicode-range. */
const rangeOf = (text: string): string =>
  plain(text).replaceAll(/[0-9a-f]+(?=[-,]|$)/g, (code) => code.replace(/^0+(?=.)/, ''));

/** The faces of the sheet that a page has loaded, each with its data. */
export async function facesWorn(page: Document, sheet: readonly SheetBlock[]): Promise<string> {
  const loaded = new Set(
    [...page.fonts]
      .filter(({ status }) => status === 'loaded')
      .map(({ family, weight, style, unicodeRange }) =>
        [plain(family), plain(weight), style, rangeOf(unicodeRange)].join('|'),
      ),
  );
  const blocks = sheet.flatMap(({ rules: [first] }) => {
    if (first?.selector !== '@font-face') return [];
    const said = new Map(first.declarations);
    const key = ['font-family', 'font-weight', 'font-style'].map((property) =>
      plain(said.get(property) ?? ''),
    );
    return loaded.has([...key, rangeOf(said.get('unicode-range') ?? '')].join('|'))
      ? [first.declarations]
      : [];
  });
  return (
    await Promise.all(
      blocks.map(async (declarations) => {
        const own = await Promise.all(
          declarations.map(async ([property, value]) => {
            const file = /url\("([^"]+)"\)/.exec(value)?.[1];
            return file === undefined
              ? `${property}:${value}`
              : `${property}:url("${await asData(`/proof/${file}`)}") format("woff2")`;
          }),
        );
        return `@font-face{${own.join(';')}}`;
      }),
    )
  ).join('\n');
}

/** Every picture of a text, with its data instead of its address. */
export async function withPictures(xhtml: string): Promise<string> {
  const names = [...new Set([...xhtml.matchAll(/src="(\/[^"]+)"/g)].map(([, name = '']) => name))];
  const data = await Promise.all(names.map((name) => asData(name).catch(() => '')));
  return names.reduce(
    (text, name, index) => text.replaceAll(`src="${name}"`, `src="${data[index] ?? ''}"`),
    xhtml,
  );
}
