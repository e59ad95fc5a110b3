import { FAMILIES } from '@garnish/core/system/families';
import { inOrder, type Mode } from '@garnish/core/system/document';
import { useDecidedLater } from '../../system/system-context.ts';

/** What is chosen where components are to stand on a picture. */
export const ON_PICTURE = 'picture';

const GROUNDS = ['page', 'surface', 'raised', ...FAMILIES] as const;

interface GroundsProps {
  readonly value: string;
  readonly theme: Mode;
  readonly onChange: (value: string) => void;
}

/** What a component may stand on: each as a patch of its color, and a picture where the system has one under words. */
export function Grounds({ value, theme, onChange }: GroundsProps) {
  const { document, derived } = useDecidedLater(['color'], ['colors', 'tokenById']);
  const hasPicture = inOrder(document.color.veils).length > 0;
  const grounds = GROUNDS.flatMap((id) => {
    const role = derived.colors.get(id);
    const css = derived.tokenById.get(`color.${role?.slug ?? ''}`)?.values[theme].css;
    return role ? [{ id, name: role.name, css }] : [];
  });
  const all = hasPicture
    ? [...grounds, { id: ON_PICTURE, name: 'a picture', css: undefined }]
    : grounds;
  return (
    <div className="flex min-w-0 flex-wrap items-center gap-x-1">
      <div role="group" aria-label="What it stands on" className="flex flex-wrap gap-x-1">
        {all.map(({ id, name, css }) => (
          <button
            key={id}
            type="button"
            aria-pressed={id === value}
            aria-label={name}
            title={name}
            className="grid h-7 w-6 content-start aria-pressed:border-b-2 aria-pressed:border-base-content"
            onClick={() => onChange(id)}
          >
            <span
              aria-hidden
              className="block h-5 w-6 border border-line-strong"
              style={{
                background:
                  css ?? 'linear-gradient(165deg, #7d9fb5 0 45%, #55645a 45% 70%, #2f3a35 70%)',
              }}
            />
          </button>
        ))}
      </div>
      <span className="ms-1 text-quiet">{all.find(({ id }) => id === value)?.name}</span>
    </div>
  );
}
