import type { SheetChoices as Choices } from '@garnish/core/system/sheet-naming';
import { useId } from 'react';
import { useStore, useSystem } from '../../system/system-context.ts';
import { DraftProblem } from '../../ui/draft-problem.tsx';
import { useDraft } from '../../ui/use-draft.ts';

const AT = '/tokens/sheet';

type Name = 'classes' | 'layer';

const NAMES: readonly {
  readonly part: Name;
  readonly label: string;
  /** What stands over the field, below a heading that says the rest. */
  readonly short: string;
  readonly example: (name: string) => string;
  readonly none: string;
}[] = [
  {
    part: 'classes',
    label: 'Prefix of classes',
    short: 'classes',
    example: (name) => `.${name}-button`,
    none: '.button',
  },
  {
    part: 'layer',
    label: 'Cascade layer',
    short: 'layer',
    example: (name) => `@layer ${name}`,
    none: 'in no layer',
  },
];

interface NameProps {
  readonly name: (typeof NAMES)[number];
  readonly sheet: Choices | undefined;
}

/** One name of the sheet; without any, nothing is put before it. */
function SheetName({ name: { part, label, short, example, none }, sheet }: NameProps) {
  const store = useStore();
  const id = useId();
  const value = sheet?.[part] ?? '';
  const draft = useDraft({
    shown: value,
    take(text) {
      const next = text.trim().replace(/-+$/, '');
      if (next === value) return undefined;
      const path = `${AT}/${part}`;
      if (next === '') return store.decide([{ op: 'remove', path }], `no ${label.toLowerCase()}`);
      return store.decide(
        sheet
          ? [{ op: 'add', path, value: next }]
          : [{ op: 'add', path: AT, value: { [part]: next } }],
        `${label.toLowerCase()}: ${next}`,
      );
    },
  });
  return (
    <div className="min-w-0" data-decision={`${AT}/${part}`}>
      <label htmlFor={id} className="block text-quiet">
        <span aria-hidden>{short}</span>
        <span className="sr-only">{label}</span>
      </label>
      <input {...draft.field} id={id} maxLength={40} placeholder="none" className="input w-full" />
      <DraftProblem draft={draft} />
      <p className="figures truncate text-xs text-quiet">{value === '' ? none : example(value)}</p>
    </div>
  );
}

/** How the sheet is written for the site that it goes into: classes, layer, base. */
export function SheetChoices() {
  const store = useStore();
  const sheet = useSystem((state) => state.decided.document.tokens.sheet);
  const base = sheet?.base ?? true;
  const isRegistered = sheet?.registered === true;
  const register = (): void => {
    const path = `${AT}/registered`;
    store.change(
      [
        isRegistered
          ? { op: 'remove', path }
          : sheet
            ? { op: 'add', path, value: true }
            : { op: 'add', path: AT, value: { registered: true } },
      ],
      isRegistered ? 'no registrations of properties' : 'properties registered with their types',
    );
  };
  const setBase = (): void => {
    const path = `${AT}/base`;
    store.change(
      [
        base
          ? sheet
            ? { op: 'add', path, value: false }
            : { op: 'add', path: AT, value: { base: false } }
          : { op: 'remove', path },
      ],
      base ? 'the sheet without a base' : 'the sheet with a base',
    );
  };
  return (
    <div data-decision={AT}>
      <div className="grid grid-cols-2 gap-x-4">
        {NAMES.map((name) => (
          <SheetName key={name.part} name={name} sheet={sheet} />
        ))}
      </div>
      <label className="mt-1 flex min-h-7 items-center gap-1.5">
        <input
          type="checkbox"
          className="h-4 w-4 accent-primary"
          checked={base}
          onChange={setBase}
        />
        A base for every page
      </label>
      <p className="ps-6 text-quiet">
        Box sizing, and no margins that nobody decided. A site with a base of its own does without.
      </p>
      <label className="mt-1 flex min-h-7 items-center gap-1.5">
        <input
          type="checkbox"
          className="h-4 w-4 accent-primary"
          checked={isRegistered}
          onChange={register}
        />
        Custom properties registered with their types
      </label>
      <p className="ps-6 text-quiet">
        With <span className="figures">@property</span> colors, lengths, times and numbers can be
        animated, and what is none of its type is refused. Lengths that depend on where they stand
        (em, %) stay unregistered.
      </p>
    </div>
  );
}
