import { causeWords } from '@garnish/core/releases/difference-markdown';
import type { ContrastChange, Difference, ToldToken } from '@garnish/core/releases/difference';
import { ratioText } from '@garnish/core/checks/judge';
import type { Mode } from '@garnish/core/system/document';
import { useState, type ReactNode } from 'react';
import { Section } from './bench.tsx';
import { Sample } from './sample.tsx';

type Modes = readonly [Mode, ...Mode[]];

/** So many of a group stand there at once; the others when they are asked for. */
const MOST_SHOWN = 8;

const sampleOf = (token: ToldToken) => ({ type: token.type, path: token.id.split('.') });

/** A value with what it looks like. */
const Value = ({ token, mode }: { readonly token: ToldToken; readonly mode: Mode }) => (
  <span className="inline-flex max-w-full items-center gap-1.5">
    <Sample token={sampleOf(token)} css={token.values[mode]} />
    <span className="figures break-words">{token.values[mode]}</span>
  </span>
);

/** What a value became: once where both themes say the same, else in each that differs. */
function Became({
  before,
  after,
  modes,
}: {
  readonly before: ToldToken;
  readonly after: ToldToken;
  readonly modes: Modes;
}) {
  const differing = modes.filter((mode) => before.values[mode] !== after.values[mode]);
  const isOne =
    modes.length === 1 ||
    (before.values.light === before.values.dark && after.values.light === after.values.dark);
  if (differing.length === 0)
    return (
      <ul className="figures text-quiet">
        {(after.elsewhere ?? before.elsewhere ?? ['in the other theme']).map((said) => (
          <li key={said}>{said}</li>
        ))}
      </ul>
    );
  return (
    <ul>
      {(isOne ? differing.slice(0, 1) : differing).map((mode) => (
        <li key={mode} className="flex flex-wrap items-center gap-x-2">
          <Value token={before} mode={mode} />
          <span aria-label="became">→</span>
          <Value token={after} mode={mode} />
          {!isOne && <span className="text-quiet">{mode}</span>}
        </li>
      ))}
    </ul>
  );
}

interface Line {
  readonly property: string;
  readonly before?: ToldToken;
  readonly after?: ToldToken;
}

function Lines({ lines, modes }: { readonly lines: readonly Line[]; readonly modes: Modes }) {
  const [isWhole, setWhole] = useState(false);
  const shown = isWhole ? lines : lines.slice(0, MOST_SHOWN);
  return (
    <>
      <table className="w-full table-fixed text-xs">
        <thead className="sr-only">
          <tr>
            <th>token</th>
            <th>what it became</th>
          </tr>
        </thead>
        <tbody>
          {shown.map(({ property, before, after }) => (
            <tr key={property} className="border-t border-line">
              <th className="figures w-2/5 py-1 pe-2 text-start align-top font-normal break-words">
                {property}
              </th>
              <td className="py-1 align-top">
                {before && after && <Became before={before} after={after} modes={modes} />}
                {!before && after && (
                  <span className="inline-flex max-w-full items-center gap-2">
                    <span className="text-quiet">new</span> <Value token={after} mode={modes[0]} />
                  </span>
                )}
                {before && !after && (
                  <span className="inline-flex max-w-full items-center gap-2">
                    <span className="text-error">removed</span>{' '}
                    <Value token={before} mode={modes[0]} />
                  </span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {lines.length > MOST_SHOWN && (
        <button
          type="button"
          className="act text-xs"
          aria-expanded={isWhole}
          onClick={() => setWhole(!isWhole)}
        >
          {isWhole ? 'Fewer' : `${lines.length - MOST_SHOWN} more`}
        </button>
      )}
    </>
  );
}

const ratio = (value: number | undefined): string =>
  value === undefined ? 'not there' : ratioText(value);

const Contrasts = ({
  title,
  changes,
  isLost,
}: {
  readonly title: string;
  readonly changes: readonly ContrastChange[];
  readonly isLost: boolean;
}) =>
  changes.length === 0 ? null : (
    <Section full title={title} aside={changes.length}>
      <ul>
        {changes.map(({ id, mode, title: what, before, after, needed }) => (
          <li key={`${id} ${mode}`} className="border-t border-line py-1">
            {what} <span className="text-quiet">in {mode}</span>{' '}
            <span className="figures text-xs">
              {ratio(before)} → <span className={isLost ? 'text-error' : ''}>{ratio(after)}</span>{' '}
              of {needed.toFixed(2)}
            </span>
          </li>
        ))}
      </ul>
    </Section>
  );

function Names({ difference: { tokens, classes } }: { readonly difference: Difference }) {
  const renamed = [
    ...tokens.renamed.map(({ before, after, keepsName }) => ({
      before: before.property,
      after: after.property,
      keepsName,
    })),
    ...classes.renamed.map((one) => ({
      before: `.${one.before}`,
      after: `.${one.after}`,
      keepsName: false,
    })),
  ];
  const [isWhole, setWhole] = useState(false);
  const shown = isWhole ? renamed : renamed.slice(0, MOST_SHOWN);
  if (renamed.length + classes.added.length + classes.removed.length === 0) return null;
  return (
    <Section
      full
      title="Names"
      aside={renamed.length === 0 ? undefined : `${renamed.length} renamed`}
    >
      {renamed.length > 0 && (
        <table className="w-full table-fixed text-xs">
          <thead className="text-quiet">
            <tr>
              <th className="text-start font-normal">before</th>
              <th className="text-start font-normal">now</th>
              <th className="w-1/4 text-start font-normal">the old name</th>
            </tr>
          </thead>
          <tbody>
            {shown.map(({ before, after, keepsName }) => (
              <tr key={before} className="border-t border-line">
                <td className="figures py-1 pe-2 break-words">{before}</td>
                <td className="figures pe-2 break-words">{after}</td>
                <td className={keepsName ? 'text-quiet' : 'text-error'}>
                  {keepsName ? 'stays' : 'is gone'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {renamed.length > MOST_SHOWN && (
        <button
          type="button"
          className="act text-xs"
          aria-expanded={isWhole}
          onClick={() => setWhole(!isWhole)}
        >
          {isWhole ? 'Fewer' : `${renamed.length - MOST_SHOWN} more`}
        </button>
      )}
      {(['added', 'removed'] as const).map(
        (what) =>
          classes[what].length > 0 && (
            <p key={what} className="mt-1 text-xs">
              <span className={what === 'removed' ? 'text-error' : 'text-quiet'}>
                classes {what}
              </span>{' '}
              <span className="figures break-words">
                {classes[what].map((name) => `.${name}`).join(' ')}
              </span>
            </p>
          ),
      )}
    </Section>
  );
}

interface DifferencesProps {
  readonly difference: Difference;
  /** The themes of the site. */
  readonly modes: Modes;
  /** A way to a decision, where there is one. */
  readonly goTo?: (path: string, words: string) => ReactNode;
}

/** Everything that follows from a decision, under it. */
function ByDecision({ difference: { tokens, causes }, modes, goTo }: DifferencesProps) {
  return causes.map((cause) => {
    const isOf = (one: { readonly cause: string }): boolean => one.cause === cause.path;
    const lines: readonly Line[] = [
      ...tokens.changed
        .filter(isOf)
        .map(({ before, after }) => ({ property: after.property, before, after })),
      ...tokens.added.filter(isOf).map(({ token }) => ({ property: token.property, after: token })),
      ...tokens.removed
        .filter(isOf)
        .map(({ token }) => ({ property: token.property, before: token })),
    ];
    if (lines.length === 0) return null;
    const words = causeWords(cause);
    return (
      <Section
        full
        key={cause.path}
        title={words}
        aside={cause.path === '' ? undefined : goTo?.(cause.path, words)}
      >
        <Lines lines={lines} modes={modes} />
      </Section>
    );
  });
}

/** What became of a system, by meaning: contrast first, then names, then everything under its decision. */
export const Differences = (props: DifferencesProps) => (
  <>
    <Contrasts title="Contrast lost" changes={props.difference.contrast.lost} isLost />
    <Contrasts title="Contrast won" changes={props.difference.contrast.won} isLost={false} />
    <Names difference={props.difference} />
    <ByDecision {...props} />
  </>
);
