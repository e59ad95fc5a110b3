import { inOrder, type FollowedPart } from '@garnish/core/system/document';
import { followersOf } from '@garnish/core/system/following';
import { X } from 'lucide-react';
import { useDecided, useStore } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';
import { useRoleChange, type RolePartProps } from './use-role-change.ts';

const SAYS: Readonly<Partial<Record<FollowedPart, string>>> = {
  lineHeight: 'line height',
  letterSpacing: 'letter spacing',
  sizes: 'sizes of its own',
  after: 'space after',
  longest: 'longest line',
  align: 'alignment',
  fit: 'lines at most',
};

/** Which role this one is like, and what of it is its own. */
export function Follows({ id, role }: RolePartProps) {
  const store = useStore();
  const { type } = useDecided(['type']).document;
  const { path, clear, back } = useRoleChange(id, role);
  const { follows, name } = role;
  const followers = followersOf(type, id);
  if (followers.length > 0)
    return (
      <p className="mb-1 text-xs text-quiet">
        Followed by {followers.map((one) => type.roles.items[one]?.name ?? one).join(', ')}.
      </p>
    );
  return (
    <div className="mb-1 flex flex-wrap items-center gap-x-3" data-decision={`${path}/follows`}>
      <label className="flex items-center gap-2">
        <span className="text-xs text-quiet">follows</span>
        <TrySelect
          aria-label={`Role that ${name} follows`}
          className="select w-36"
          value={follows?.of ?? ''}
          onChange={({ currentTarget: { value: of } }) =>
            store.change(
              of === ''
                ? [{ op: 'remove', path: `${path}/follows` }]
                : [{ op: 'add', path: `${path}/follows`, value: { of, but: [] } }],
              of === '' ? `${name} by itself` : `${name} as ${type.roles.items[of]?.name ?? of}`,
            )
          }
        >
          <option value="">no other role</option>
          {inOrder(type.roles)
            .filter(([other, one]) => other !== id && !one.follows)
            .map(([other, one]) => (
              <option key={other} value={other}>
                {one.name}
              </option>
            ))}
        </TrySelect>
      </label>
      {follows && (
        <p className="flex flex-wrap items-center gap-x-2 text-xs text-quiet">
          {follows.but.length === 0 ? 'in everything; what is changed here is its own' : 'but for'}
          {follows.but.map((part) => (
            <button
              key={part}
              type="button"
              className="flex min-h-6 items-center gap-1 text-base-content hover:underline"
              aria-label={`${SAYS[part] ?? part} ${back} again`}
              title={`${back} again`}
              onClick={() => clear(part)}
            >
              {SAYS[part] ?? part} <X size={11} aria-hidden />
            </button>
          ))}
        </p>
      )}
    </div>
  );
}
