import type { Component, Part } from '@garnish/core/components/component';
import { stateOf } from '@garnish/core/components/states';
import { classesIn } from '@garnish/core/proof/node';
import { isOf, nameOf } from '@garnish/core/derive/components';
import { TEXT, textPartOf } from '@garnish/core/derive/text-parts';
import type { OwnVariant } from '@garnish/core/derive/own-variants';
import { Link } from 'react-router';
import { inOrder, type Mode } from '@garnish/core/system/document';
import { SpacePartRow } from '../../proof/space-part-row.tsx';
import { useDecided, useStore } from '../../system/system-context.ts';
import type { Patch } from '@garnish/core/system/patch';
import { Copy } from '../../ui/copy.tsx';
import { Takes, type Option } from './takes.tsx';

/** The id of what lets a departure go. */
const FOLLOWS = 'follows';

/** What may be taken: a token by the id of what it is made of. */
interface Takable {
  readonly value: string;
  readonly name: string;
  readonly hex?: string | undefined;
}

/** What parts of a kind may take, by the tokens that they usually take. */
export function useTakable(mode: Mode): (part: Part) => readonly Takable[] {
  const { document, derived } = useDecided(['color', 'shape'], ['colors', 'tokenById']);
  const { color, shape } = document;
  const hexOf = (id: string): string | undefined =>
    derived.tokenById.get(`color.${derived.colors.get(id)?.slug ?? ''}`)?.values[mode].css;
  const named = (kind: string, collection: Parameters<typeof inOrder<{ name: string }>>[0]) =>
    inOrder(collection).map(([id, { name }], index) => ({
      value: kind === 'color' ? `color.${id}` : `${kind}.${index + 1}`,
      name: kind === 'color' ? name : `${kind} ${name}`,
      hex: kind === 'color' ? hexOf(id) : undefined,
    }));
  const kept = (kind: string, ids: readonly string[]): readonly Takable[] =>
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
      case 'opacity':
        return named('opacity', shape.opacities);
      case 'layer':
        return named('layer', shape.layers);
      case 'shadow':
        return named('shadow', shape.shadows);
      default:
        return [];
    }
  };
}

interface RowProps {
  /** What takes something, as its component calls it. */
  readonly part: Pick<Part, 'of' | 'part' | 'state'>;
  readonly mode: Mode;
  /** What it usually takes, where no token says so. */
  readonly usually?: string;
  readonly takable: readonly Takable[];
  /** The variant of one’s own that takes it; the component itself where absent. */
  readonly own?: OwnVariant;
}

/** One part: what it takes, whether that departs from what it follows, and the way back. */
export function PartRow({ part, mode, takable, own, usually }: RowProps) {
  const store = useStore();
  const { document, derived } = useDecided(['components'], ['tokenById']);
  const { departures } = document.components;
  const follows = nameOf(part);
  const name = own ? `${own.slug}.${part.part}` : follows;
  const [taken, key] = own ? [own.takes, part.part] : [departures, name];
  const departure = Object.hasOwn(taken, key) ? taken[key] : undefined;
  const value = derived.tokenById.get(departure === undefined ? follows : name)?.values[mode];
  const path = own
    ? `/components/variants/items/${own.id}/takes/${key}`
    : `/components/departures/${key}`;
  const letGo = (): void => {
    store.change([{ op: 'remove', path }], `${name} follows again`);
  };
  const usual = usually ?? (own ? follows : (value?.reference ?? 'nothing there'));
  const options: readonly Option[] = [
    {
      id: FOLLOWS,
      name: `follows: ${departure === undefined || own || usually !== undefined ? usual : 'its manner'}`,
      label: `${name} follows again`,
      patch: () => (departure === undefined ? undefined : [{ op: 'remove', path }]),
    },
    ...takable.map(({ value: to, name: called, hex }) => ({
      id: to,
      name: called,
      hex,
      label: `${name} departs`,
      patch: (): Patch | undefined =>
        to === departure
          ? undefined
          : [{ op: departure === undefined ? 'add' : 'replace', path, value: to }],
    })),
  ];
  const says = part.part.replaceAll('-', ' ');
  return (
    <li
      data-decision={path}
      className="grid grid-cols-[minmax(0,1fr)_auto] @min-[26rem]:grid-cols-[9.75rem_minmax(0,1fr)_7rem] items-center gap-x-3 border-t border-line first:border-t-0"
    >
      <span className="min-w-0 truncate text-quiet" title={name}>
        {part.state === undefined
          ? says
          : `${says.replace(new RegExp(` ${part.state}$`), '')}, ${stateOf(part.state).name}`}
      </span>
      <span className="col-span-2 row-start-2 flex min-w-0 items-center gap-x-2 @min-[26rem]:col-span-1 @min-[26rem]:row-start-auto">
        <Takes
          label={name}
          options={options}
          value={departure ?? FOLLOWS}
          isOwn={departure !== undefined}
        />
        {departure !== undefined && (
          <button
            type="button"
            aria-label={`let it go: ${name}`}
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

/** The text roles in which the words of a component are set, with what is set in each. */
function useTexts({ classes, variants = [] }: Component) {
  const { derived } = useDecided([], ['styles']);
  const own = classes.flatMap(({ name, text }) =>
    text === undefined ? [] : [[text, `.${name}`] as const],
  );
  const worn = variants.flatMap((variant) =>
    [...classesIn(variant.specimen({}))].flatMap((one) =>
      one.startsWith('type-') ? [[one.slice('type-'.length), variant.name] as const] : [],
    ),
  );
  const all = [...own, ...worn];
  return [...new Set(all.map(([id]) => id))].flatMap((id) => {
    const style = derived.styles.get(id);
    const of = all.flatMap(([role, one]) => (role === id ? one : []));
    return style ? [{ id, name: style.name, of: [...new Set(of)] }] : [];
  });
}

interface TextRowProps extends Pick<RowProps, 'mode' | 'own'> {
  readonly of: string;
}

/** The text role that a component’s words are set in; nothing where it holds several. */
export function TextRow({ of, mode, own }: TextRowProps) {
  const { derived } = useDecided([], ['styles']);
  const text = textPartOf(of);
  if (!text) return null;
  const { styles } = derived;
  return (
    <PartRow
      part={{ of, part: TEXT }}
      mode={mode}
      takable={[...styles.values()].map(({ id, name }) => ({ value: `type.${id}`, name }))}
      usually={styles.get(text.text)?.name ?? text.text}
      {...(own && { own })}
    />
  );
}

interface AnatomyProps {
  readonly component: Component;
  readonly mode: Mode;
}

/** Every part of a component with the token that it takes, under what its tokens begin with. */
export function Anatomy({ component, mode }: AnatomyProps) {
  const { manner } = useDecided(['components']).document.components;
  const takable = useTakable(mode);
  const parts = (component.parts ?? []).filter((part) => isOf(part, manner));
  const groups = [
    ...new Set([
      ...parts.map(({ of }) => of),
      ...component.classes.flatMap(({ name }) => textPartOf(name)?.of ?? []),
    ]),
  ];
  const texts = useTexts(component);
  const spaces = Object.keys(component.spaces ?? {});
  return (
    <div className="grid gap-y-4">
      {texts.length > 0 && (
        <div>
          <h3 className="text-xs text-quiet">Text</h3>
          <ul>
            {texts.map(({ id, name, of }) => (
              <li
                key={id}
                className="grid grid-cols-[8.5rem_minmax(0,1fr)] items-center gap-x-3 border-t border-line first:border-t-0"
              >
                <Link
                  className="flex min-h-6 min-w-0 items-center hover:underline"
                  to={`../type?at=${encodeURIComponent(`/type/roles/items/${id}/place`)}`}
                >
                  <span className="truncate">{name}</span>
                </Link>
                <span className="min-w-0 truncate text-quiet" title={of.join(', ')}>
                  {of.join(', ')}
                </span>
              </li>
            ))}
          </ul>
        </div>
      )}
      {spaces.length > 0 && (
        <div>
          <h3 className="text-xs text-quiet">Space</h3>
          <ul>
            {spaces.map((id) => (
              <SpacePartRow key={id} id={id} />
            ))}
          </ul>
        </div>
      )}
      {groups.map((of) => (
        <div key={of}>
          {groups.length > 1 && <h3 className="figures text-xs text-quiet">.{of}</h3>}
          <ul>
            {parts
              .filter((part) => part.of === of)
              .map((part) => (
                <PartRow key={nameOf(part)} part={part} mode={mode} takable={takable(part)} />
              ))}
            <TextRow of={of} mode={mode} />
          </ul>
        </div>
      ))}
    </div>
  );
}
