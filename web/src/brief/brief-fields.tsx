import { LANGUAGE_CODES, LANGUAGES } from '@garnish/core/fonts/languages';
import { MOOD_WORDS } from '@garnish/core/fonts/mood';
import { NEEDS } from '@garnish/core/fonts/pairing';
import type { Brief } from '@garnish/core/system/document';
import type { Json } from '@garnish/core/system/patch';
import { useId } from 'react';
import type { SystemStore } from '../system/store.ts';
import { useStore, useSystem } from '../system/system-context.ts';
import { Toggles } from '../ui/toggles.tsx';

/** Changes one part of the brief. */
export const setBrief = (
  store: SystemStore,
  part: keyof Brief | `line/${keyof Brief['line']}`,
  value: Json,
  label: string = part,
  gesture?: string,
): void => {
  store.change(
    [{ op: 'replace', path: `/brief/${part}`, value }],
    label,
    gesture === undefined ? {} : { gesture },
  );
};

const MOST_WORDS = 4;

export function MoodField() {
  const store = useStore();
  const { mood } = useSystem((state) => state.decided.document.brief);
  return (
    <Toggles
      label="Mood"
      options={MOOD_WORDS}
      chosen={mood}
      most={MOST_WORDS}
      onChange={(next) => setBrief(store, 'mood', [...next])}
    />
  );
}

export function LanguagesField() {
  const store = useStore();
  const { languages } = useSystem((state) => state.decided.document.brief);
  const id = useId();
  return (
    <>
      <Toggles
        label="Languages"
        options={LANGUAGE_CODES}
        chosen={languages}
        least={1}
        nameOf={(code) => LANGUAGES[code].name}
        onChange={(next) => setBrief(store, 'languages', [...next])}
      />
      <p className="mt-2 flex items-center gap-2">
        <label className="text-quiet" htmlFor={id}>
          main language
        </label>
        <select
          id={id}
          className="select w-44"
          value={languages[0]}
          onChange={({ currentTarget: { value } }) => {
            const main = languages.filter((code) => code === value);
            const others = languages.filter((code) => code !== value);
            setBrief(store, 'languages', [...main, ...others], 'main language');
          }}
        >
          {languages.map((code) => (
            <option key={code} value={code}>
              {LANGUAGES[code].name}
            </option>
          ))}
        </select>
      </p>
    </>
  );
}

export function NeedsField() {
  const store = useStore();
  const { needs } = useSystem((state) => state.decided.document.brief);
  return (
    <Toggles
      label="Needs"
      options={NEEDS}
      chosen={needs}
      onChange={(next) => setBrief(store, 'needs', [...next])}
    />
  );
}
