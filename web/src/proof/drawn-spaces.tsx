import type { SheetBlock } from '@garnish/core/formats/sheet';
import {
  bottomOf,
  childrenOf,
  gapsIn,
  rightOf,
  type MeasuredPage,
} from '@garnish/core/checks/page/measured-page';
import { partAt, type Place } from '@garnish/core/checks/page/parts-of';
import type { StyleDocument } from '@garnish/core/system/document';
import { useEffect, useState } from 'react';
import { layoutNow } from './measure-layout.ts';

const KINDS = ['padding', 'gap', 'margin', 'size'] as const;
type Kind = (typeof KINDS)[number];

interface Patch {
  readonly kind: Kind;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly px: number;
  /** The token, where a part of a component makes it. */
  readonly token: string;
}

const SETTLE_MS = 120;
const LEAST_PX = 1.5;

/** All space that is in view, as rectangles with what makes them. */
function spacesOf(
  page: MeasuredPage,
  document: StyleDocument,
  fromY: number,
  toY: number,
): Patch[] {
  const { boxes } = page;
  const children = childrenOf(boxes);
  const patches: Patch[] = [];
  const add = (
    kind: Kind,
    rect: readonly [left: number, top: number, width: number, height: number],
    px: number,
    token: string | undefined,
  ): void => {
    const [left, top, width, height] = rect;
    if (Math.min(width, height) < LEAST_PX || top > toY || top + height < fromY) return;
    patches.push({ kind, left, top, width, height, px, token: token ?? '' });
  };
  for (const [index, box] of boxes.entries()) {
    if (box.isOut || box.display === 'inline' || box.width === 0) continue;
    const [top, right, bottom, left] = box.padding;
    const inside = { left: box.left + box.border[3], top: box.top + box.border[0] };
    const token = (place: Place): string | undefined => partAt(page, index, place, document);
    const innerHeight = box.height - box.border[0] - box.border[2];
    const innerWidth = box.width - box.border[1] - box.border[3];
    add('padding', [inside.left, inside.top, innerWidth, top], top, token('padding-top'));
    add(
      'padding',
      [inside.left, bottomOf(box) - box.border[2] - bottom, innerWidth, bottom],
      bottom,
      token('padding-bottom'),
    );
    const between = innerHeight - top - bottom;
    add('padding', [inside.left, inside.top + top, left, between], left, token('padding-left'));
    add(
      'padding',
      [rightOf(box) - box.border[1] - right, inside.top + top, right, between],
      right,
      token('padding-right'),
    );
    add(
      'margin',
      [box.left, box.top - box.margin[0], box.width, box.margin[0]],
      box.margin[0],
      token('margin-top'),
    );
    add(
      'margin',
      [box.left, bottomOf(box), box.width, box.margin[2]],
      box.margin[2],
      token('margin-bottom'),
    );
    const sizing = token('height');
    if (sizing !== undefined)
      add('size', [box.left, box.top, box.width, box.height], box.height, sizing);
    const isGapped = /grid|flex/.test(box.display);
    if (!isGapped) continue;
    const measurement = { page, children };
    for (const axis of ['block', 'inline'] as const) {
      const declared = axis === 'block' ? box.rowGap : box.columnGap;
      if (declared < LEAST_PX) continue;
      for (const { before, after, px } of gapsIn(measurement, index, axis)) {
        const [one, two] = [boxes[before], boxes[after]];
        // What is left over beside a gap is no gap.
        if (!one || !two || px > declared + 0.5) continue;
        add(
          'gap',
          axis === 'block'
            ? [box.left, bottomOf(one), box.width, px]
            : [rightOf(one), one.top, px, one.height],
          px,
          token(axis === 'block' ? 'row-gap' : 'column-gap'),
        );
      }
    }
  }
  return patches;
}

/** Patterns rather than colors tell the kinds apart: stripes, dots, crosses, an outline. */
function Patterns() {
  const ink = 'stroke-base-content';
  return (
    <defs>
      <pattern
        id="space-padding"
        width="6"
        height="6"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="6" height="6" className="fill-base-100" opacity="0.55" />
        <path d="M0 0V6" className={ink} strokeWidth="1.4" />
      </pattern>
      <pattern id="space-gap" width="5" height="5" patternUnits="userSpaceOnUse">
        <rect width="5" height="5" className="fill-base-100" opacity="0.55" />
        <circle cx="2.5" cy="2.5" r="0.9" className="fill-base-content" />
      </pattern>
      <pattern id="space-margin" width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" className="fill-base-100" opacity="0.55" />
        <path d="M0 3.5H7M3.5 0V7" className={ink} strokeWidth="0.8" />
      </pattern>
    </defs>
  );
}

const paintOf = (kind: Kind): string => (kind === 'size' ? 'none' : `url(#space-${kind})`);

interface Said extends Patch {
  readonly words: string;
}

/** Labels that do not lie on each other, the largest spaces first. */
function labelsOf(patches: readonly Patch[], scale: number): Said[] {
  const placed: Said[] = [];
  for (const patch of patches.toSorted(
    (one, other) => Math.min(other.width, other.height) - Math.min(one.width, one.height),
  )) {
    const words = `${Number(patch.px.toFixed(1))}${patch.token === '' ? '' : ` ${patch.token}`}`;
    const width = words.length * 5.4 + 6;
    const x = (patch.left + patch.width / 2) * scale;
    const y = (patch.top + patch.height / 2) * scale;
    const hits = placed.some(
      (other) =>
        Math.abs((other.left + other.width / 2) * scale - x) <
          (width + other.words.length * 5.4) / 2 &&
        Math.abs((other.top + other.height / 2) * scale - y) < 13,
    );
    if (!hits) placed.push({ ...patch, words });
    if (placed.length >= 70) break;
  }
  return placed;
}

interface DrawnSpacesProps {
  readonly page: Document;
  readonly scale: number;
  readonly sheet: readonly SheetBlock[];
  readonly widthPx: number;
  readonly document: StyleDocument;
}

/** Every padding, gap, margin and size over the proof, with its value and its token. */
export default function DrawnSpaces({ page, scale, sheet, widthPx, document }: DrawnSpacesProps) {
  const [patches, setPatches] = useState<readonly Patch[]>([]);
  useEffect(() => {
    const measure = (): void => {
      const scrolled = page.defaultView?.scrollY ?? 0;
      const height = page.documentElement.clientHeight;
      setPatches(
        spacesOf(layoutNow(page), document, scrolled, scrolled + height).map((patch) => ({
          ...patch,
          top: patch.top - scrolled,
        })),
      );
    };
    const timer = setTimeout(measure, SETTLE_MS);
    page.addEventListener('scroll', measure, { passive: true });
    page.fonts.addEventListener('loadingdone', measure);
    return () => {
      clearTimeout(timer);
      page.removeEventListener('scroll', measure);
      page.fonts.removeEventListener('loadingdone', measure);
    };
  }, [page, sheet, widthPx, scale, document]);
  return (
    <div className="pointer-events-none absolute inset-0 overflow-hidden">
      <svg className="absolute inset-0 h-full w-full" aria-hidden>
        <Patterns />
        {patches.map(({ kind, left, top, width, height }, index) => (
          <rect
            key={index}
            x={left * scale}
            y={top * scale}
            width={width * scale}
            height={height * scale}
            fill={paintOf(kind)}
            fillOpacity={kind === 'size' ? 0 : 0.75}
            className="stroke-base-content"
            strokeWidth={kind === 'size' ? 1.5 : 0.4}
            strokeDasharray={kind === 'size' ? '4 2' : undefined}
          />
        ))}
      </svg>
      <ul aria-label="Spaces over the proof">
        {labelsOf(patches, scale).map(({ kind, left, top, width, height, words }, index) => (
          <li
            key={index}
            className="figures absolute -translate-x-1/2 -translate-y-1/2 bg-base-100 px-0.5 text-[9px] leading-[11px] whitespace-nowrap text-base-content outline-1 outline-line"
            style={{ left: (left + width / 2) * scale, top: (top + height / 2) * scale }}
          >
            <span className="sr-only">{kind} </span>
            {words}
          </li>
        ))}
      </ul>
      <ul
        className="absolute end-0 bottom-0 flex gap-3 bg-base-100 px-2 py-1 text-xs text-base-content outline-1 outline-line"
        aria-label="What the patterns mean"
      >
        {KINDS.map((kind) => (
          <li key={kind} className="flex items-center gap-1">
            <svg width="18" height="12" aria-hidden>
              <rect
                x="0.5"
                y="0.5"
                width="17"
                height="11"
                fill={paintOf(kind)}
                className="stroke-base-content"
                strokeDasharray={kind === 'size' ? '4 2' : undefined}
              />
            </svg>
            {kind}
          </li>
        ))}
      </ul>
    </div>
  );
}
