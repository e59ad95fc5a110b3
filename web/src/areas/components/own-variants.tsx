import { TEXT, textPartOf } from '@garnish/core/derive/text-parts';
import type { Component } from '@garnish/core/components/component';
import { isOf, nameOf, partsOf } from '@garnish/core/derive/components';
import { ownVariantsOf, type OwnVariant } from '@garnish/core/derive/own-variants';
import { adding, removing } from '@garnish/core/system/collection';
import type { Mode } from '@garnish/core/system/document';
import { X } from 'lucide-react';
import { useDecided, useStore } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';
import { NameField } from '../../ui/name-field.tsx';
import { PartRow, TextRow, useTakable } from './anatomy.tsx';

const AT = '/components/variants';

interface OneProps {
  readonly own: OwnVariant;
  readonly mode: Mode;
  readonly originals: readonly (readonly [of: string, name: string])[];
}

/** One variant: its name, what it follows, and what it takes otherwise. */
function One({ own, mode, originals }: OneProps) {
  const store = useStore();
  const { document, derived } = useDecided(['components'], ['tokenById']);
  const takable = useTakable(mode);
  const { manner, variants } = document.components;
  const path = `${AT}/items/${own.id}`;
  const parts = partsOf(own.of).filter((part) => isOf(part, manner));
  const text = textPartOf(own.of);
  const isTaken = (part: string): boolean => Object.hasOwn(own.takes, part);
  return (
    <li data-decision={path} className="border-t border-line py-1.5 first:border-t-0">
      <div className="grid grid-cols-[minmax(0,1fr)_10rem_1.5rem] items-end gap-x-3">
        <NameField
          label={`Name of variant ${own.name}`}
          hideLabel
          value={own.name}
          onChange={(value) =>
            store.change([{ op: 'replace', path: `${path}/name`, value }], `variant ${value}`)
          }
        />
        <TrySelect
          aria-label={`What ${own.name} follows`}
          className="select w-full"
          value={own.of}
          onChange={({ currentTarget: { value } }) =>
            store.change(
              [{ op: 'replace', path: `${path}/of`, value }],
              `${own.name} follows ${value}`,
            )
          }
        >
          {originals.map(([of, name]) => (
            <option key={of} value={of}>
              follows {name}
            </option>
          ))}
        </TrySelect>
        <button
          type="button"
          aria-label={`Take ${own.name} out`}
          title={`Take ${own.name} out`}
          className="grid h-7 w-6 place-items-center text-quiet hover:text-base-content"
          onClick={() => {
            if (variants)
              store.change(removing(AT, variants, own.id), `variant ${own.name} taken out`);
          }}
        >
          <X size={13} aria-hidden />
        </button>
      </div>
      <p className="figures text-xs text-quiet">
        .{own.of}.{own.slug}
      </p>
      <ul>
        {parts
          .filter(({ part }) => isTaken(part))
          .map((part) => (
            <PartRow key={part.part} part={part} mode={mode} takable={takable(part)} own={own} />
          ))}
        {isTaken(TEXT) && <TextRow of={own.of} mode={mode} own={own} />}
      </ul>
      <select
        aria-label={`What else ${own.name} takes otherwise`}
        className="select bare text-quiet"
        value=""
        onChange={({ currentTarget: { value: part } }) => {
          // It begins as what it follows, so that nothing jumps before something is chosen.
          if (part === TEXT && text) {
            store.change(
              [{ op: 'add', path: `${path}/takes/${TEXT}`, value: `type.${text.text}` }],
              `${own.name} takes its own text`,
            );
            return;
          }
          const usual = derived.tokenById.get(`${own.of}.${part}`)?.values[mode].reference;
          const first = parts.find((one) => one.part === part);
          const now = first && takable(first);
          const value = first?.from.find((id) => now?.some((one) => one.value === id));
          if (usual !== undefined && value !== undefined)
            store.change(
              [{ op: 'add', path: `${path}/takes/${part}`, value }],
              `${own.name} takes its own ${part}`,
            );
        }}
      >
        <option value="">takes otherwise …</option>
        {text && !isTaken(TEXT) && <option value={TEXT}>text</option>}
        {parts
          .filter((part) => !isTaken(part.part) && derived.tokenById.has(nameOf(part)))
          .map(({ part }) => (
            <option key={part} value={part}>
              {part.replaceAll('-', ' ')}
            </option>
          ))}
      </select>
    </li>
  );
}

interface OwnVariantsProps {
  readonly component: Component;
  readonly mode: Mode;
}

/** The variants of one’s own that follow a component, and one more. */
export function OwnVariants({ component, mode }: OwnVariantsProps) {
  const store = useStore();
  const { document } = useDecided(['components']);
  const { variants } = document.components;
  const classes = new Set(component.classes.map(({ name }) => name));
  const originals = (component.variants ?? [])
    .filter(({ of }, index, all) => all.findIndex((other) => other.of === of) === index)
    .filter(({ of }) => classes.has(of) && partsOf(of).length > 0)
    .map(({ of, name }) => [of, name] as const);
  const own = ownVariantsOf(document.components).filter(({ of }) => classes.has(of));
  const [first] = originals;
  if (!first)
    return <p className="text-quiet">It has nothing that a variant could take otherwise.</p>;
  const add = (): void => {
    const id = `variant-${crypto.randomUUID().slice(0, 8)}`;
    const [of] = first;
    const count = own.length + 1;
    const value = { name: `own ${component.name.toLowerCase()} ${count}`, of, takes: {} };
    store.change(
      variants
        ? adding(AT, variants, id, value)
        : [{ op: 'add', path: AT, value: { order: [id], items: { [id]: value } } }],
      'a variant of one’s own',
    );
  };
  return (
    <div data-decision={AT}>
      {own.length > 0 && (
        <ul aria-label="Variants of one’s own">
          {own.map((one) => (
            <One key={one.id} own={one} mode={mode} originals={originals} />
          ))}
        </ul>
      )}
      <button type="button" className="act" onClick={add}>
        Another variant
      </button>
    </div>
  );
}
