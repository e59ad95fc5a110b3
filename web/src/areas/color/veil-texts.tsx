import { adding, removing } from '@garnish/core/system/collection';
import { inOrder, type Veil } from '@garnish/core/system/document';
import { Plus, X } from 'lucide-react';
import { useDecided, useStore } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';

interface VeilTextsProps {
  readonly id: string;
  readonly veil: Veil;
}

/** The texts that stand on a picture, each in a text role. */
export function VeilTexts({ id, veil }: VeilTextsProps) {
  const store = useStore();
  const decided = useDecided(['type']);
  const path = `/color/veils/items/${id}/boxes`;
  return (
    <ul aria-label={`Texts on ${veil.name}`}>
      {inOrder(veil.boxes).map(([key, box]) => (
        <li key={key} className="flex items-center gap-2">
          <TrySelect
            className="bare select w-32"
            aria-label={`Text role of ${key}`}
            value={box.text}
            onChange={(event) =>
              store.change(
                [
                  {
                    op: 'replace',
                    path: `${path}/items/${key}/text`,
                    value: event.currentTarget.value,
                  },
                ],
                `text on ${veil.name}`,
              )
            }
          >
            {inOrder(decided.document.type.roles).map(([role, { name }]) => (
              <option key={role} value={role}>
                {name}
              </option>
            ))}
          </TrySelect>
          {veil.boxes.order.length > 1 && (
            <button
              type="button"
              className="grid h-7 w-6 shrink-0 place-items-center text-quiet hover:text-base-content"
              aria-label={`Remove box ${key}`}
              onClick={() =>
                store.change(removing(path, veil.boxes, key), `a text less on ${veil.name}`)
              }
            >
              <X size={12} aria-hidden />
            </button>
          )}
        </li>
      ))}
      <li>
        <button
          type="button"
          className="act gap-1"
          onClick={() => {
            const key = `box-${crypto.randomUUID().slice(0, 6)}`;
            store.change(
              adding(path, veil.boxes, key, {
                text: 'body',
                x: 0.05,
                y: 0.05,
                width: 0.4,
                height: 0.2,
              }),
              `another text on ${veil.name}`,
            );
          }}
        >
          <Plus size={13} aria-hidden /> Another text on it
        </button>
      </li>
    </ul>
  );
}
