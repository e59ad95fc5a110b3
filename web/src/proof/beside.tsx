import type { Mode } from '@garnish/core/system/document';
import { X } from 'lucide-react';
import { useCallback, useMemo, useRef, useState } from 'react';
import { NumberField } from '../ui/number-field.tsx';
import { heldWidth, NARROWEST_PROOF, setPreferences, WIDEST_PROOF } from '../ui/preferences.ts';
import { Frame } from './frame.tsx';
import { useTogether } from './together.ts';
import { usePointing } from './use-pointing.ts';

interface OtherProps {
  readonly index: number;
  readonly theme: Mode;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly scale: number;
  readonly zoom: number;
  readonly startPx: number;
  readonly filter: string | undefined;
  readonly onReady: (index: number, page: Document) => void;
  readonly onWidth: (widthPx: number) => void;
  readonly onRemove: () => void;
}

/** The page at one more width. */
function Other(props: OtherProps) {
  const { index, theme, widthPx, heightPx, scale, zoom, startPx, filter } = props;
  const { onReady, onWidth, onRemove } = props;
  const frame = useRef<HTMLIFrameElement>(null);
  const layer = useRef<Element>(undefined);
  const [page, setPage] = useState<Document>();
  usePointing(page, false, layer);
  const ready = useCallback(
    (document: Document) => {
      setPage(document);
      onReady(index, document);
    },
    [onReady, index],
  );
  return (
    <div className="absolute inset-y-0" style={{ insetInlineStart: startPx }}>
      <div className="flex h-7 items-center gap-x-1">
        <div className="w-20">
          <NumberField
            label={`Width beside, ${widthPx} px`}
            hideLabel
            value={widthPx}
            min={NARROWEST_PROOF}
            max={WIDEST_PROOF}
            step={10}
            decimals={0}
            unit="px"
            onChange={onWidth}
          />
        </div>
        <button
          type="button"
          aria-label={`Not at ${widthPx} px`}
          title={`Not at ${widthPx} px`}
          className="grid h-6 w-6 place-items-center text-quiet hover:text-base-content"
          onClick={onRemove}
        >
          <X size={13} aria-hidden />
        </button>
      </div>
      <div
        className="overflow-hidden outline-1 outline-line"
        style={{ width: widthPx * scale, height: heightPx, filter }}
      >
        <Frame
          frame={frame}
          title={`Proof at ${widthPx} px`}
          theme={theme}
          editing={false}
          widthPx={Math.round(widthPx / zoom)}
          heightPx={heightPx}
          scale={scale * zoom}
          onReady={ready}
        />
      </div>
    </div>
  );
}

interface BesideProps {
  /** The page of the proof itself, which stands first. */
  readonly page: Document;
  readonly widths: readonly number[];
  /** Where each begins, in px of the window. */
  readonly starts: readonly number[];
  readonly theme: Mode;
  readonly heightPx: number;
  readonly scale: number;
  readonly zoom: number;
  readonly filter: string | undefined;
}

/** The same page at other widths beside the proof, each a real screen, scrolled to the same element. */
export default function Beside(props: BesideProps) {
  const { page, widths, starts, theme, heightPx, scale, zoom, filter } = props;
  const [others, setOthers] = useState<readonly (Document | undefined)[]>([]);
  const pages = useMemo(
    () => [page, ...others.slice(0, widths.length).filter((one) => one !== undefined)],
    [page, others, widths.length],
  );
  useTogether(pages);
  const ready = useCallback((index: number, document: Document): void => {
    setOthers((known) => Object.assign([...known], { [index]: document }));
  }, []);
  return widths.map((width, index) => {
    return (
      <Other
        // Which one it is, not how wide: a frame that is made wider stays.
        // oxlint-disable-next-line react/no-array-index-key
        key={index}
        index={index}
        theme={theme}
        widthPx={width}
        heightPx={heightPx}
        scale={scale}
        zoom={zoom}
        startPx={starts[index] ?? 0}
        filter={filter}
        onReady={ready}
        onWidth={(px) => setPreferences({ proofBeside: widths.with(index, heldWidth(px)) })}
        onRemove={() => setPreferences({ proofBeside: widths.toSpliced(index, 1) })}
      />
    );
  });
}
