import { fillsOf, nearestRoles, plainPaints } from '@garnish/core/formats/artwork-fills';
import type { Hex } from '@garnish/core/color/srgb';
import { jsonOf } from '@garnish/core/system/patch';
import { useState } from 'react';
import { useProofTheme } from '../../system/proof-theme.ts';
import { useDecided, useStore } from '../../system/system-context.ts';
import { FileDrop } from '../../ui/file-drop.tsx';
import { RoleSelect } from './role-select.tsx';
import { sanitizedSvg } from '../../ui/sanitized-svg.ts';

const PATH = '/content/artwork';
const MOST_CHARACTERS = 60_000;
/** What is looked through at all. */
const MOST_BYTES = 2 * 1024 * 1024;

/** SVG of the site's own: what could act is taken out, and its fills are taken from roles. */
export function ArtworkEditor() {
  const store = useStore();
  const decided = useDecided(['content'], ['colors']);
  const mode = useProofTheme();
  const [told, setTold] = useState<{ readonly words: string; readonly wrong: boolean }>();
  const { artwork } = decided.document.content;
  const read = async (file: File): Promise<void> => {
    if (file.size > MOST_BYTES) {
      setTold({ words: `${file.name} is larger than 2 MB. Nothing was changed.`, wrong: true });
      return;
    }
    const text = await file.text();
    // First without styles and handlers, which this page’s policy would only report, then made safe.
    const clean = sanitizedSvg(plainPaints(text));
    if (!/<svg[\s>]/i.test(clean)) {
      setTold({
        words: `${file.name} is no SVG that can be shown: it is none, or drawing it would take for ever. Nothing was changed.`,
        wrong: true,
      });
      return;
    }
    if (clean.length > MOST_CHARACTERS) {
      setTold({
        words: `${file.name} has ${clean.length} characters; up to ${MOST_CHARACTERS} are taken. Nothing was changed.`,
        wrong: true,
      });
      return;
    }
    const fills = nearestRoles(
      fillsOf(clean),
      [...decided.derived.colors.values()].map(({ id, colors }) => ({ id, hex: colors.light })),
    );
    const name = file.name.replace(/\.svg$/i, '').slice(0, 80) || 'artwork';
    store.change(
      [{ op: 'add', path: PATH, value: jsonOf({ name, svg: clean, fills, locked: false }) }],
      `artwork ${name}`,
    );
    const lost = /<script|\son[a-z]+\s*=|<foreignobject|href\s*=/i.test(text);
    setTold(
      lost
        ? {
            words: 'What could act or load (scripts, events, references) was taken out.',
            wrong: false,
          }
        : undefined,
    );
  };
  return (
    <div data-decision={PATH}>
      {artwork ? (
        <>
          <div className="mb-1 flex flex-wrap items-center gap-x-4">
            <span className="font-semibold">{artwork.name}</span>
            <label className="flex min-h-6 items-center gap-1.5">
              <input
                type="checkbox"
                className="h-4 w-4 accent-primary"
                checked={artwork.locked}
                onChange={() =>
                  store.change(
                    [{ op: 'replace', path: `${PATH}/locked`, value: !artwork.locked }],
                    artwork.locked ? 'artwork follows the palette' : 'artwork locked',
                  )
                }
              />
              locked: keeps its own colors
            </label>
            <button
              type="button"
              className="min-h-6 text-quiet hover:text-base-content hover:underline"
              onClick={() => store.change([{ op: 'remove', path: PATH }], 'without artwork')}
            >
              Remove
            </button>
          </div>
          <ul aria-label="Fills of the artwork" className="grid grid-cols-2 gap-x-6">
            {Object.entries(artwork.fills).map(([fill, role]) => (
              <li key={fill} className="flex items-center gap-2 border-b border-line">
                <span className="h-4 w-5 shrink-0" style={{ background: fill }} aria-hidden />
                <span className="figures text-xs text-quiet">{fill}</span>
                <span
                  className="h-4 w-5 shrink-0"
                  style={{ background: decided.derived.colors.get(role)?.colors[mode] }}
                  aria-hidden
                />
                <RoleSelect
                  bare
                  className="min-w-0 grow"
                  label={`Role of ${fill}`}
                  value={role}
                  disabled={artwork.locked}
                  onChange={(next) =>
                    store.change(
                      [{ op: 'replace', path: `${PATH}/fills/${fill as Hex}`, value: next }],
                      `role of ${fill}`,
                    )
                  }
                />
              </li>
            ))}
          </ul>
        </>
      ) : (
        <p className="pb-1 text-quiet">
          None yet. SVG brought here is shown in the proof, and its fills become roles.
        </p>
      )}
      <FileDrop
        name="Artwork from a file"
        label={artwork ? 'Import another SVG' : 'Import an SVG'}
        accept=".svg,image/svg+xml"
        className="mt-1"
        onFiles={([file]) => file && void read(file)}
      >
        {told && (
          <p role="alert" className={told.wrong ? 'text-error' : 'text-quiet'}>
            {told.words}
          </p>
        )}
      </FileDrop>
    </div>
  );
}
