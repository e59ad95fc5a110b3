import { newToken, TOKEN_TYPES } from '@garnish/core/system/custom-making';
import { ownTokens } from '@garnish/core/formats/incoming';
import { adding } from '@garnish/core/system/collection';
import { renameProblem } from '@garnish/core/system/custom-tokens';
import { useId, useState } from 'react';
import { useStore } from '../../system/system-context.ts';
import { announce } from '../../ui/announce.tsx';

interface NewTokenProps {
  readonly onMade: (path: string) => void;
  readonly onLeave: () => void;
}

/** A token of one's own, of any type of the open format. */
export function NewToken({ onMade, onLeave }: NewTokenProps) {
  const store = useStore();
  const [name, setName] = useState('');
  const [type, setType] = useState(TOKEN_TYPES[0] ?? 'color');
  const [problem, setProblem] = useState<string>();
  const field = useId();
  const says = useId();
  const make = (): void => {
    const path = name.trim();
    const { document } = store.state().decided;
    const { custom } = document.tokens;
    const own = ownTokens(document).map((token) => token.path);
    const id = `token-${crypto.randomUUID().slice(0, 13)}`;
    const refused =
      renameProblem(custom, own, id, path) ??
      store.decide(adding('/tokens/custom', custom, id, newToken(path, type)), `${path} is made`);
    setProblem(refused);
    if (refused !== undefined) return;
    announce(`${path} is made`);
    onMade(path);
  };
  return (
    <form
      aria-label="New token"
      className="mb-2 border-y border-line py-2"
      onSubmit={(event) => {
        event.preventDefault();
        make();
      }}
      onKeyDown={({ key }) => key === 'Escape' && onLeave()}
    >
      <div className="grid grid-cols-[minmax(0,1fr)_8rem] gap-x-3">
        <label htmlFor={field} className="text-quiet">
          Name, its groups before it
        </label>
        <span className="text-quiet">Type</span>
        <input
          id={field}
          // eslint-disable-next-line jsx-a11y/no-autofocus -- it was asked for a moment ago
          autoFocus
          className="input figures w-full"
          placeholder="brand.glow"
          maxLength={200}
          value={name}
          aria-invalid={problem !== undefined}
          aria-describedby={problem === undefined ? undefined : says}
          onChange={({ currentTarget: { value } }) => {
            setName(value);
            setProblem(undefined);
          }}
        />
        <select
          aria-label="Type of the new token"
          className="select w-full min-w-0"
          value={type}
          onChange={({ currentTarget: { value } }) =>
            setType(TOKEN_TYPES.find((one) => one === value) ?? type)
          }
        >
          {TOKEN_TYPES.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      </div>
      {problem !== undefined && (
        <p id={says} role="alert" className="text-error">
          {problem}
        </p>
      )}
      <div className="mt-1 flex gap-x-4">
        <button type="submit" className="btn">
          Make it
        </button>
        <button type="button" className="act" onClick={onLeave}>
          Cancel
        </button>
      </div>
    </form>
  );
}
