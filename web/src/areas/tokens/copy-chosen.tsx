import {
  FORMS,
  REFERENCES,
  textOfLines,
  UNITS,
  writeChosen,
  type Writing,
} from '@garnish/core/formats/chosen';
import { removingTokens } from '@garnish/core/system/custom-tokens';
import { useMemo, useState } from 'react';
import { useModes } from '../../system/proof-theme.ts';
import { useDecidedLater, useStore } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { LineField } from '../../ui/line-field.tsx';
import { Lines } from '../../ui/lines.tsx';

const USUAL: Writing = {
  form: 'bare',
  selector: '.mine',
  references: 'resolved',
  theme: 'both',
  units: 'as decided',
  isMinified: false,
};

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
  const { lines, added } = useMemo(
    () => writeChosen(document, derived, ids, writing),
    [document, derived, ids, writing],
  );
  const texts = useMemo(() => lines.map(({ text }) => text), [lines]);
  const change = (next: Partial<Writing>): void => setWriting({ ...writing, ...next });
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
      <Lines
        lines={texts}
        textOf={(from, to) => textOfLines(lines.slice(from, to + 1), writing)}
        label="What is copied"
      >
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
      </Lines>
    </Section>
  );
}
