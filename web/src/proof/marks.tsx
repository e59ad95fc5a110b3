import { useShownPage } from '../system/shown-page.ts';
import type { SheetBlock } from '@garnish/core/formats/sheet';
import type { Finding } from '@garnish/core/checks/finding';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { decisionAddress } from '../findings/address.ts';
import { Framed, type Box } from './framed.tsx';
import { clearSpot, useSpot } from '../findings/spot.ts';

interface Mark {
  readonly finding: Finding;
  readonly top: number;
  readonly height: number;
}

const SETTLE_MS = 150;
const SHOWN_MS = 2600;

const boxOf = (page: Document, selector: string): Box | undefined => {
  const rect = page.querySelector(selector)?.getBoundingClientRect();
  return rect && rect.height > 0 ? rect : undefined;
};

/** Whether half of an element is on the screen, or it takes a third of it. */
const isInSight = (element: Element): boolean => {
  const { top, bottom, height } = element.getBoundingClientRect();
  const screen = element.ownerDocument.defaultView?.innerHeight ?? 0;
  const seen = Math.min(bottom, screen) - Math.max(top, 0);
  return seen > 0 && seen >= Math.min(height / 2, screen / 3);
};

/** Where each finding is seen on the page; those on the same spot share a mark. */
function placed(
  page: Document,
  findings: readonly Finding[],
  theme: string,
  widthPx: number,
  shownPage: string,
): Mark[] {
  const byTop = new Map<number, Mark>();
  for (const finding of findings) {
    const { belowPx = Infinity, mode = theme, page: on = shownPage, selector } = finding.where;
    if (mode !== theme || widthPx >= belowPx || on !== shownPage) continue;
    const box = boxOf(page, selector);
    if (box && !byTop.has(Math.round(box.top)))
      byTop.set(Math.round(box.top), { finding, top: box.top, height: Math.min(box.height, 60) });
  }
  return [...byTop.values()];
}

interface MarksProps {
  readonly page: Document;
  readonly findings: readonly Finding[];
  readonly theme: 'light' | 'dark';
  readonly scale: number;
  readonly sheet: readonly SheetBlock[];
  readonly widthPx: number;
}

/** Marks at the proof's edge where a finding is seen, and a frame around what was asked for. */
export function Marks({ page, findings, theme, scale, sheet, widthPx }: MarksProps) {
  const [marks, setMarks] = useState<readonly Mark[]>([]);
  const [shown, setShown] = useState<Box>();
  const spot = useSpot();
  const navigate = useNavigate();
  const shownPage = useShownPage();

  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const measure = (): void => setMarks(placed(page, findings, theme, widthPx, shownPage));
    const later = (): void => {
      clearTimeout(timer);
      timer = setTimeout(measure, SETTLE_MS);
    };
    later();
    page.addEventListener('scroll', measure, { passive: true });
    page.fonts.addEventListener('loadingdone', later);
    return () => {
      clearTimeout(timer);
      page.removeEventListener('scroll', measure);
      page.fonts.removeEventListener('loadingdone', later);
    };
  }, [page, findings, theme, sheet, widthPx, scale, shownPage]);

  useEffect(() => {
    if (!spot) return;
    const target = page.querySelector(spot.selector);
    // What is in sight stays where the eye has it.
    if (target && !isInSight(target)) target.scrollIntoView({ block: 'center' });
    const frame = requestAnimationFrame(() => setShown(boxOf(page, spot.selector)));
    const timer = setTimeout(() => {
      setShown(undefined);
      clearSpot();
    }, SHOWN_MS);
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(timer);
    };
  }, [page, spot, shownPage, widthPx, scale]);

  return (
    <div className="pointer-events-none absolute inset-0 [overflow-y:clip]">
      {marks.map(({ finding, top, height }) => (
        <button
          key={finding.id}
          type="button"
          aria-label={`${finding.title}: go to the decision`}
          title={finding.title}
          className="pointer-events-auto absolute -start-3 flex min-h-6 w-6 justify-center"
          style={{ top: top * scale, height: height * scale }}
          onClick={() => void navigate(decisionAddress(finding.decision))}
        >
          <span
            className={`h-full w-[5px] ${finding.severity === 'repair' ? 'bg-error' : 'bg-warning'}`}
          />
        </button>
      ))}
      {shown && <Framed box={shown} scale={scale} as="shown" />}
    </div>
  );
}
