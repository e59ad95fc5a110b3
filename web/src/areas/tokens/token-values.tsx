import {
  decidingAt,
  isInside,
  multiplying,
  placesOf,
  standingAlone,
  textAt,
  turnedInside,
  withOneMore,
  withoutOne,
  type Place,
  type Surroundings,
} from '@garnish/core/system/custom-making';
import { MULTIPLIED, saidIn, type CustomItem } from '@garnish/core/system/custom-values';
import type { Mode } from '@garnish/core/system/document';
import { jsonOf } from '@garnish/core/system/patch';
import type { Derived } from '@garnish/core/derive/derived';
import { Fragment, useId, useMemo, type ReactNode } from 'react';
import { useModes } from '../../system/proof-theme.ts';
import { useStore } from '../../system/system-context.ts';
import { Choice } from '../../ui/choice.tsx';
import { DraftProblem } from '../../ui/draft-problem.tsx';
import { useDraft } from '../../ui/use-draft.ts';

interface FieldProps {
  readonly label: string;
  readonly shown: string;
  readonly placeholder?: string;
  /** Tokens that can be named. */
  readonly list: string;
  readonly take: (text: string) => string | undefined;
}

/** A value, or the token that it is taken from. */
function ValueField({ label, shown, placeholder, list, take }: FieldProps) {
  const draft = useDraft({
    shown,
    take: (text) => (text.trim() === shown ? undefined : take(text)),
  });
  return (
    <span className="min-w-0">
      <input
        {...draft.field}
        aria-label={label}
        list={list}
        placeholder={placeholder}
        maxLength={400}
        className="input figures w-full text-xs"
      />
      <DraftProblem draft={draft} />
    </span>
  );
}

const SAYS = ['a value', 'as another token', 'a part of another'] as const;
type Says = (typeof SAYS)[number];

const saysOf = ({ made, alias, dark }: CustomItem): Says =>
  made
    ? 'a part of another'
    : alias !== undefined || dark?.alias !== undefined
      ? 'as another token'
      : 'a value';

const withoutLast = (item: CustomItem, mode: Mode): CustomItem => {
  const { value } = saidIn(item, mode);
  // A gradient runs from one color to another.
  const least = item.type === 'gradient' ? 2 : 1;
  return Array.isArray(value) && value.length > least
    ? withoutOne(item, mode, value.length - 1)
    : item;
};

interface ValuesProps {
  readonly id: string;
  readonly item: CustomItem;
  readonly derived: Pick<Derived, 'tokens' | 'tokenById'>;
}

/** What a token from elsewhere, or one made by hand, is in each theme: values, references, shares and multiples. */
export function TokenValues({ id, item, derived }: ValuesProps) {
  const store = useStore();
  const shown = useModes();
  // Of one theme a token says what it says in any, unless it says something of its own in dark.
  const modes: readonly Mode[] = shown.length === 1 && !item.dark ? ['light'] : shown;
  const list = useId();
  const { type, path } = item;
  const around = (): Surroundings => {
    const { document, derived: now } = store.state().decided;
    return {
      custom: document.tokens.custom,
      own: (of) => now.tokenById.get(of),
      ownValue: (of, mode) => {
        const token = now.tokenById.get(of);
        const { json, extension } = token?.values[mode] ?? { json: null };
        return (
          token && { type: token.type, value: json, ...(extension !== undefined && { extension }) }
        );
      },
    };
  };
  const put = (next: CustomItem, label: string): string | undefined =>
    store.decide(
      [{ op: 'replace', path: `/tokens/custom/items/${id}`, value: jsonOf(next) }],
      label.slice(0, 120),
    );
  const deciding = (mode: Mode, place: Place, text: string): string | undefined => {
    const result = decidingAt(around(), item, mode, place, text);
    return result.ok ? put(result.item, `${path}: ${text.trim()}`) : result.problem;
  };
  const says = saysOf(item);
  const hasMultiple = MULTIPLIED.some((one) => one === type);
  const isColor = type === 'color';
  const suggested = useMemo(
    () => derived.tokens.filter((token) => token.type === type && token.id !== path),
    [derived.tokens, type, path],
  );
  const first = suggested[0]?.id;
  const change = (next: Says): void => {
    if (next === says) return;
    if (next === 'a value') put(standingAlone(around(), item), `${path} stands for itself`);
    else if (first !== undefined) {
      const result =
        next === 'as another token'
          ? decidingAt(
              around(),
              standingAlone(around(), item),
              'light',
              { at: '', type: type as Place['type'] },
              `{${item.made?.of ?? first}}`,
            )
          : multiplying(around(), item, item.alias ?? first, isColor ? 0.5 : 2);
      if (result.ok) put(result.item, `${path} is taken from another`);
    }
  };
  const options = SAYS.filter((one) => one !== 'a part of another' || hasMultiple).map((value) => ({
    value,
    name:
      value === 'a part of another'
        ? isColor
          ? 'a share of another'
          : 'a multiple of another'
        : value,
  }));
  const grid = {
    gridTemplateColumns: `6rem repeat(${modes.length}, minmax(0, 1fr))`,
  };
  const isList = Array.isArray(saidIn(item, 'light').value);
  /** The themes that the token says something of its own in. */
  const themes: readonly Mode[] = item.dark ? ['light', 'dark'] : ['light'];
  const canBeMore = type === 'shadow' || type === 'gradient';
  const whole: Place = { at: '', name: 'taken from', type: type as Place['type'] };
  const rows = (mode: Mode): readonly Place[] =>
    says === 'as another token' ? [whole] : placesOf(type, saidIn(item, mode).value);
  const ofLight = rows('light');
  const inside = (mode: Mode, of: number): ReactNode => (
    <label key={mode} className="flex min-h-6 items-center gap-1.5">
      <input
        type="checkbox"
        className="h-4 w-4 accent-primary"
        aria-label={`Layer ${of} lies inside in ${mode}`}
        checked={isInside(saidIn(item, mode), of - 1)}
        onChange={() => put(turnedInside(item, mode, of - 1), `${path}: layer ${of} turned`)}
      />
      inside
    </label>
  );
  return (
    <div className="mt-2">
      <datalist id={list}>
        {suggested.map((token) => (
          <option key={token.id} value={`{${token.id}}`} />
        ))}
      </datalist>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <span className="text-quiet">Says</span>
        {first !== undefined || says !== 'a value' ? (
          <Choice label="What it says" options={options} value={says} onChange={change} />
        ) : (
          <span>a value</span>
        )}
      </div>
      {item.made ? (
        <div
          className="mt-1 grid items-baseline gap-x-3"
          style={{ gridTemplateColumns: '6rem minmax(0, 1fr) 6rem' }}
        >
          <span className="text-quiet">{isColor ? 'share of' : 'multiple of'}</span>
          <ValueField
            label={`What ${path} is taken from`}
            shown={`{${item.made.of}}`}
            list={list}
            take={(text) => {
              const of = /^\{?([^{}]+)\}?$/.exec(text.trim())?.[1] ?? '';
              const result = multiplying(around(), item, of, item.made?.times ?? 1);
              return result.ok ? put(result.item, `${path} is taken from ${of}`) : result.problem;
            }}
          />
          <ValueField
            label={isColor ? 'How much of it, in percent' : 'How many times'}
            shown={
              isColor ? `${Number((item.made.times * 100).toFixed(2))} %` : String(item.made.times)
            }
            list=""
            take={(text) => {
              const number = Number(text.replace('%', '').trim());
              const times = isColor ? number / 100 : number;
              const result = multiplying(around(), item, item.made?.of ?? '', times);
              return result.ok ? put(result.item, `${path}: ${text.trim()}`) : result.problem;
            }}
          />
        </div>
      ) : (
        <>
          {modes.length > 1 && (
            <div className="grid gap-x-3 text-xs text-quiet" style={grid} aria-hidden>
              <span />
              {modes.map((mode) => (
                <span key={mode}>{mode}</span>
              ))}
            </div>
          )}
          {ofLight.map((place, index) => (
            <Fragment key={place.at}>
              {place.of !== undefined && place.of !== ofLight[index - 1]?.of && (
                <div className="mt-1.5 grid items-baseline gap-x-3" style={grid}>
                  <span className="text-xs text-quiet">
                    {type === 'shadow' ? 'layer' : 'stop'} {place.of}
                  </span>
                  {type === 'shadow' && modes.map((mode) => inside(mode, place.of ?? 1))}
                </div>
              )}
              <div className="grid items-baseline gap-x-3" style={grid}>
                <span className="text-quiet">{place.name}</span>
                {modes.map((mode) => {
                  const said = saidIn(item, mode);
                  const isThere = rows(mode).some(({ at }) => at === place.at);
                  return isThere ? (
                    <ValueField
                      key={mode}
                      label={`${place.of === undefined ? '' : `${type} ${place.of}, `}${place.name}${modes.length > 1 ? ` in ${mode}` : ''}`}
                      shown={textAt(said, place)}
                      placeholder="{a.token}"
                      list={place.type === type ? list : ''}
                      take={(text) => deciding(mode, place, text)}
                    />
                  ) : (
                    <span key={mode} />
                  );
                })}
              </div>
            </Fragment>
          ))}
          {type === 'shadow' && says === 'a value' && !isList && (
            <div className="grid items-baseline gap-x-3" style={grid}>
              <span />
              {modes.map((mode) => inside(mode, 1))}
            </div>
          )}
          {canBeMore && says === 'a value' && (
            <div className="flex gap-x-4">
              <button
                type="button"
                className="act"
                onClick={() =>
                  put(
                    themes.reduce((now, mode) => withOneMore(now, mode), item),
                    `${path}: one more`,
                  )
                }
              >
                {type === 'shadow' ? 'Add a layer' : 'Add a stop'}
              </button>
              {isList && (
                <button
                  type="button"
                  className="act"
                  onClick={() =>
                    put(
                      themes.reduce((now, mode) => withoutLast(now, mode), item),
                      `${path}: the last one removed`,
                    )
                  }
                >
                  Remove the last
                </button>
              )}
            </div>
          )}
          {item.dark && (
            <button
              type="button"
              className="act"
              onClick={() => {
                const { dark: _dark, ...plain } = item;
                put(plain, `${path}: the same in both themes`);
              }}
            >
              The same in both themes
            </button>
          )}
        </>
      )}
    </div>
  );
}
