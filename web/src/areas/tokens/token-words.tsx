import {
  describing,
  descriptionsOf,
  extendingGroups,
  groupsOf,
} from '@garnish/core/system/descriptions';
import { useStore, useSystem } from '../../system/system-context.ts';
import { WordsField } from '../../ui/words-field.tsx';

interface TokenWordsProps {
  readonly id: string;
  /** What the system says of the token itself; one from elsewhere says it in its own place. */
  readonly own?: string | undefined;
  readonly isOwn: boolean;
}

/** What a token, and the groups that it stands in, are for: it goes with them into the files. */
export function TokenWords({ id, own, isOwn }: TokenWordsProps) {
  const store = useStore();
  const descriptions = useSystem((state) => state.decided.document.tokens.descriptions);
  const said = descriptionsOf(descriptions);
  const extending = extendingGroups(descriptions);
  const groups = [...groupsOf([id])];
  const field = (path: string, label: string, value: string) => (
    <WordsField
      key={path}
      label={label}
      value={value}
      onChange={(text) => {
        const patch = describing(
          descriptions,
          [{ path, text }],
          () => `words-${crypto.randomUUID().slice(0, 13)}`,
        );
        if (patch.length > 0) store.change(patch, `what ${path} is for`.slice(0, 120));
      }}
    />
  );
  return (
    <details className="mt-2" data-decision="/tokens/descriptions">
      <summary className="min-h-6 cursor-pointer text-quiet">
        What it is for, and its groups
      </summary>
      {isOwn && field(id, `What ${id} is for`, said.get(id) ?? own ?? '')}
      {groups.map((group) => (
        <div key={group}>
          {field(group, `What the group ${group} is for`, said.get(group) ?? '')}
          {extending.has(group) && (
            <p className="text-xs text-quiet">
              {group} extends {extending.get(group)}: a file of the open format says so as long as
              it has all that is there.
            </p>
          )}
        </div>
      ))}
    </details>
  );
}
