import { useEffect, useRef, useState } from 'react';
import { announce } from '../ui/announce.tsx';
import { ProgressLine } from '../ui/progress-line.tsx';
import { saveAs } from '../ui/save-as.ts';
import type { Guided } from './make-guide.ts';

interface GuideMakerProps {
  readonly guided: Guided;
  /** What the archive is called. */
  readonly fileName: string;
}

interface Step {
  readonly words: string;
  readonly done: number;
  readonly of: number;
}

/** Makes the guide when it is asked for, tells how far it is, and can be given up. */
export function GuideMaker({ guided, fileName }: GuideMakerProps) {
  const [step, setStep] = useState<Step>();
  const [said, setSaid] = useState<{ readonly words: string; readonly isProblem: boolean }>();
  const going = useRef<AbortController>(undefined);
  useEffect(() => () => going.current?.abort(), []);
  const make = async (): Promise<void> => {
    const controller = new AbortController();
    going.current = controller;
    setSaid(undefined);
    setStep({ words: 'beginning', done: 0, of: 1 });
    try {
      const { makeGuide } = await import('./make-guide.ts');
      const bytes = await makeGuide(
        guided,
        (words, done, of) => setStep({ words, done, of }),
        controller.signal,
      );
      saveAs(fileName, new Blob([bytes], { type: 'application/zip' }));
      const words = `${fileName}, ${Math.round(bytes.length / 1000)} kB`;
      setSaid({ words, isProblem: false });
      announce(`the guide is made: ${words}`);
    } catch (error) {
      const words = controller.signal.aborted
        ? 'Given up. Nothing was made.'
        : error instanceof Error
          ? error.message
          : String(error);
      setSaid({ words, isProblem: !controller.signal.aborted });
      announce(words);
    } finally {
      setStep(undefined);
    }
  };
  return (
    <div>
      {step ? (
        <ProgressLine label="The guide" {...step} onCancel={() => going.current?.abort()} />
      ) : (
        <button type="button" className="btn btn-primary" onClick={() => void make()}>
          Make the guide
        </button>
      )}
      {said && (
        <p className={`mt-2 ${said.isProblem ? 'text-error' : 'text-quiet'}`}>{said.words}</p>
      )}
    </div>
  );
}
