import { parseColor } from '@garnish/core/color/parse-color';
import type { Hex } from '@garnish/core/color/srgb';
import { plainPaints } from '@garnish/core/formats/artwork-fills';
import { SITE_KINDS } from '@garnish/core/system/site-kinds';
import { useState, type SyntheticEvent } from 'react';
import { useNavigate } from 'react-router';
import { send } from '../api/client.ts';
import { systemSummary } from '../api/resources.ts';
import { Dialog } from '../ui/dialog.tsx';
import { sanitizedSvg } from '../ui/sanitized-svg.ts';
import { announce } from '../ui/announce.tsx';
import { proveOn } from '../proof/worn/prove-on.ts';
import { FromAPage, type Taken } from './from-a-page.tsx';

const ADDRESS = '/api/systems';
const MOST_COLORS = 8;
const MOST_CHARACTERS = 60_000;

type Colors =
  | { readonly ok: true; readonly colors: readonly Hex[] }
  | { readonly ok: false; readonly problem: string };

/** Colors as somebody writes them, one after the other; a comma within parentheses parts nothing. */
function readColors(text: string): Colors {
  const words = text.split(/[\n;]+|,(?![^(]*\))|\s+(?![^(]*\))/).map((word) => word.trim());
  const colors: Hex[] = [];
  for (const word of words.filter(Boolean)) {
    const read = parseColor(word);
    if (!read.ok) return { ok: false, problem: `“${word}” is no color: ${read.problem}` };
    colors.push(read.hex);
  }
  return colors.length > MOST_COLORS
    ? { ok: false, problem: `Up to ${MOST_COLORS} colors of a brand are taken here.` }
    : { ok: true, colors };
}

/** The logo as the document keeps it; nothing where no file was chosen, words where it is no SVG. */
async function readLogo(file: FormDataEntryValue | null): Promise<{
  readonly logo?: string;
  readonly problem?: string;
}> {
  if (!(file instanceof File) || file.size === 0) return {};
  const clean = sanitizedSvg(plainPaints(await file.text()));
  if (!/<svg[\s>]/i.test(clean)) return { problem: `${file.name} is no SVG.` };
  return clean.length > MOST_CHARACTERS
    ? {
        problem: `${file.name} has ${clean.length} characters; up to ${MOST_CHARACTERS} are taken.`,
      }
    : { logo: clean };
}

const wordsOf = (form: FormData, field: string): string => {
  const value = form.get(field);
  return typeof value === 'string' ? value.trim() : '';
};

/** Asks for what a system begins with: its name, the kind of site, and what is there of its brand. */
export default function NewSystem({ onClose }: { readonly onClose: () => void }) {
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const [taken, setTaken] = useState<Taken>();
  const make = async (form: FormData): Promise<void> => {
    const name = wordsOf(form, 'name');
    if (name === '') {
      setProblem('Give it a name first.');
      return;
    }
    const read = readColors(wordsOf(form, 'colors'));
    if (!read.ok) {
      setProblem(read.problem);
      return;
    }
    const { logo, problem: unread } = await readLogo(form.get('logo'));
    if (unread !== undefined) {
      setProblem(unread);
      return;
    }
    setBusy(true);
    // What is written down comes first: it is meant.
    const colors = [...new Set([...read.colors, ...(taken?.colors ?? [])])].slice(0, MOST_COLORS);
    const answer = await send('POST', ADDRESS, {
      name,
      kind: wordsOf(form, 'kind'),
      ...(colors.length > 0 && { colors }),
      ...(taken && { patch: taken.patch }),
      ...(logo !== undefined && { logo }),
    });
    const { id } = systemSummary.parse(answer);
    if (taken?.page)
      // The system is made, whatever becomes of the page: it can be read again in Review.
      await proveOn(id, taken.page).catch((error: unknown) =>
        announce(error instanceof Error ? error.message : 'The page could not be kept.'),
      );
    await navigate(`/systems/${id}/brief`);
  };
  const submit = (event: SyntheticEvent<HTMLFormElement>): void => {
    event.preventDefault();
    make(new FormData(event.currentTarget)).catch((error: unknown) => {
      setBusy(false);
      setProblem(error instanceof Error ? error.message : 'It could not be made.');
    });
  };
  return (
    <Dialog title="A new system" onClose={onClose} wide={taken !== undefined}>
      <form onSubmit={submit}>
        <label className="block text-quiet" htmlFor="new-name">
          Name of the site
        </label>
        <input id="new-name" name="name" className="input w-full" maxLength={80} autoFocus />
        <fieldset className="mt-3">
          <legend className="text-quiet">What it is</legend>
          {SITE_KINDS.map(({ id, name, says }, index) => (
            <label key={id} className="flex min-h-7 items-center gap-2 border-t border-line py-1">
              <input
                type="radio"
                name="kind"
                value={id}
                defaultChecked={index === 0}
                className="h-4 w-4 shrink-0 accent-primary"
              />
              <span className="font-semibold">{name}</span>
              <span className="text-quiet">{says}</span>
            </label>
          ))}
        </fieldset>
        <label className="mt-3 block text-quiet" htmlFor="new-colors">
          Colors of the brand, if there are any
        </label>
        <input
          id="new-colors"
          name="colors"
          className="input w-full"
          placeholder="#2a6365, rebeccapurple, oklch(0.7 0.15 60)"
          maxLength={400}
        />
        <label className="mt-3 block text-quiet" htmlFor="new-logo">
          Logo as SVG, if there is one
        </label>
        <input
          id="new-logo"
          name="logo"
          type="file"
          accept=".svg,image/svg+xml"
          className="w-full text-quiet file:me-3 file:min-h-7 file:border file:border-line-strong file:bg-transparent file:px-2 file:text-base-content"
        />
        <details className="mt-3 border-t border-line pt-1">
          <summary className="min-h-6 cursor-pointer">From a site that exists</summary>
          <p className="mb-1 text-quiet">
            Its style sheets, or a page saved by a browser: what they say of sizes, spaces, corners
            and colors is taken, as far as you wish.
          </p>
          <FromAPage onTaken={setTaken} />
        </details>
        {problem !== undefined && (
          <p role="alert" className="mt-1 text-error">
            {problem}
          </p>
        )}
        <p className="mt-4 flex gap-2">
          <button className="btn btn-primary" disabled={busy}>
            Make it
          </button>
          <button type="button" className="btn" onClick={onClose}>
            Not now
          </button>
        </p>
      </form>
    </Dialog>
  );
}
