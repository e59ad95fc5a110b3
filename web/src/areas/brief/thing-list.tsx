import type { Collection } from '@garnish/core/system/document';
import {
  addingAfter,
  doubling,
  moving,
  reordering,
  switching,
  takingOut,
  thingAt,
} from '@garnish/core/system/shaping';
import type { Patch } from '@garnish/core/system/patch';
import { CopyPlus, Eye, EyeOff, GripVertical, Plus, X } from 'lucide-react';
import type { KeyboardEvent, ReactNode } from 'react';
import { Button, GridList, GridListItem, useDragAndDrop } from 'react-aria-components';
import { useStore } from '../../system/system-context.ts';

/** A fresh id for a thing of the content. */
export const freshId = (what: string): string =>
  `${what.replaceAll(/[^a-z]+/g, '-')}-${crypto.randomUUID().slice(0, 8)}`;

interface ActionProps {
  readonly label: string;
  readonly onPress: () => void;
  readonly children: ReactNode;
}

/** A small action of a line. */
const Action = ({ label, onPress, children }: ActionProps) => (
  <Button
    aria-label={label}
    onPress={onPress}
    className="grid h-7 w-6 shrink-0 place-items-center text-quiet hover:text-base-content"
  >
    <span title={label} className="grid place-items-center">
      {children}
    </span>
  </Button>
);

interface ThingListProps<Item> {
  /** Where the collection stands in the document. */
  readonly path: string;
  readonly collection: Collection<Item>;
  readonly label: string;
  readonly nameOf: (item: Item, id: string) => string;
  /** What stands in the line of one; its name alone where nothing is said. */
  readonly children?: (item: Item, id: string) => ReactNode;
  /** What stands under the line of one. */
  readonly below?: (item: Item, id: string) => ReactNode;
  /** Whether a thing can be kept without being shown. */
  readonly canRest?: boolean;
  /** How one more is added; one button where nothing is said, no way where it is none. */
  readonly adder?: ReactNode;
}

/**
 * The things of a collection of the content in their order: dragged by a hand or with the keyboard, doubled,
 * switched off, taken out. Alt with an arrow moves the line that has the focus.
 */
export function ThingList<Item>(props: ThingListProps<Item>) {
  const { path, collection, label, nameOf, children, below, canRest = false, adder } = props;
  const store = useStore();
  const now = () => store.state().decided.document;
  const act = (patch: Patch | undefined, said: string): boolean =>
    patch !== undefined && store.change(patch, said.slice(0, 120));
  const what = thingAt({ collection: path, id: '' });
  const { dragAndDropHooks } = useDragAndDrop({
    getItems: (keys) => [...keys].map((key) => ({ 'text/plain': String(key) })),
    onReorder({ keys, target }) {
      const moved = [...keys].map(String);
      const rest = collection.order.filter((id) => !moved.includes(id));
      const at = rest.indexOf(String(target.key)) + (target.dropPosition === 'after' ? 1 : 0);
      act(reordering(path, [...rest.slice(0, at), ...moved, ...rest.slice(at)]), `${what} moved`);
    },
  });
  const keys = (event: KeyboardEvent): void => {
    const by = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    const row = (event.target as Element).closest<HTMLElement>('[role="row"]');
    const id = row?.dataset['key'];
    const item = id === undefined ? undefined : collection.items[id];
    // A list within a line moves its own lines.
    if (!event.altKey || by === undefined || id === undefined || item === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    act(moving(now(), { collection: path, id }, by), `${what} ${nameOf(item, id)} moved`);
  };
  const rows = collection.order.flatMap((id) => {
    const item = collection.items[id];
    return item === undefined ? [] : [{ id, item }];
  });
  return (
    <div data-decision={path} onKeyDownCapture={keys}>
      {rows.length > 0 && (
        <GridList
          aria-label={label}
          items={rows}
          dependencies={[collection]}
          dragAndDropHooks={dragAndDropHooks}
          keyboardNavigationBehavior="tab"
        >
          {({ id, item }) => {
            const name = nameOf(item, id);
            const place = { collection: path, id };
            const isOff = (item as { readonly isOff?: true }).isOff === true;
            const isLast = takingOut(now(), place) === undefined;
            return (
              <GridListItem
                id={id}
                textValue={name}
                className="border-t border-line outline-offset-[-2px] data-[drop-target]:bg-base-200 data-[dragging]:opacity-50"
              >
                <div className="flex min-w-0 items-center gap-x-1">
                  <Button
                    slot="drag"
                    aria-label={`Move ${what} ${name}`}
                    className="grid h-7 w-6 shrink-0 cursor-grab place-items-center text-quiet hover:text-base-content"
                  >
                    <GripVertical size={13} aria-hidden />
                  </Button>
                  <div className={`min-w-0 grow ${isOff ? 'text-quiet line-through' : ''}`}>
                    {children ? children(item, id) : <span className="truncate">{name}</span>}
                  </div>
                  {canRest && (
                    <Action
                      label={`${isOff ? 'Show' : 'Switch off'} ${what} ${name}`}
                      onPress={() => {
                        const patch = switching(now(), place);
                        act(patch, `${what} ${name} ${isOff ? 'shown' : 'off'}`);
                      }}
                    >
                      {isOff ? <EyeOff size={13} aria-hidden /> : <Eye size={13} aria-hidden />}
                    </Action>
                  )}
                  <Action
                    label={`Double ${what} ${name}`}
                    onPress={() =>
                      act(doubling(now(), place, freshId(what)), `${what} ${name} doubled`)
                    }
                  >
                    <CopyPlus size={13} aria-hidden />
                  </Action>
                  {isLast ? (
                    <span className="w-6 shrink-0" title={`one ${what} stays`} />
                  ) : (
                    <Action
                      label={`Remove ${what} ${name}`}
                      onPress={() => act(takingOut(now(), place), `without ${what} ${name}`)}
                    >
                      <X size={13} aria-hidden />
                    </Action>
                  )}
                </div>
                {below?.(item, id)}
              </GridListItem>
            );
          }}
        </GridList>
      )}
      {adder === undefined ? (
        <button
          type="button"
          className="act mt-1 gap-1"
          onClick={() =>
            act(addingAfter(now(), path, collection.order.at(-1), freshId(what)), `another ${what}`)
          }
        >
          <Plus size={13} aria-hidden /> Another {what}
        </button>
      ) : (
        adder
      )}
    </div>
  );
}
