import { logoOf } from '@garnish/core/proof/mark';
import { inOneColor, plainPaints } from '@garnish/core/formats/artwork-fills';
import type { Mode } from '@garnish/core/system/document';
import { useState } from 'react';
import { renderNode } from '../../proof/render.tsx';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore } from '../../system/system-context.ts';
import { FileDrop } from '../../ui/file-drop.tsx';
import { croppedSvg } from '../../ui/cropped-svg.ts';
import { sanitizedSvg } from '../../ui/sanitized-svg.ts';
import { saveAs } from '../../ui/save-as.ts';

const MOST_CHARACTERS = 60_000;
const SHOWN_PX = 44;

/** The versions of a logo: for each ground, and in one color. */
const VERSIONS = [
  { id: 'light', on: 'for light grounds' },
  { id: 'dark', on: 'for dark grounds' },
  { id: 'one', on: 'in one color' },
] as const;
type Version = (typeof VERSIONS)[number]['id'];

/** The logo on the page’s own ground, with its clear space around it; in one color as text is. */
function Shown({ version }: { readonly version: Version }) {
  const decided = useDecided(['content', 'layout'], ['colors']);
  const { layout, content } = decided.document;
  const { logo } = layout;
  const mode: Mode = version === 'dark' ? 'dark' : 'light';
  const page = decided.derived.colors.get('page')?.colors[mode];
  const own =
    version === 'one'
      ? (logo.one ?? '')
      : version === 'dark'
        ? (logo.dark ?? logo.light)
        : logo.light;
  const [node] = logoOf(
    content.mark,
    own === undefined ? { ...logo, dark: undefined } : { ...logo, light: own, dark: undefined },
  );
  const clear = SHOWN_PX * logo.clear;
  return (
    <figure>
      <div
        className="grid h-28 w-36 place-items-center border border-line"
        style={{ background: page, color: decided.derived.colors.get('text')?.colors[mode] }}
      >
        <span className="outline-1 outline-dashed outline-line-strong" style={{ padding: clear }}>
          <span
            className="block [&_svg]:h-full [&_svg]:w-auto [&>span]:block [&>span]:h-full"
            style={{
              height: SHOWN_PX,
              ['--color-link' as string]: decided.derived.colors.get('link')?.colors[mode],
              ['--color-action' as string]: decided.derived.colors.get('action')?.colors[mode],
            }}
          >
            {node && renderNode(node, false)}
          </span>
        </span>
      </div>
      <figcaption className="text-xs text-quiet">
        {version === 'one'
          ? own === ''
            ? 'in one color: not yet'
            : 'in the color of the text'
          : `on the page in ${mode}`}
        {version === 'dark' && logo.light !== undefined && logo.dark === undefined
          ? ', as in light'
          : ''}
      </figcaption>
    </figure>
  );
}

/** The logo’s versions and the decisions about it. */
export function LogoEditor() {
  const store = useStore();
  const decided = useDecided(['layout']);
  const { logo } = decided.document.layout;
  const [told, setTold] = useState<string>();
  const [cropped, setCropped] = useState<string>();
  const [busy, setBusy] = useState(false);
  const takeAway = async (): Promise<void> => {
    setBusy(true);
    try {
      const [{ logoFiles }, { zipSync }] = await Promise.all([
        import('./logo-files.ts'),
        import('fflate'),
      ]);
      const { document, derived } = store.state().decided;
      const files = await logoFiles(document, derived);
      saveAs(
        'site-icons.zip',
        new Blob([Uint8Array.from(zipSync(files))], { type: 'application/zip' }),
      );
    } catch (error) {
      setTold(error instanceof Error ? error.message : 'The files could not be made.');
    } finally {
      setBusy(false);
    }
  };
  const read = async (version: Version, file: File): Promise<void> => {
    const clean = sanitizedSvg(plainPaints(await file.text()));
    if (!/<svg[\s>]/i.test(clean)) {
      setTold(`${file.name} is no SVG. Nothing was changed.`);
      return;
    }
    if (clean.length > MOST_CHARACTERS) {
      setTold(
        `${file.name} has ${clean.length} characters; up to ${MOST_CHARACTERS} are taken. Nothing was changed.`,
      );
      return;
    }
    if (version !== 'light' && logo.light === undefined) {
      setTold('Import the version for light grounds first. Nothing was changed.');
      return;
    }
    const { svg, cut } = await croppedSvg(clean);
    setTold(undefined);
    setCropped(
      cut.some((share) => share > 0)
        ? `Cropped to what is drawn: of the artboard ${cut.map((share) => `${Math.round(share * 100)} %`).join(', ')} was empty above, at the right, below and at the left.`
        : undefined,
    );
    store.change(
      [
        {
          op: logo[version] === undefined ? 'add' : 'replace',
          path: `/layout/logo/${version}`,
          // What comes for it follows the text, whatever it was painted with.
          value: version === 'one' ? inOneColor(svg) : svg,
        },
      ],
      `logo ${VERSIONS.find(({ id }) => id === version)?.on ?? ''}`,
    );
  };
  return (
    <div data-decision="/layout/logo">
      <div className="flex flex-wrap gap-x-5 gap-y-2">
        {VERSIONS.map(({ id, on }) => (
          <div key={id}>
            <Shown version={id} />
            <FileDrop
              name={`Logo ${on} from a file`}
              label={logo[id] === undefined ? 'Import an SVG' : 'Import another SVG'}
              accept=".svg,image/svg+xml"
              onFiles={([file]) => file && void read(id, file)}
            />
            {id === 'one' && logo.light !== undefined && logo.one === undefined && (
              <button
                type="button"
                className="act block"
                onClick={() =>
                  store.change(
                    [{ op: 'add', path: '/layout/logo/one', value: inOneColor(logo.light ?? '') }],
                    'logo in one color',
                  )
                }
              >
                Make it from the light one
              </button>
            )}
            {logo[id] !== undefined &&
              (id !== 'light' || (logo.dark === undefined && logo.one === undefined)) && (
                <button
                  type="button"
                  className="min-h-6 text-quiet hover:text-base-content hover:underline"
                  onClick={() =>
                    store.change([{ op: 'remove', path: `/layout/logo/${id}` }], `no logo ${on}`)
                  }
                >
                  Remove
                </button>
              )}
          </div>
        ))}
        <div className="grid w-full max-w-md grid-cols-3 items-end gap-3">
          <DecidedNumber
            label="least height"
            path="/layout/logo/least"
            name="least height of the logo"
            value={logo.least}
            step={1}
            unit="px"
          />
          <DecidedNumber
            label="clear space, of its height"
            path="/layout/logo/clear"
            name="clear space of the logo"
            value={logo.clear}
            step={0.05}
            unit="×"
          />
          <DecidedNumber
            label="height, of the text"
            path="/layout/logo/scale"
            name="scale of the logo"
            value={logo.scale}
            step={0.1}
            unit="×"
          />
        </div>
      </div>
      {told !== undefined && (
        <p role="alert" className="text-error">
          {told}
        </p>
      )}
      {cropped !== undefined && (
        <p role="status" className="text-quiet">
          {cropped}
        </p>
      )}
      <p className="mt-2">
        <button type="button" className="act" disabled={busy} onClick={() => void takeAway()}>
          {busy ? 'Drawing …' : 'Browser, touch and application icons, picture for shared links'}
        </button>
      </p>
      {logo.light === undefined && (
        <p className="text-xs text-quiet">
          Until there is a file, a mark in the colors of the roles stands for it.
        </p>
      )}
    </div>
  );
}
