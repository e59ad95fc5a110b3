import { inOrder } from '@garnish/core/system/document';
import { useRef } from 'react';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Copy } from '../../ui/copy.tsx';
import { Items } from '../../system/items.tsx';

interface CurveProps {
  readonly name: string;
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  readonly ms: number;
}

/** An easing over its time, with its two handles; a click plays it once. */
function Curve({ name, x1, y1, x2, y2, ms }: CurveProps) {
  const dot = useRef<HTMLSpanElement>(null);
  const x = (value: number): number => 8 + value * 84;
  const y = (value: number): number => 62 - value * 48;
  const css = `cubic-bezier(${x1}, ${y1}, ${x2}, ${y2})`;
  const play = (): void => {
    dot.current?.animate([{ transform: 'translateX(0)' }, { transform: 'translateX(7rem)' }], {
      duration: Math.max(1, ms),
      easing: css,
    });
  };
  return (
    <div className="flex items-center gap-4 pt-1">
      <svg
        viewBox="0 0 100 76"
        className="h-20 w-28 overflow-visible"
        role="img"
        aria-label={`Easing ${name}`}
      >
        <path d="M8 14V62H92" className="fill-none stroke-line-strong" />
        <path
          d={`M${x(0)} ${y(0)}L${x(x1)} ${y(y1)}M${x(1)} ${y(1)}L${x(x2)} ${y(y2)}`}
          className="fill-none stroke-line-strong"
          strokeDasharray="2 2"
        />
        <path
          d={`M${x(0)} ${y(0)}C${x(x1)} ${y(y1)} ${x(x2)} ${y(y2)} ${x(1)} ${y(1)}`}
          className="fill-none stroke-base-content"
          strokeWidth={1.5}
        />
        {[
          [x1, y1],
          [x2, y2],
        ].map(([across = 0, up = 0], index) => (
          <rect
            key={index}
            x={x(across) - 2}
            y={y(up) - 2}
            width="4"
            height="4"
            className="fill-base-content"
          />
        ))}
      </svg>
      <div>
        <button type="button" className="act" onClick={play}>
          Play once, {ms} ms
        </button>
        <span className="block w-32">
          <span ref={dot} aria-hidden className="block h-3 w-4 bg-base-content" />
        </span>
        <Copy className="figures text-xs text-quiet" text={css} label={`Copy easing ${name}`}>
          {css}
        </Copy>
      </div>
    </div>
  );
}

/** How long things move, and how: a few durations with their form for less motion, a few easings. */
export function MotionView() {
  const decided = useDecided(['shape']);
  const { durations, easings } = decided.document.shape;
  const usual = inOrder(durations).at(-1)?.[1].ms ?? 300;
  return (
    <>
      <Section full title="Durations" aside="the second where the reader asks for less motion">
        <Items
          path="/shape/durations"
          collection={durations}
          what="duration"
          columns="7rem 9rem minmax(0,1fr)"
          another={() => ({ name: `duration ${durations.order.length + 1}`, ms: 400, reduced: 0 })}
        >
          {(_, { name, ms, reduced }, path) => (
            <>
              <DecidedNumber
                label={`Duration ${name}`}
                hideLabel
                path={`${path}/ms`}
                name={`duration ${name}`}
                value={ms}
                step={20}
                decimals={0}
                unit="ms"
              />
              <DecidedNumber
                label={`Duration ${name} with less motion`}
                hideLabel
                path={`${path}/reduced`}
                name={`duration ${name}, less motion`}
                value={reduced}
                step={20}
                decimals={0}
                unit="ms"
              />
              <span
                aria-hidden
                className="mb-3 h-1 max-w-full bg-base-content"
                style={{ width: ms / 3 }}
              />
            </>
          )}
        </Items>
      </Section>
      <Section full title="Easings" aside="how a movement begins and ends">
        <Items
          path="/shape/easings"
          collection={easings}
          what="easing"
          columns="repeat(4, minmax(0,1fr))"
          below={(_, easing) => <Curve {...easing} ms={usual} />}
          another={() => ({
            name: `easing ${easings.order.length + 1}`,
            x1: 0.3,
            y1: 0,
            x2: 0.2,
            y2: 1,
          })}
        >
          {(_, easing, path) => (
            <>
              {(['x1', 'y1', 'x2', 'y2'] as const).map((part) => (
                <DecidedNumber
                  key={part}
                  label={part}
                  path={`${path}/${part}`}
                  name={`easing ${easing.name}`}
                  value={easing[part]}
                  step={0.05}
                />
              ))}
            </>
          )}
        </Items>
      </Section>
    </>
  );
}
