import { inOrder, MOST_ANCHORS, type StyleDocument } from '@garnish/core/system/document';
import { addingAnchor } from '@garnish/core/system/type-changes';
import { Later, useDecided, useStore } from '../../system/system-context.ts';
import { AnchorRow, COLUMNS } from './anchor-row.tsx';
import { ScaleGround } from './scale-ground.tsx';

/** What an anchor is called: the two ends by their words, those between by their width. */
export const anchorName = (type: StyleDocument['type'], id: string): string => {
  const { order, items } = type.anchors;
  if (order[0] === id) return 'narrow';
  return order.at(-1) === id ? 'wide' : `${items[id]?.width ?? ''} px`;
};

/** The screen widths at which sizes are decided, from the narrowest up. */
export function Anchors() {
  const store = useStore();
  const decided = useDecided(['type']);
  const { type } = decided.document;
  return (
    <>
      <div className={`mb-1 grid ${COLUMNS} gap-x-2.5 text-quiet @max-[26rem]:hidden`} aria-hidden>
        <span>at width</span>
        <span>base</span>
        <span>ratio</span>
        <span>interval</span>
      </div>
      {inOrder(type.anchors).map(([id, anchor]) => (
        <AnchorRow
          key={id}
          id={id}
          anchor={anchor}
          name={anchorName(type, id)}
          scale={type.scale}
          place={type.roles.items['h1']?.place ?? 0}
          removable={type.anchors.order.length > 2}
        />
      ))}
      {type.anchors.order.length < MOST_ANCHORS && (
        <button
          type="button"
          className="act"
          onClick={() => store.change(addingAnchor(type, crypto.randomUUID()), 'another anchor')}
        >
          Another anchor between
        </button>
      )}
      <Later select={({ decided }) => decided.document.type}>
        {(later) => <ScaleGround type={later} />}
      </Later>
    </>
  );
}
