import { CATEGORIES, fontFamily } from '@garnish/core/fonts/family';
import { useState } from 'react';
import { ApiError, sendForm } from '../../api/client.ts';
import { useStore } from '../../system/system-context.ts';
import { FileDrop } from '../../ui/file-drop.tsx';
import { choosing, nameOf, type Target } from './choosing.ts';

interface Told {
  readonly words: string;
  readonly wrong: boolean;
  readonly lines?: readonly string[];
}

interface OwnFilesProps {
  readonly target: Target;
  readonly onDone: () => void;
}

/** A designer's own files as one family: measured as the shipped ones are, and taken at once. */
export function OwnFiles({ target, onDone }: OwnFilesProps) {
  const store = useStore();
  const [files, setFiles] = useState<readonly File[]>([]);
  const [kind, setKind] = useState<string>('sans');
  const [licence, setLicence] = useState('');
  const [mustConfirm, setMustConfirm] = useState(false);
  const [confirmed, setConfirmed] = useState(false);
  const [busy, setBusy] = useState(false);
  const [told, setTold] = useState<Told>();

  const choose = (chosen: readonly File[]): void => {
    setFiles(chosen);
    setMustConfirm(false);
    setConfirmed(false);
    setTold(undefined);
  };
  const failed = (error: unknown): void => {
    if (!(error instanceof ApiError)) {
      setTold({ words: error instanceof Error ? error.message : 'It failed.', wrong: true });
      return;
    }
    const { problem } = error;
    if (problem.type === '/problems/font-needs-confirmation') setMustConfirm(true);
    setTold({
      words: `${problem.title}. ${problem.detail}`,
      wrong: true,
      lines: (problem.problems ?? []).map(({ path, message }) => `${path}: ${message}`),
    });
  };
  const bring = (): void => {
    const form = new FormData();
    form.set('licence', licence);
    form.set('kind', kind);
    if (confirmed) form.set('confirmed', 'yes');
    for (const file of files) form.append('files', file, file.name);
    setBusy(true);
    sendForm('/api/fonts/own', form)
      .then((answer) => {
        const family = fontFamily.parse(answer);
        setFiles([]);
        setTold({
          words: `${family.name} is measured and taken as the ${nameOf(target)}.`,
          wrong: false,
        });
        const { document } = store.state().decided;
        store.change(choosing(document, target, family), `${nameOf(target)} ${family.name}`);
        onDone();
      })
      .catch(failed)
      .finally(() => setBusy(false));
  };

  return (
    <FileDrop
      name="Your own files"
      label="Import your own files"
      accept=".woff2,.woff,.ttf,.otf"
      multiple
      className="mt-4 border-t border-line-strong pt-2"
      onFiles={choose}
    >
      <p className="text-xs text-quiet">
        WOFF2, WOFF, TTF or OTF, up to 8 MB each; several become one family. Or drop them here.
      </p>
      {files.length > 0 && (
        <form
          className="mt-2 grid gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            bring();
          }}
        >
          <p className="figures text-xs">{files.map(({ name }) => name).join(', ')}</p>
          <div className="grid grid-cols-[minmax(0,1fr)_6rem] gap-3">
            <label>
              <span className="text-quiet">what the license allows</span>
              <input
                className="input w-full"
                maxLength={2000}
                placeholder="where it was bought, for which sites"
                value={licence}
                onChange={(event) => setLicence(event.currentTarget.value)}
              />
            </label>
            <label>
              <span className="text-quiet">kind</span>
              <select
                className="select w-full"
                value={kind}
                onChange={(event) => setKind(event.currentTarget.value)}
              >
                {CATEGORIES.map((category) => (
                  <option key={category}>{category}</option>
                ))}
              </select>
            </label>
          </div>
          {mustConfirm && (
            <label className="flex items-start gap-2">
              <input
                type="checkbox"
                className="mt-0.5 h-4 w-4 accent-primary"
                checked={confirmed}
                onChange={(event) => setConfirmed(event.currentTarget.checked)}
              />
              The license allows these files on this site. This is recorded, and goes with the
              exports.
            </label>
          )}
          <p>
            <button className="btn btn-primary" disabled={busy || (mustConfirm && !confirmed)}>
              {busy ? 'Measuring …' : 'Import them'}
            </button>
          </p>
        </form>
      )}
      {told && (
        <div role={told.wrong ? 'alert' : 'status'} className={told.wrong ? 'text-error' : ''}>
          <p>{told.words}</p>
          {told.lines?.map((line) => (
            <p key={line} className="text-xs">
              {line}
            </p>
          ))}
        </div>
      )}
    </FileDrop>
  );
}
