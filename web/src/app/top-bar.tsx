import { LONGEST_NAME } from '@garnish/core/system/schema-parts';
import { Moon, Redo2, Search, Sun, Undo2, type LucideIcon } from 'lucide-react';
import { Link } from 'react-router';
import type { Step } from '../system/history.ts';
import type { SystemState } from '../system/store.ts';
import { useDecided, useStore, useSystem } from '../system/system-context.ts';
import { useNameDraft } from '../ui/name-field.tsx';
import { setPreferences, usePreferences } from '../ui/preferences.ts';

const savingWords = ({ saving, why }: Pick<SystemState, 'saving' | 'why'>): string =>
  saving === 'waiting'
    ? `not saved: ${why ?? 'the server does not answer'}, trying again`
    : { saved: 'saved', saving: 'saving …' }[saving];

function Name({ name }: { readonly name: string }) {
  const store = useStore();
  const { field, problem, problemId } = useNameDraft(name, (next) =>
    store.change([{ op: 'replace', path: '/name', value: next }], `name ${next}`),
  );
  return (
    <span className="relative flex min-w-24 shrink">
      <input
        {...field}
        maxLength={LONGEST_NAME}
        aria-label="Name of the system"
        className="min-h-7 max-w-80 min-w-24 shrink bg-transparent px-1 font-semibold text-ellipsis [field-sizing:content] hover:bg-base-200 focus:bg-base-100"
      />
      {problem !== undefined && (
        <span
          id={problemId}
          role="alert"
          className="absolute start-0 top-full z-30 bg-base-100 px-1 text-xs whitespace-nowrap text-error"
        >
          {problem}
        </span>
      )}
    </span>
  );
}

interface StepButtonProps {
  readonly word: string;
  readonly keys: string;
  readonly Icon: LucideIcon;
  /** What it would take back or do again. */
  readonly step: Step | undefined;
  readonly onClick: () => void;
}

function StepButton({ word, keys, Icon, step, onClick }: StepButtonProps) {
  return (
    <button
      type="button"
      className="flex min-h-6 min-w-6 items-center gap-1.5 text-quiet enabled:hover:text-base-content disabled:opacity-40"
      disabled={!step}
      onClick={onClick}
      aria-label={step ? `${word}: ${step.label}` : word}
      title={`${word} (${keys})`}
    >
      <Icon size={14} aria-hidden />
      {step && <span className="max-w-48 truncate">{step.label}</span>}
    </button>
  );
}

/** Where one is, whether it is saved, and the way back. */
export function TopBar({ onFind }: { readonly onFind: () => void }) {
  const store = useStore();
  const decided = useDecided(['name']);
  const saving = useSystem((state) => state.saving);
  const why = useSystem((state) => state.why);
  const stacks = useSystem((state) => state.stacks);
  const { look } = usePreferences();
  const undo = stacks.undo.at(-1);
  const redo = stacks.redo.at(-1);
  return (
    <header
      aria-label="System"
      className="flex min-h-[2.375rem] flex-wrap items-center gap-x-3 px-3"
    >
      <Link to="/" className="flex min-h-6 items-center px-1 text-quiet hover:underline">
        All systems
      </Link>
      <Name name={decided.document.name} />
      <span role="status" className={saving === 'waiting' ? 'text-error' : 'text-quiet'}>
        {savingWords({ saving, why })}
      </span>
      <StepButton word="Undo" keys="Ctrl Z" Icon={Undo2} step={undo} onClick={store.undo} />
      <StepButton word="Redo" keys="Ctrl Shift Z" Icon={Redo2} step={redo} onClick={store.redo} />
      <span className="grow" />
      <button
        type="button"
        className="grid min-h-7 min-w-7 place-items-center text-quiet hover:text-base-content"
        onClick={() => setPreferences({ look: look === 'day' ? 'night' : 'day' })}
        aria-label={look === 'day' ? 'Dark interface' : 'Light interface'}
        title={look === 'day' ? 'Dark interface' : 'Light interface'}
      >
        {look === 'day' ? <Moon size={14} aria-hidden /> : <Sun size={14} aria-hidden />}
      </button>
      <button
        type="button"
        className="flex min-h-7 items-center gap-2 border border-line bg-base-200 px-2 text-quiet hover:text-base-content sm:min-w-64"
        onClick={onFind}
      >
        <Search size={13} aria-hidden />
        <span className="grow text-start">Find a decision, token, command</span>
        <kbd className="figures text-xs">Ctrl K</kbd>
      </button>
    </header>
  );
}
