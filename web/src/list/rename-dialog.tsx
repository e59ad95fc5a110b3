import { useState } from 'react';
import { get, send } from '../api/client.ts';
import { openedSystem, type SystemSummary } from '../api/resources.ts';
import { Dialog } from '../ui/dialog.tsx';

interface RenameDialogProps {
  readonly system: SystemSummary;
  readonly onClose: () => void;
}

/** A new name is a change like any other, so that it can be undone and is heard of elsewhere. */
async function rename(id: string, name: string, description: string): Promise<void> {
  const { sequence } = await get(`/api/systems/${id}`, openedSystem);
  await send('POST', `/api/systems/${id}/changes`, {
    id: crypto.randomUUID(),
    base: sequence,
    patch: [
      { op: 'replace', path: '/name', value: name },
      { op: 'replace', path: '/description', value: description },
    ],
    label: `name ${name}`,
    window: crypto.randomUUID(),
    gesture: crypto.randomUUID(),
  });
}

export function RenameDialog({ system, onClose }: RenameDialogProps) {
  const [problem, setProblem] = useState<string>();
  const take = (name: string, description: string): void => {
    if (name === '') {
      setProblem('A system needs a name.');
      return;
    }
    rename(system.id, name, description)
      .then(onClose)
      .catch((error: unknown) => {
        setProblem(error instanceof Error ? error.message : 'It keeps its name.');
      });
  };
  return (
    <Dialog title={`Rename ${system.name}`} onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          const form = new FormData(event.currentTarget);
          const words = (field: string): string => {
            const value = form.get(field);
            return typeof value === 'string' ? value.trim() : '';
          };
          take(words('name'), words('description'));
        }}
      >
        <label className="block text-quiet" htmlFor="rename">
          New name
        </label>
        <input
          id="rename"
          name="name"
          className="input w-full"
          maxLength={80}
          defaultValue={system.name}
          autoFocus
        />
        <label className="mt-3 block text-quiet" htmlFor="describe">
          Description
        </label>
        <textarea
          id="describe"
          name="description"
          className="block w-full border-b border-line-strong bg-transparent"
          rows={3}
          maxLength={2000}
          defaultValue={system.description}
        />
        {problem !== undefined && (
          <p role="alert" className="mt-1 text-error">
            {problem}
          </p>
        )}
        <p className="mt-4 flex gap-2">
          <button className="btn btn-primary">Rename it</button>
          <button type="button" className="btn" onClick={onClose}>
            Not now
          </button>
        </p>
      </form>
    </Dialog>
  );
}
