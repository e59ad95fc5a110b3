import { useStore } from '../system/system-context.ts';
import type { Conflict } from '../system/store.ts';
import { Dialog } from '../ui/dialog.tsx';

const shown = (value: unknown): string => {
  if (value === undefined) return 'nothing';
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  return text.length > 90 ? `${text.slice(0, 90)}…` : text;
};

const place = (path: string): string => path.split('/').slice(1).join(' › ');

/** Two people changed one value: neither disappears until somebody has chosen. */
export function ConflictDialog({ conflict }: { readonly conflict: Conflict }) {
  const store = useStore();
  return (
    <Dialog title="Changed in two places at once">
      <p className="text-quiet">{place(conflict.path)}</p>
      <dl className="my-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        <dt>From here</dt>
        <dd className="figures break-all">{shown(conflict.mine)}</dd>
        <dt>From there</dt>
        <dd className="figures break-all">{shown(conflict.theirs)}</dd>
      </dl>
      <p className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-primary" onClick={() => store.resolve('mine')}>
          Keep the one from here
        </button>
        <button type="button" className="btn" onClick={() => store.resolve('theirs')}>
          Take the one from there
        </button>
      </p>
    </Dialog>
  );
}
