import {
  FORMS,
  REFERENCES,
  textOfLines,
  UNITS,
  writeChosen,
  type Writing,
} from '@garnish/core/formats/chosen';
import { removingTokens } from '@garnish/core/system/custom-tokens';
import { useMemo, useState, type MouseEvent } from 'react';
import { useModes } from '../../system/proof-theme.ts';
import { useDecidedLater, useStore } from '../../system/system-context.ts';
import { announce } from '../../ui/announce.tsx';
import { Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { LineField } from '../../ui/line-field.tsx';

const USUAL: Writing = {
  form: 'bare',
  selector: '.mine',
  references: 'resolved',
  theme: 'both',
  units: 'as decided',
  isMinified: false,
};

/** So many lines are shown; all are copied. */
const MOST_SHOWN = 400;

interface ChosenProps {
  readonly ids: readonly string[];
  readonly onClear: () => void;
}

const words = <Value extends string>(all: readonly Value[]) =>
  all.map((value) => ({ value, name: value }));

/** Chosen tokens as text, seen before it is copied: all of it, or some lines. */
export function CopyChosen({ ids, onClear }: ChosenProps) {
  const { derived, document } = useDecidedLater(
    ['name', 'tokens'],
    ['tokens', 'groups', 'rules', 'themes'],
  );
  const modes = useModes();
  const store = useStore();
  const { custom } = document.tokens;
  const imported = useMemo(() => {
    const chosen = new Set(ids);
    return new Set(custom.order.filter((id) => chosen.has(custom.items[id]?.path ?? '')));
  }, [custom, ids]);
  const [writing, setWriting] = useState(USUAL);
  const [said, setSaid] = useState<string>();
  const { lines, added } = useMemo(
    () => writeChosen(document, derived, ids, writing),
    [document, derived, ids, writing],
  );
  /** The lines that are meant, from one to another; all where none is. */
  const [stretch, setStretch] = useState<{
    readonly of: typeof lines;
    readonly from: number;
    readonly to: number;
  }>();
  const some = stretch?.of === lines ? stretch : undefined;
  const [low, high] = some
    ? [Math.min(some.from, some.to), Math.max(some.from, some.to)]
    : [0, lines.length - 1];
  const text = textOfLines(lines.slice(low, high + 1), writing);
  const change = (next: Partial<Writing>): void => {
    setWriting({ ...writing, ...next });
    setSaid(undefined);
  };
  const pick = ({ shiftKey }: MouseEvent, at: number): void => {
    const isAlone = some !== undefined && some.from === at && some.to === at;
    setSaid(undefined);
    if (isAlone && !shiftKey) setStretch(undefined);
    else setStretch({ of: lines, from: shiftKey ? (some?.from ?? 0) : at, to: at });
  };
  const copy = (): void => {
    navigator.clipboard
      .writeText(text)
      .then(() => {
        setSaid('copied');
        announce(`copied ${high - low + 1} lines`);
      })
      .catch(() => setSaid('The browser does not allow copying.'));
  };
  const themes = [
    { value: 'both' as const, name: 'both' },
    ...modes.map((mode) => ({ value: mode, name: mode })),
  ];
  const isOne = modes.length === 1;
  const head = 'py-0.5 text-xs text-quiet';
  return (
    <Section
      full
      title={`Copy ${ids.length} ${ids.length === 1 ? 'token' : 'tokens'}`}
      aside={
        <button type="button" className="act" onClick={onClear}>
          Choose none
        </button>
      }
    >
      <dl className="grid grid-cols-[5.5rem_minmax(0,1fr)] items-baseline">
        <dt className={head}>form</dt>
        <dd className="flex flex-wrap items-center gap-x-3">
          <Choice
            label="Form"
            options={words(FORMS)}
            value={writing.form}
            onChange={(form) => change({ form })}
          />
          {writing.form === 'in a rule' && (
            <LineField
              label="Selector of the rule"
              placeholder=".mine"
              className="input figures w-36"
              value={writing.selector}
              onChange={(selector) => change({ selector: selector.trim() || USUAL.selector })}
            />
          )}
        </dd>
        <dt className={head}>references</dt>
        <dd>
          <Choice
            label="References"
            options={words(REFERENCES)}
            value={writing.references}
            onChange={(references) => change({ references })}
          />
        </dd>
        {!isOne && (
          <>
            <dt className={head}>theme</dt>
            <dd>
              <Choice
                label="Theme of the copy"
                options={writing.form === 'bare' ? themes.slice(1) : themes}
                value={
                  writing.form === 'bare' && writing.theme === 'both' ? modes[0] : writing.theme
                }
                onChange={(theme) => change({ theme })}
              />
            </dd>
          </>
        )}
        <dt className={head}>lengths</dt>
        <dd className="flex flex-wrap items-center gap-x-5">
          <Choice
            label="Lengths"
            options={words(UNITS)}
            value={writing.units}
            onChange={(units) => change({ units })}
          />
          <label className="flex min-h-6 items-center gap-1.5">
            <input
              type="checkbox"
              className="h-4 w-4 accent-primary"
              checked={writing.isMinified}
              onChange={() => change({ isMinified: !writing.isMinified })}
            />
            in one line
          </label>
        </dd>
      </dl>
      {added.length > 0 && (
        <p className="mt-1 text-xs text-quiet">
          With {added.length} more that {ids.length === 1 ? 'it takes its' : 'they take their'}{' '}
          values from: <span className="figures break-words">{added.slice(0, 6).join(', ')}</span>
          {added.length > 6 && ` and ${added.length - 6} others`}
        </p>
      )}
      <div
        role="group"
        aria-label="What is copied"
        className="figures mt-1 max-h-56 overflow-auto border border-line bg-base-200 py-1 text-xs"
      >
        {lines.slice(0, MOST_SHOWN).map((line, at) => (
          <button
            // A line stands once at its place.
            // oxlint-disable-next-line react/no-array-index-key
            key={`${at} ${line.text}`}
            type="button"
            aria-pressed={some !== undefined && at >= low && at <= high}
            className="block min-h-6 w-full px-2 text-start whitespace-pre-wrap break-words hover:bg-base-300 aria-pressed:bg-base-300 aria-pressed:shadow-[inset_3px_0_0_var(--color-primary)]"
            onClick={(event) => pick(event, at)}
          >
            {line.text}
          </button>
        ))}
        {lines.length > MOST_SHOWN && (
          <p className="px-2 text-quiet">and {lines.length - MOST_SHOWN} more lines</p>
        )}
      </div>
      <p className="flex flex-wrap items-center gap-x-3">
        {imported.size > 0 && (
          <button
            type="button"
            className="act order-last ms-auto"
            onClick={() => {
              if (
                store.change(
                  removingTokens(custom, imported),
                  `${imported.size} imported ${imported.size === 1 ? 'token' : 'tokens'} removed`,
                )
              )
                onClear();
            }}
          >
            Remove {imported.size === ids.length ? '' : 'the '}
            {imported.size} imported
          </button>
        )}
        <button type="button" className="act" onClick={copy}>
          Copy {some ? `${high - low + 1} of ${lines.length} lines` : `${lines.length} lines`}
        </button>
        <span aria-hidden className="text-xs text-quiet">
          {said ?? (lines.length > 1 ? 'a click takes one line, with Shift to there' : '')}
        </span>
      </p>
    </Section>
  );
}
