import { ownTokens } from '@garnish/core/formats/incoming';
import {
  customIdOf,
  removingTokens,
  renameProblem,
  renamingToken,
} from '@garnish/core/system/custom-tokens';
import { useStore, useSystem } from '../../system/system-context.ts';
import { WordsField } from '../../ui/words-field.tsx';
import { TokenName } from './token-name.tsx';
import { TokenValues } from './token-values.tsx';
import type { Derived } from '@garnish/core/derive/derived';

interface CustomTokenProps {
  readonly path: string;
  readonly derived: Pick<Derived, 'tokens' | 'tokenById'>;
  readonly onOpen: (id: string) => void;
}

/** What can be decided of a token that came from elsewhere: its name, what it is for, whether it is to be used. */
export function CustomToken({ path, derived, onOpen }: CustomTokenProps) {
  const store = useStore();
  const custom = useSystem((state) => state.decided.document.tokens.custom);
  const id = customIdOf(custom, path);
  const item = id === undefined ? undefined : custom.items[id];
  if (id === undefined || !item) return null;
  const at = `/tokens/custom/items/${id}`;
  const write = (part: 'description' | 'deprecated', value: string | true | undefined): void => {
    if (value === undefined) {
      if (item[part] !== undefined)
        store.change([{ op: 'remove', path: `${at}/${part}` }], `${path}: no ${part}`);
    } else store.change([{ op: 'add', path: `${at}/${part}`, value }], `${path}: ${part}`);
  };
  const check = 'flex min-h-6 items-center gap-1.5';
  return (
    <div className="mt-2 border-t border-line pt-2" data-decision={at}>
      <TokenName
        label="Name"
        name={path}
        take={(next, keepsOld) => {
          const { document } = store.state().decided;
          const own = ownTokens(document).map((token) => token.path);
          const problem = renameProblem(custom, own, id, next);
          if (problem !== undefined) return `${problem} It stays ${path}.`;
          const kept = keepsOld ? `token-${crypto.randomUUID().slice(0, 13)}` : undefined;
          const patch = renamingToken(custom, id, next, kept);
          const refused = store.decide(patch, `${path} is ${next} now`);
          if (refused === undefined) onOpen(next);
          return refused;
        }}
      />
      <TokenValues id={id} item={item} derived={derived} />
      <WordsField
        label="What it is for"
        value={item.description ?? ''}
        onChange={(words) => write('description', words === '' ? undefined : words)}
      />
      <div className="flex flex-wrap items-center gap-x-5">
        <label className={check}>
          <input
            type="checkbox"
            className="h-4 w-4 accent-primary"
            checked={item.deprecated !== undefined}
            onChange={() => write('deprecated', item.deprecated === undefined ? true : undefined)}
          />
          deprecated
        </label>
        <button
          type="button"
          className="act"
          onClick={() => store.change(removingTokens(custom, new Set([id])), `${path} removed`)}
        >
          Remove this token
        </button>
      </div>
    </div>
  );
}
