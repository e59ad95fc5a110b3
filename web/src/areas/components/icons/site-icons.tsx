import type { SystemIcon } from '@garnish/core/system/icons';
import { IconDrawn } from '../../../ui/icon-drawn.tsx';

const SHOWN_PX = 24;

interface SiteIconsProps {
  readonly icons: readonly SystemIcon[];
  readonly stroke: number;
  readonly faint: number;
  readonly opened: string | undefined;
  /** Nothing for another one. */
  readonly onOpen: (id: string | undefined) => void;
}

/** Every icon that the site has, by what it is for; one opened is swapped by what is found. */
export function SiteIcons({ icons, stroke, faint, opened, onOpen }: SiteIconsProps) {
  return (
    <ul
      aria-label="Icons of the site"
      className="grid grid-cols-[repeat(auto-fill,minmax(5.25rem,1fr))] gap-px"
    >
      {icons.map(({ id, name, drawing, decided, measures }) => (
        <li key={id} data-decision={decided ? `/icons/named/items/${id}` : undefined}>
          <button
            type="button"
            aria-pressed={id === opened}
            title={decided ? name : `${name}: a sign of our own, drawn by components`}
            className="grid w-full justify-items-center gap-1 px-1 pt-2 pb-1 hover:bg-base-200 aria-pressed:bg-base-200 aria-pressed:outline-1 aria-pressed:-outline-offset-1 aria-pressed:outline-base-content"
            onClick={() => onOpen(id === opened ? undefined : id)}
          >
            <IconDrawn
              drawing={drawing}
              px={SHOWN_PX}
              faint={faint}
              {...(measures.kind !== 'filled' && { stroke })}
            />
            <span
              className={`w-full truncate text-center text-xs ${decided ? '' : 'text-quiet italic'}`}
            >
              {name}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
