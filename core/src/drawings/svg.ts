import { escaped } from '../proof/node.ts';
import type { Point, Stroke } from './placing.ts';

export const PAD = 28;
export const INK = '#161616';
export const QUIET = '#5c5c5c';
export const LINE = '#8a8a8a';
const SANS = "'Hanken Grotesk Variable',system-ui,sans-serif";
const MONO = "'Sometype Mono Variable',ui-monospace,monospace";

/** What may stand in no XML. Source: XML 1.0, 2.2, Char. */
const NO_XML = /[^\t\n\r\u0020-\uD7FF\uE000-\uFFFD\u{10000}-\u{10FFFF}]/gu;

export const rounded = (value: number): string => String(Number(value.toFixed(2)));

export interface TextStyle {
  readonly size?: number;
  readonly weight?: number;
  readonly fill?: string;
  readonly isMono?: boolean;
  readonly anchor?: 'middle';
  /** Its width, where it must have exactly that. */
  readonly wide?: number;
}

/** A line of words; its baseline stands at the point. */
export function text(at: Point, words: string, style: TextStyle = {}): string {
  const { size = 13, weight = 400, fill = INK, isMono = false, anchor, wide } = style;
  const fit =
    wide === undefined ? '' : ` textLength="${rounded(wide)}" lengthAdjust="spacingAndGlyphs"`;
  return `<text x="${rounded(at.x)}" y="${rounded(at.y)}" font-family="${isMono ? MONO : SANS}" font-size="${size}" font-weight="${weight}" fill="${fill}"${anchor ? ` text-anchor="${anchor}"` : ''}${fit} xml:space="preserve">${escaped(words)}</text>`;
}

export const path = (strokes: readonly Stroke[]): string =>
  strokes
    .map(([from, to]) => `M${rounded(from.x)} ${rounded(from.y)}L${rounded(to.x)} ${rounded(to.y)}`)
    .join('');

/** Words in lines of at most so many letters; a word that is longer stands alone, or is cut where it must be. */
export function wrapped(words: string, most: number): readonly string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of words.split(' ')) {
    let rest = word;
    if (line !== '' && line.length + 1 + rest.length > most) {
      lines.push(line);
      line = '';
    }
    while (rest.length > most) {
      if (line !== '') {
        lines.push(line);
        line = '';
      }
      lines.push(rest.slice(0, most));
      rest = rest.slice(most);
    }
    line = line === '' ? rest : `${line} ${rest}`;
  }
  return line === '' ? lines : [...lines, line];
}

/** What is drawn, as a file that needs nothing beside it; `desc` says it to those who do not see it. */
export const sheetSvg = (sheet: {
  readonly title: string;
  readonly desc: string;
  readonly css: string;
  readonly width: number;
  readonly height: number;
  readonly parts: readonly string[];
}): string =>
  [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${sheet.width}" height="${sheet.height}" viewBox="0 0 ${sheet.width} ${sheet.height}" role="img" aria-label="${escaped(sheet.title)}">`,
    `<title>${escaped(sheet.title)}</title>`,
    `<desc>${escaped(sheet.desc)}</desc>`,
    `<style>${sheet.css.replaceAll('&', '&amp;').replaceAll('<', '&lt;')}</style>`,
    ...sheet.parts,
    '</svg>',
  ]
    .join('')
    .replaceAll(NO_XML, '');
