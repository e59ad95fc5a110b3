import { nameChanges, tokenNamesOf } from '@garnish/core/formats/token-naming';
import type { Derived } from '@garnish/core/derive/derived';
import { formProblem } from '@garnish/core/system/custom-tokens';
import {
  callingToken,
  keepingProblem,
  namingPatch,
  withNaming,
} from '@garnish/core/system/sheet-naming';
import { useStore, useSystem } from '../../system/system-context.ts';
import { TokenName } from './token-name.tsx';

interface OwnNameProps {
  readonly id: string;
  readonly derived: Pick<Derived, 'groups' | 'rules'>;
}

/** What a token that the system makes is called outside: as its tier is called, or otherwise. */
export function OwnName({ id, derived }: OwnNameProps) {
  const store = useStore();
  const sheet = useSystem((state) => state.decided.document.tokens.sheet);
  const name = tokenNamesOf(sheet, derived).tokens.get(id)?.path.join('.') ?? id;
  return (
    <details className="mt-2">
      <summary className="min-h-6 cursor-pointer text-quiet">Name outside: {name}</summary>
      <TokenName
        label="Name outside"
        name={name}
        take={(next, keepsOld) => {
          const form = formProblem(next);
          if (form !== undefined) return `${form} It stays ${name}.`;
          const tooMany = keepsOld ? keepingProblem(sheet) : undefined;
          if (tooMany !== undefined) return tooMany;
          const newId = `name-${crypto.randomUUID().slice(0, 13)}`;
          const naming = callingToken(sheet, id, next === id ? undefined : next, newId);
          const { clashes } = nameChanges(sheet, withNaming(sheet, naming), derived);
          const [clash] = clashes;
          if (clash)
            return `${next} cannot be: ${clash.id === id ? clash.reason : `${clash.id} is called so`}. It stays ${name}.`;
          const kept = keepsOld ? `names-${crypto.randomUUID().slice(0, 8)}` : undefined;
          return store.decide(namingPatch(sheet, naming, kept), `${name} is called ${next}`);
        }}
      />
    </details>
  );
}
