import type { SheetBlock } from '@garnish/core/formats/sheet';
import { useEffect, useState } from 'react';

interface Said {
  readonly key: string;
  readonly top: number;
  readonly left: number;
  readonly words: string;
}

const SETTLE_MS = 120;
const MOST = 80;
const LABEL_PX = 74;

const px = (value: string): string => String(Number(Number.parseFloat(value).toFixed(1)));

/** What each text in view is set in: its size, its line height, and the space below it. */
function textsIn(page: Document, rootPx: number, kind: 'values' | 'units'): Said[] {
  const height = page.documentElement.clientHeight;
  const said: Said[] = [];
  for (const element of page.querySelectorAll<HTMLElement>('[class*="type-"]')) {
    const box = element.getBoundingClientRect();
    if (box.bottom < 0 || box.top > height || box.height === 0) continue;
    const { fontSize, lineHeight, marginBlockEnd } = getComputedStyle(element);
    const parent = element.parentElement
      ? Number.parseFloat(getComputedStyle(element.parentElement).fontSize)
      : rootPx;
    const size = Number.parseFloat(fontSize);
    const after = Number.parseFloat(marginBlockEnd);
    const words =
      kind === 'values'
        ? `${px(fontSize)} / ${px(lineHeight)}${after > 0 ? ` ↓ ${px(marginBlockEnd)}` : ''}`
        : `${px(fontSize)} px = ${Number((size / rootPx).toFixed(3))} rem = ${Number((size / parent).toFixed(3))} em`;
    const last = said.at(-1);
    // A label that would lie on the one before it is left out.
    if (last && Math.abs(last.top - box.top) < 12 && box.left - last.left < LABEL_PX) continue;
    said.push({ key: `${said.length}`, top: box.top, left: box.left, words });
    if (said.length >= MOST) break;
  }
  return said;
}

interface DrawnProps {
  readonly page: Document;
  readonly kind: 'values' | 'units';
  readonly scale: number;
  readonly rootPx: number;
  readonly sheet: readonly SheetBlock[];
  readonly widthPx: number;
}

/** Small labels over the proof, each at the text that it speaks of. */
export default function Drawn({ page, kind, scale, rootPx, sheet, widthPx }: DrawnProps) {
  const [said, setSaid] = useState<readonly Said[]>([]);
  useEffect(() => {
    const measure = (): void => setSaid(textsIn(page, rootPx, kind));
    const timer = setTimeout(measure, SETTLE_MS);
    page.addEventListener('scroll', measure, { passive: true });
    page.fonts.addEventListener('loadingdone', measure);
    return () => {
      clearTimeout(timer);
      page.removeEventListener('scroll', measure);
      page.fonts.removeEventListener('loadingdone', measure);
    };
  }, [page, kind, rootPx, sheet, widthPx, scale]);
  return (
    <ul
      className="pointer-events-none absolute inset-0 overflow-hidden"
      aria-label="Sizes over the proof"
    >
      {said.map(({ key, top, left, words }) => (
        <li
          key={key}
          className="figures absolute -translate-y-full bg-base-content/85 px-1 text-[10px] leading-[14px] text-base-100"
          style={{ top: Math.max(14, top * scale), left: Math.max(0, left * scale) }}
        >
          {words}
        </li>
      ))}
    </ul>
  );
}
