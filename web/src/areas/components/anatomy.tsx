import type { Component, Part } from '@garnish/core/components/component';
import { stateOf } from '@garnish/core/components/states';
import { isOf, nameOf } from '@garnish/core/derive/components';
import { inOrder, type Mode } from '@garnish/core/system/document';
import { useDecided, useStore } from '../../system/system-context.ts';
import { Copy } from '../../ui/copy.tsx';

interface Option {
  readonly value: string;
  readonly name: string;
}

/** What parts of a kind may take, by the tokens that they usually take. */
function useOptions(): (part: Part) => readonly Option[] {
  const { document } = useDecided(['color', 'shape']);
  const { color, shape } = document;
  const named = (kind: string, collection: Parameters<typeof inOrder<{ name: string }>>[0]) =>
    inOrder(collection).map(([id, { name }], index) => ({
      value: kind === 'color' ? `color.${id}` : `${kind}.${index + 1}`,
      name: kind === 'color' ? name : `${kind} ${name}`,
    }));
  const kept = (kind: string, ids: readonly string[]): readonly Option[] =>
    ids.map((id) => ({ value: `${kind}.${id}`, name: `${kind} ${id}` }));
  return ({ from }) => {
    const kind = from[0]?.split('.')[0];
    switch (kind) {
      case 'color':
        return named('color', color.roles);
      case 'corner':
      case 'radius':
        return kept('corner', Object.keys(shape.corners));
      case 'edge':
        return kept('edge', Object.keys(shape.edges));
      case 'duration':
        return named('duration', shape.durations);
      case 'easing':
        return named('easing', shape.easings);
      case 'shadow':
        return named('shadow', shape.shadows);
      default:
        return [];
    }
  };
}

interface RowProps {
  readonly part: Part;
  readonly mode: Mode;
  readonly options: readonly Option[];
}

/** One part: what it takes, whether that departs from the manner, and the way back. */
function Row({ part, mode, options }: RowProps) {
  const store = useStore();
  const name = nameOf(part);
  const { document, derived } = useDecided(['components'], ['tokenById']);
  const { departures } = document.components;
  const departure = Object.hasOwn(departures, name) ? departures[name] : undefined;
  const token = derived.tokenById.get(name);
  const value = token?.values[mode];
  const path = `/components/departures/${name}`;
  const letGo = (): void => {
    store.change([{ op: 'remove', path }], `${name} follows again`);
  };
  const take = (to: string): void => {
    if (to === '') {
      if (departure !== undefined) letGo();
      return;
    }
    store.change(
      [{ op: departure === undefined ? 'add' : 'replace', path, value: to }],
      `${name} departs`,
    );
  };
  const says = part.part.replaceAll('-', ' ');
  return (
    <li
      data-decision={path}
      className="grid grid-cols-[minmax(0,1fr)_auto] @min-[26rem]:grid-cols-[8.5rem_minmax(0,1fr)_7.5rem] items-center gap-x-3 border-t border-line first:border-t-0"
    >
      <span className="min-w-0 truncate text-quiet" title={name}>
        {part.state === undefined
          ? says
          : `${says.replace(new RegExp(` ${part.state}$`), '')}, ${stateOf(part.state).name}`}
      </span>
      <span className="col-span-2 row-start-2 flex min-w-0 items-center gap-x-2 @min-[26rem]:col-span-1 @min-[26rem]:row-start-auto">
        <select
          aria-label={`${name} takes`}
          className={`select bare min-w-0 ${departure === undefined ? '' : 'font-semibold'}`}
          value={departure ?? ''}
          onChange={(event) => take(event.currentTarget.value)}
        >
          <option value="">{`follows: ${departure === undefined ? (value?.reference ?? 'nothing there') : 'its manner'}`}</option>
          {options.map((option) => (
            <option key={option.value} value={option.value}>
              {option.name}
            </option>
          ))}
        </select>
        {departure !== undefined && (
          <button
            type="button"
            className="min-h-6 shrink-0 font-semibold text-primary hover:underline"
            onClick={letGo}
          >
            let it go
          </button>
        )}
      </span>
      {value?.css === undefined ? (
        <span />
      ) : (
        <Copy className="figures text-xs" text={value.css} label={`Copy ${name}, ${value.css}`}>
          <span className="flex items-center gap-1.5">
            {value.css.startsWith('#') && (
              <span
                aria-hidden
                className="inline-block h-3 w-3 border border-line"
                style={{ background: value.css }}
              />
            )}
            <span className="max-w-28 truncate">{value.css}</span>
          </span>
        </Copy>
      )}
    </li>
  );
}

interface AnatomyProps {
  readonly component: Component;
  readonly mode: Mode;
}

/** Every part of a component with the token that it takes, under what its tokens begin with. */
export function Anatomy({ component, mode }: AnatomyProps) {
  const { manner } = useDecided(['components']).document.components;
  const options = useOptions();
  const parts = (component.parts ?? []).filter((part) => isOf(part, manner));
  const groups = [...new Set(parts.map(({ of }) => of))];
  if (parts.length === 0)
    return <p className="text-quiet">It takes nothing but text, colors of its text, and space.</p>;
  return (
    <div className="grid gap-y-4">
      {groups.map((of) => (
        <div key={of}>
          {groups.length > 1 && <h3 className="figures text-xs text-quiet">.{of}</h3>}
          <ul>
            {parts
              .filter((part) => part.of === of)
              .map((part) => (
                <Row key={nameOf(part)} part={part} mode={mode} options={options(part)} />
              ))}
          </ul>
        </div>
      ))}
    </div>
  );
}
