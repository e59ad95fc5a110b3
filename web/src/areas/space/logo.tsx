import { logoOf } from '@garnish/core/proof/mark';
import { plainPaints } from '@garnish/core/formats/artwork-fills';
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

/** The logo on the page’s own ground, with its clear space around it. */
function Shown({ mode }: { readonly mode: Mode }) {
  const decided = useDecided(['content', 'layout'], ['colors']);
  const { layout, content } = decided.document;
  const { logo } = layout;
  const page = decided.derived.colors.get('page')?.colors[mode];
  const own = mode === 'dark' ? (logo.dark ?? logo.light) : logo.light;
  const [node] = logoOf(
    content.mark,
    own === undefined ? { ...logo, dark: undefined } : { ...logo, light: own, dark: undefined },
  );
  const clear = SHOWN_PX * logo.clear;
  return (
    <figure>
      <div
        className="grid h-28 w-36 place-items-center border border-line"
        style={{ background: page }}
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
        on the page in {mode}
        {mode === 'dark' && logo.light !== undefined && logo.dark === undefined
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
  const read = async (mode: Mode, file: File): Promise<void> => {
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
    if (mode === 'dark' && logo.light === undefined) {
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
          op: logo[mode] === undefined ? 'add' : 'replace',
          path: `/layout/logo/${mode}`,
          value: svg,
        },
      ],
      `logo for ${mode} grounds`,
    );
  };
  return (
    <div data-decision="/layout/logo">
      <div className="flex flex-wrap gap-x-5 gap-y-2">
        {(['light', 'dark'] as const).map((mode) => (
          <div key={mode}>
            <Shown mode={mode} />
            <FileDrop
              name={`Logo for ${mode} grounds from a file`}
              label={logo[mode] === undefined ? 'Import an SVG' : 'Import another SVG'}
              accept=".svg,image/svg+xml"
              onFiles={([file]) => file && void read(mode, file)}
            />
            {logo[mode] !== undefined && (mode === 'dark' || logo.dark === undefined) && (
              <button
                type="button"
                className="min-h-6 text-quiet hover:text-base-content hover:underline"
                onClick={() =>
                  store.change(
                    [{ op: 'remove', path: `/layout/logo/${mode}` }],
                    `no logo for ${mode} grounds`,
                  )
                }
              >
                Remove
              </button>
            )}
          </div>
        ))}
        <div className="grid w-32 content-start gap-2">
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
