import { checkVerified } from '@garnish/core/verify/findings';
import { wordsOfFile, type FileReport } from '@garnish/core/verify/report';
import { verifiableOf, type VerifiableFile } from '@garnish/core/verify/verifiable';
import { useEffect, useId, useRef, useState } from 'react';
import useSWR from 'swr';
import { get } from '../../api/client.ts';
import { keptVerification } from '../../api/verification.ts';
import type { SystemStore } from '../../system/store.ts';
import { useStore, useSystem } from '../../system/system-context.ts';
import { announce } from '../../ui/announce.tsx';
import { ProgressLine } from '../../ui/progress-line.tsx';
import { Toggles } from '../../ui/toggles.tsx';
import type { Progress } from './verify.ts';

/** Waits until everything that was decided here is saved: files are written from what is saved. */
const saved = (store: SystemStore, isOff: () => boolean): Promise<void> =>
  new Promise((resolve) => {
    let end = (): void => undefined;
    const look = (): void => {
      if (store.state().saving !== 'saved' && !isOff()) return;
      end();
      resolve();
    };
    end = store.subscribe(look);
    look();
  });

const count = (number: number): string => number.toLocaleString('en-US');

const wrongIn = ({ problem, unequal }: FileReport): number =>
  problem === undefined ? unequal : unequal + 1;

function Differences({ report }: { readonly report: FileReport }) {
  const { file, told, unequal, without } = report;
  return (
    <details className="border-t border-line py-1" open={wrongIn(report) > 0}>
      <summary className="min-h-6 cursor-pointer">
        <span className="figures">{file}</span>{' '}
        <span className={`text-xs ${wrongIn(report) > 0 ? 'text-error' : 'text-quiet'}`}>
          {wordsOfFile(report)}
        </span>
      </summary>
      {without.map(({ reason, tokens }) => (
        <p key={reason} className="text-xs text-quiet">
          Left out: {count(tokens)} {tokens === 1 ? 'token' : 'tokens'}, {reason}.
        </p>
      ))}
      {told.length > 0 && (
        <table className="w-full table-fixed text-xs">
          <thead className="text-start text-quiet">
            <tr>
              <th className="text-start font-normal">token</th>
              <th className="text-start font-normal">shown here</th>
              <th className="text-start font-normal">in the file</th>
            </tr>
          </thead>
          <tbody className="figures">
            {told.map(({ token, mode, widthPx, shown, read }) => (
              <tr key={`${token} ${mode} ${widthPx} ${read}`} className="border-t border-line">
                <td className="py-0.5 pe-2 align-baseline break-words">
                  {token}
                  <span className="block text-quiet">
                    {mode}, {widthPx} px
                  </span>
                </td>
                <td className="pe-2 align-baseline break-words">{shown}</td>
                <td className="align-baseline break-words">{read}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {unequal > told.length && (
        <p className="text-xs text-quiet">and {count(unequal - told.length)} more</p>
      )}
    </details>
  );
}

/** The files are read in a browser, and what comes out stands beside what is shown. */
export function Verify() {
  const store = useStore();
  const id = useSystem((state) => state.id);
  const sequence = useSystem((state) => state.sequence);
  const saving = useSystem((state) => state.saving);
  const space = useSystem((state) => state.decided.document.space);
  const { data, mutate } = useSWR(`/api/systems/${id}/verified`, (path: string) =>
    get(path, keptVerification),
  );
  const [left, setLeft] = useState<readonly VerifiableFile[]>([]);
  const [progress, setProgress] = useState<Progress>();
  const [problem, setProblem] = useState<string>();
  const running = useRef<AbortController>(undefined);
  const button = useRef<HTMLButtonElement>(null);
  const heading = useId();
  useEffect(() => () => running.current?.abort(), []);
  const files = verifiableOf({ space });
  const chosen = files.filter((file) => !left.includes(file));

  const run = async (): Promise<void> => {
    const { signal } = (running.current = new AbortController());
    const isOff = (): boolean => signal.aborted;
    setProblem(undefined);
    setProgress({ file: 'what is not saved yet', done: 0, of: chosen.length });
    try {
      await saved(store, isOff);
      const { decided } = store.state();
      const { keepVerified, verify } = await import('./verify.ts');
      const result = await verify(id, chosen, decided, isOff, (now) => {
        if (!isOff()) setProgress(now);
      });
      if (!result) return;
      if (store.state().decided.document !== decided.document)
        throw new Error('The system was changed while it was verified. Verify once more.');
      await keepVerified(id, result.sequence, result.verification);
      store.found('files', checkVerified(result.verification));
      await mutate(result, { revalidate: false });
      const wrong = result.verification.files.reduce((sum, one) => sum + wrongIn(one), 0);
      announce(wrong === 0 ? 'Every value is as shown' : `${count(wrong)} values differ`);
    } catch (error) {
      if (!isOff())
        setProblem(error instanceof Error ? error.message : 'It could not be verified.');
    } finally {
      if (!isOff()) setProgress(undefined);
    }
  };
  const stop = (): void => {
    running.current?.abort();
    setProgress(undefined);
    announce('Verifying was called off; what was known before is kept');
    button.current?.focus();
  };
  const reports = data?.verification.files ?? [];
  const values = reports.reduce((sum, one) => sum + one.values, 0);
  const wrong = reports.reduce((sum, one) => sum + wrongIn(one), 0);
  const isNow = data?.sequence === sequence && saving === 'saved';
  return (
    <div aria-labelledby={heading} role="group">
      <h3 id={heading} className="sr-only">
        Verify
      </h3>
      <p className="text-quiet">
        Each file is laid into a page of this browser, and every value that comes out stands beside
        the one shown here: in each theme, at each width at which anything is decided.
      </p>
      <details className="my-1">
        <summary className="min-h-6 cursor-pointer">
          {chosen.length} of {files.length} files
        </summary>
        <Toggles
          label="Files to verify"
          options={files}
          chosen={chosen}
          least={1}
          onChange={(next) => setLeft(files.filter((file) => !next.includes(file)))}
        />
        <p className="mt-1 text-xs text-quiet">
          What a browser does not read (Sass, Less, modules, XML, Swift, Kotlin) is not verified
          here.
        </p>
      </details>
      <div className="flex flex-wrap items-center gap-x-3">
        <button
          ref={button}
          type="button"
          className="btn"
          aria-disabled={progress !== undefined}
          onClick={() => {
            if (progress === undefined) void run();
          }}
        >
          Verify
        </button>
        {progress !== undefined && (
          <ProgressLine
            label="Files verified"
            done={progress.done}
            of={progress.of}
            words={progress.file}
            onCancel={stop}
          />
        )}
        {progress === undefined && reports.length > 0 && (
          <span className={wrong > 0 ? 'text-error' : 'text-quiet'}>
            {wrong === 0
              ? `${count(values)} values, all as shown`
              : `${count(wrong)} of ${count(values)} values differ`}
            {isNow ? '' : ', before the last change'}
          </span>
        )}
      </div>
      {problem !== undefined && (
        <p role="alert" className="text-error">
          {problem}
        </p>
      )}
      {reports.length > 0 && (
        <div className="mt-2">
          {reports.map((report) => (
            <Differences key={report.file} report={report} />
          ))}
        </div>
      )}
    </div>
  );
}
