import { calc } from '@csstools/css-calc';

/** What lengths are worked out against. */
export interface Screen {
  readonly widthPx: number;
  readonly heightPx: number;
  /** The size of the root’s text, which a reader may have set. */
  readonly rootPx: number;
}

/** Absolute units in px. Source: CSS Values 4, 6.2. */
const ABSOLUTE: Readonly<Record<string, number>> = {
  px: 1,
  in: 96,
  cm: 96 / 2.54,
  mm: 96 / 25.4,
  q: 96 / 101.6,
  pt: 96 / 72,
  pc: 16,
};

const perUnit = (unit: string, { widthPx, heightPx, rootPx }: Screen): number | undefined => {
  if (Object.hasOwn(ABSOLUTE, unit)) return ABSOLUTE[unit];
  if (unit === 'rem') return rootPx;
  // Small, large and dynamic screens are one here: nothing covers a part of it. Source: CSS Values 4, 6.1.2.4.
  switch (unit.replace(/^[sld](?=v)/, '')) {
    case 'vw':
    case 'vi':
      return widthPx / 100;
    case 'vh':
    case 'vb':
      return heightPx / 100;
    case 'vmin':
      return Math.min(widthPx, heightPx) / 100;
    case 'vmax':
      return Math.max(widthPx, heightPx) / 100;
    default:
      return undefined;
  }
};

const NUMBER = /(?<![\w#.-])([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)([a-z%]+)(?![\w-])/gi;
const LONGEST = 2000;

/**
 * A length in px on a screen: a dimension, zero, or a function of such (`calc`, `clamp`, `min`, `max` and the others).
 * @returns nothing where it hangs on what is not known here: the text around it, a share of something, a variable
 */
export function pxOn(value: string, screen: Screen): number | undefined {
  const text = value.trim();
  if (text === '0') return 0;
  if (text === '' || text.length > LONGEST || /var\(|env\(|attr\(/i.test(text)) return undefined;
  const unknown: string[] = [];
  const inPx = text.replaceAll(NUMBER, (whole, number: string, unit: string) => {
    const per = perUnit(unit.toLowerCase(), screen);
    if (per === undefined) {
      unknown.push(unit);
      return whole;
    }
    return `${Number(number) * per}px`;
  });
  if (unknown.length > 0) return undefined;
  const alone = /^([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)px$/i.exec(inPx);
  if (alone) return Number(alone[1]);
  if (!/^[\w-]+\(/.test(inPx)) return undefined;
  const found = /^(-?[\d.]+(?:e[-+]?\d+)?)px$/i.exec(calc(inPx, { precision: 8 }));
  return found ? Number(found[1]) : undefined;
}
