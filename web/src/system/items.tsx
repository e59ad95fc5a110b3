import { inOrder, type Collection } from '@garnish/core/system/document';
import { adding, removing } from '@garnish/core/system/collection';
import type { Patch } from '@garnish/core/system/patch';
import { Plus, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { useStore } from './system-context.ts';
import { NameField } from '../ui/name-field.tsx';

interface ItemsProps<Item extends { readonly name: string }> {
  /** Where the collection stands in the document. */
  readonly path: string;
  readonly collection: Collection<Item>;
  /** What one of them is: “radius”. */
  readonly what: string;
  /** Columns for what follows the name. */
  readonly columns: string;
  /** Another one, after those that are there. */
  readonly another: () => NoInfer<Item>;
  /** Why one has to stay; nothing where it can go. */
  readonly kept?: (id: string) => string | undefined;
  /** What else goes when one goes. */
  readonly along?: (id: string) => Patch;
  /** No name field, where names are not decided here. */
  readonly unnamed?: boolean;
  readonly least?: number;
  readonly children: (id: string, item: Item, path: string) => ReactNode;
  /** What stands under the line of one. */
  readonly below?: (id: string, item: Item) => ReactNode;
}

/** The things of a collection, one a line, each with its name and its numbers; one more at the end. */
export function Items<Item extends { readonly name: string }>(props: ItemsProps<Item>) {
  const { path, collection, what, columns, another, kept, along, unnamed, children } = props;
  const { least = 0, below } = props;
  const store = useStore();
  const add = (): void => {
    const id = `${what.replaceAll(/[^a-z]/g, '')}-${crypto.randomUUID().slice(0, 8)}`;
    store.change(adding(path, collection, id, another()), `another ${what}`);
  };
  return (
    <div data-decision={path}>
      <ul aria-label={`Every ${what}`}>
        {inOrder(collection).map(([id, item]) => {
          const at = `${path}/items/${id}`;
          const because = collection.order.length <= least ? `one ${what} stays` : kept?.(id);
          return (
            <li key={id} data-decision={at} className="border-t border-line py-1.5">
              <div
                className="grid grid-cols-(--columns) items-end gap-x-3 @max-[26rem]:grid-cols-3"
                style={{
                  ['--columns' as string]: `${unnamed === true ? '' : 'minmax(4.5rem, 7rem) '}${columns} 1.5rem`,
                }}
              >
                {unnamed !== true && (
                  <NameField
                    label={`Name of ${what} ${item.name}`}
                    hideLabel
                    value={item.name}
                    onChange={(value) =>
                      store.change(
                        [{ op: 'replace', path: `${at}/name`, value }],
                        `${what} ${value}`,
                      )
                    }
                  />
                )}
                {children(id, item, at)}
                {because === undefined ? (
                  <button
                    type="button"
                    className="grid h-7 w-6 place-items-center text-quiet hover:text-base-content"
                    aria-label={`Remove ${what} ${item.name}`}
                    title={`Remove ${item.name}`}
                    onClick={() =>
                      store.change(
                        [...(along?.(id) ?? []), ...removing(path, collection, id)],
                        `without ${what} ${item.name}`,
                      )
                    }
                  >
                    <X size={13} aria-hidden />
                  </button>
                ) : (
                  <span className="grid h-7 w-6 place-items-center text-quiet" title={because}>
                    <span className="sr-only">{because}</span>
                  </span>
                )}
              </div>
              {below?.(id, item)}
            </li>
          );
        })}
      </ul>
      <button type="button" className="act mt-1 gap-1" onClick={add}>
        <Plus size={13} aria-hidden /> Another {what}
      </button>
    </div>
  );
}
