import { useState } from 'react';
import { keepingPages } from '../../api/keeping-pages.ts';
import { deleteKeptPage } from '../../system/kept-page.ts';
import { Dialog } from '../../ui/dialog.tsx';
import { NameField } from '../../ui/name-field.tsx';

interface PageDialogProps {
  readonly system: string;
  readonly id: string;
  readonly name: string;
  readonly onClose: () => void;
  /** Something of it was changed. */
  readonly onRenamed: () => Promise<unknown>;
  readonly onRemoved: () => Promise<unknown>;
}

/** What a kept page is called, and how it is deleted. */
export function PageDialog(props: PageDialogProps) {
  const { system, id, name, onClose, onRenamed, onRemoved } = props;
  const [problem, setProblem] = useState<string>();
  const [isBusy, setBusy] = useState(false);
  const act = async (work: () => Promise<unknown>): Promise<void> => {
    setBusy(true);
    setProblem(undefined);
    try {
      await work();
    } catch (reason) {
      setProblem(reason instanceof Error ? reason.message : 'It could not be done.');
    } finally {
      setBusy(false);
    }
  };
  const keeping = keepingPages(system);
  return (
    <Dialog title="A page that the system is proved on" onClose={onClose}>
      <NameField
        label="Name"
        value={name}
        onChange={(next) =>
          void act(async () => {
            await keeping.rename(id, next);
            await onRenamed();
          })
        }
      />
      <p className="mt-3 text-quiet">
        It is kept with this system alone: no export and no link holds anything of it. Deleted, it
        cannot be brought back but by reading the page again.
      </p>
      {problem !== undefined && (
        <p role="alert" className="mt-2 text-error">
          {problem}
        </p>
      )}
      <div className="mt-4 flex justify-end gap-4">
        <button
          type="button"
          className="act"
          disabled={isBusy}
          onClick={() =>
            void act(async () => {
              await deleteKeptPage(system, id);
              await onRemoved();
            })
          }
        >
          Delete it for good
        </button>
        <button type="button" className="btn btn-primary btn-sm" onClick={onClose}>
          Done
        </button>
      </div>
    </Dialog>
  );
}
