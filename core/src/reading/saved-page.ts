import PostalMime from 'postal-mime';

/** A file that came with others: what it is called, where it was, what it holds. */
export interface Asset {
  /** Its name or path among the others. */
  readonly name: string;
  /** The address that it was saved from; none for what never had one. */
  readonly address?: string;
  readonly type: string;
  readonly bytes: Uint8Array;
}

/** Parts that stand in parts deeper than this are not read. */
const DEEPEST = 8;
/** More parts are not read: no page has so many. */
const MOST_PARTS = 5000;

/** What a saved page of one file begins with: the lines that a browser writes before it. */
const HEAD = /^(?:[!-9;-~]+:[^\n]*\r?\n(?:[ \t][^\n]*\r?\n)*)+/;

/** Whether a file is a page saved as one: it says that it is made of related parts. Source: RFC 2557, 4. */
export const isSavedPage = (bytes: Uint8Array): boolean =>
  /^content-type:\s*multipart\/related/im.test(
    HEAD.exec(new TextDecoder('latin1').decode(bytes.subarray(0, 4096)))?.[0] ?? '',
  );

/** The boundary between parts that a header tells. Source: RFC 2046, 5.1.1. */
const boundaryOf = (contentType: string): string | undefined => {
  const [, quoted, bare] = /boundary=(?:"([^"]+)"|([^\s;]+))/i.exec(contentType) ?? [];
  return quoted ?? bare;
};

const escaped = (text: string): string => text.replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&');

/**
 * The parts of a body, each from its header on, without the line break before the boundary; what stands before the
 * first and behind the last is left out. Source: RFC 2046, 5.1.1.
 * @param body its bytes, one sign each
 */
export function partsOfBody(body: string, boundary: string): readonly string[] {
  const line = new RegExp(`(?:^|\\r?\\n)--${escaped(boundary)}(--)?[ \\t]*(?=\\r?\\n|$)`, 'g');
  const marks = [...body.matchAll(line)];
  return marks.flatMap((mark, index) => {
    if (mark[1] !== undefined) return [];
    const from = mark.index + mark[0].length;
    const to = marks[index + 1]?.index ?? body.length;
    return [body.slice(from, to).replace(/^\r?\n/, '')];
  });
}

const bytesOf = (latin1: string): Uint8Array<ArrayBuffer> => {
  const bytes = new Uint8Array(latin1.length);
  for (let at = 0; at < latin1.length; at += 1) bytes[at] = latin1.charCodeAt(at);
  return bytes;
};

/** The last part of an address, as a name of a file. */
const baseOf = (address: string): string =>
  (address.split(/[?#]/)[0] ?? '').split('/').findLast((part) => part !== '') ?? '';

/** What parts are called that have no name of their own. */
const ENDING: Readonly<Record<string, string>> = {
  'text/html': '.html',
  'text/css': '.css',
  'image/svg+xml': '.svg',
};

/**
 * Reads a page that a browser has saved as one file (MHTML): its parts, decoded, with the addresses that they were saved
 * from. The page itself comes first, as `index.html`. Nothing is fetched. Sources: RFC 2557; RFC 2046, 5.1; header
 * fields and encodings of parts are read by `postal-mime`.
 * @throws where it is no such file, or its parts stand too deep in each other
 */
export async function readSavedPage(bytes: Uint8Array): Promise<readonly Asset[]> {
  const found: Asset[] = [];
  const names = new Set<string>();
  const named = (address: string, type: string): string => {
    const usual = ENDING[type] ?? '';
    const base = baseOf(address).replace(/^cid:/i, '') || `part${usual}`;
    const whole = base.endsWith(usual) ? base : `${base}${usual}`;
    let name = found.length === 0 && type === 'text/html' ? 'index.html' : whole;
    for (let count = 2; names.has(name); count += 1)
      name = whole.replace(/(\.[^.]*)?$/, ` ${count}$1`);
    names.add(name);
    return name;
  };
  const read = async (text: string, depth: number): Promise<void> => {
    const [head = ''] = HEAD.exec(text) ?? [];
    const { headers } = await PostalMime.parse(`${head}\r\n`);
    const of = (key: string): string | undefined =>
      headers.find((header) => header.key === key)?.value.trim();
    const contentType = of('content-type') ?? 'text/plain';
    const boundary = /^multipart\//i.test(contentType) ? boundaryOf(contentType) : undefined;
    if (boundary !== undefined) {
      if (depth >= DEEPEST) throw new Error('its parts stand too deep in each other');
      for (const part of partsOfBody(text.slice(head.length), boundary))
        await read(part, depth + 1);
      return;
    }
    if (found.length >= MOST_PARTS) throw new Error(`it has more than ${MOST_PARTS} parts`);
    const type = (contentType.split(';')[0] ?? '').trim().toLowerCase();
    const { html, text: words, attachments } = await PostalMime.parse(bytesOf(text));
    const [attached] = attachments;
    const content =
      attached === undefined
        ? new TextEncoder().encode(html ?? words ?? '')
        : attached.content instanceof ArrayBuffer
          ? new Uint8Array(attached.content)
          : typeof attached.content === 'string'
            ? new TextEncoder().encode(attached.content)
            : attached.content;
    const location = of('content-location');
    const id = of('content-id')?.replaceAll(/^<|>$/g, '');
    const address = location ?? (id === undefined ? undefined : `cid:${id}`);
    found.push({
      name: named(address ?? '', type),
      ...(address !== undefined && { address }),
      type,
      bytes: content,
    });
  };
  if (!isSavedPage(bytes)) throw new Error('it is no page saved as one file');
  await read(new TextDecoder('latin1').decode(bytes), 0);
  if (!found.some(({ type }) => type === 'text/html')) throw new Error('there is no page in it');
  return found;
}
