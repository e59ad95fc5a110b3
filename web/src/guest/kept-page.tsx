import type { Mode } from '@garnish/core/system/document';
import { ROOT_PX } from '@garnish/core/type/fluid';
import { keptPageSchema } from '@garnish/core/worn/wearing';
import { useCallback, useEffect, useRef, useState } from 'react';
import useSWR from 'swr';
import { get } from '../api/client.ts';
import { guestKept, guestPath } from '../api/links.ts';
import { useMeasured } from '../proof/use-measured.ts';
import { WornFrame, WornSheet } from '../proof/worn/worn-frame.tsx';
import { Choice } from '../ui/choice.tsx';
import type { GuestView } from './use-guest.ts';

const LOOKS = ['in this system', 'as it was read'] as const;

interface KeptPageProps {
  readonly address: string;
  readonly id: string;
  readonly view: GuestView;
  readonly theme: Mode;
  /** The width of the screen that is looked at; the room there is where nothing is said. */
  readonly widthPx?: number | undefined;
}

/** A page that was read from outside, in the looks of the system or as it was; nothing on it leads anywhere. */
export default function KeptPageShown({ address, id, view, theme, widthPx }: KeptPageProps) {
  const known = useSWR(`${guestKept(guestPath(address))}/${id}`, (path: string) =>
    get(path, keptPageSchema),
  );
  const room = useRef<HTMLDivElement>(null);
  const { width, height } = useMeasured(room);
  const [look, setLook] = useState<(typeof LOOKS)[number]>(LOOKS[0]);
  const [shown, setShown] = useState<Document>();
  const ready = useCallback((document: Document) => setShown(document), []);
  useEffect(() => {
    if (!shown) return undefined;
    const stay = (event: Event): void => event.preventDefault();
    shown.addEventListener('click', stay);
    shown.addEventListener('submit', stay, true);
    return () => {
      shown.removeEventListener('click', stay);
      shown.removeEventListener('submit', stay, true);
    };
  }, [shown]);
  const error: unknown = known.error;
  const page = known.data;
  const wide = widthPx ?? width;
  const scale = Math.min(1, width / wide);
  return (
    <div className="flex min-h-0 min-w-0 flex-1 flex-col">
      <div className="flex flex-wrap items-baseline gap-x-4 border-b border-line px-4 py-1">
        <Choice
          label="Looks of the page"
          options={LOOKS.map((value) => ({ value, name: value }))}
          value={look}
          onChange={setLook}
        />
        <span className="text-quiet">a page that exists, for comparing; nothing on it acts</span>
      </div>
      {!page && (
        <p className="p-4" role="status">
          {error instanceof Error ? `It cannot be shown: ${error.message}` : 'Reading the page …'}
        </p>
      )}
      <div ref={room} className="relative min-h-0 flex-1 overflow-hidden">
        {page && (
          <div
            className="absolute inset-y-0 overflow-hidden border-x border-line"
            style={{ width: wide * scale, insetInlineStart: (width - wide * scale) / 2 }}
          >
            <WornFrame
              key={look}
              page={page}
              theme={theme}
              dresser={
                look === LOOKS[0]
                  ? (live) => <WornSheet live={live} page={page} sheet={view.sheet} />
                  : undefined
              }
              rootPx={ROOT_PX}
              widthPx={wide}
              heightPx={Math.max(1, height)}
              scale={scale}
              onReady={ready}
            />
          </div>
        )}
      </div>
    </div>
  );
}
