import { DOWNLOADS } from '@garnish/core/formats/formats';
import { AREAS } from '@garnish/core/system/areas';
import type { Area } from '@garnish/core/system/areas/area';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { AREA_PAGES } from '../areas/areas.ts';
import { decisionAddress, findingAddress } from '../findings/address.ts';
import type { SystemState, SystemStore } from '../system/store.ts';
import { useStore, useSystem } from '../system/system-context.ts';
import { Dialog } from '../ui/dialog.tsx';
import { setPreferences } from '../ui/preferences.ts';

interface Entry {
  readonly kind: string;
  readonly name: string;
  readonly run: () => unknown;
}

const MOST = 60;

function entriesOf(
  { decided, findings, id }: Pick<SystemState, 'decided' | 'findings' | 'id'>,
  store: SystemStore,
  go: (address: string) => void,
): Entry[] {
  return [
    ...AREA_PAGES.map((area): Entry => ({ kind: 'area', name: area.name, run: () => go(area.id) })),
    ...AREAS.flatMap(({ named }: Area) => named?.(decided.document) ?? []).map(
      ({ name, path }): Entry => ({ kind: 'decision', name, run: () => go(decisionAddress(path)) }),
    ),
    ...findings.map((finding): Entry => ({
      kind: 'finding',
      name: finding.title,
      run: () => go(findingAddress(finding)),
    })),
    { kind: 'command', name: 'Undo', run: store.undo },
    { kind: 'command', name: 'Redo', run: store.redo },
    ...(['light', 'dark'] as const).map((mode): Entry => ({
      kind: 'command',
      name: `Proof in ${mode}`,
      run: () => setPreferences({ proofTheme: mode }),
    })),
    ...DOWNLOADS.map(({ file }): Entry => ({
      kind: 'command',
      name: `Export ${file}`,
      run: () => globalThis.location.assign(`/api/systems/${id}/export/${file}`),
    })),
    ...decided.derived.tokens.map((token): Entry => ({
      kind: 'token',
      name: token.id,
      run: () => go(`tokens?token=${encodeURIComponent(token.id)}`),
    })),
  ];
}

/** Everything that can be gone to or done, by a few letters of its name. */
export default function Find({ onClose }: { readonly onClose: () => void }) {
  const store = useStore();
  const state = useSystem(({ decided, findings, id }) => ({ decided, findings, id }));
  const navigate = useNavigate();
  const [sought, setSought] = useState('');
  const [at, setAt] = useState(0);
  const all = useMemo(
    () => entriesOf(state, store, (address) => void navigate(address)),
    [state, store, navigate],
  );
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const found = all
    .filter(({ kind, name }) =>
      words.every((word) => `${kind} ${name}`.toLowerCase().includes(word)),
    )
    .slice(0, MOST);
  const run = (entry: Entry | undefined): void => {
    if (!entry) return;
    onClose();
    entry.run();
  };
  return (
    <Dialog title="Find" hideTitle onClose={onClose}>
      <input
        role="combobox"
        aria-expanded
        aria-controls="found"
        aria-activedescendant={found[at] && `found-${at}`}
        aria-label="Find a decision, token, command"
        placeholder="A few letters: h2, action, export …"
        className="input w-full text-base"
        autoFocus
        autoComplete="off"
        value={sought}
        onChange={(event) => {
          setSought(event.currentTarget.value);
          setAt(0);
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') setAt(Math.min(found.length - 1, at + 1));
          else if (event.key === 'ArrowUp') setAt(Math.max(0, at - 1));
          else if (event.key === 'Enter') run(found[at]);
          else return;
          event.preventDefault();
        }}
      />
      <ul
        id="found"
        role="listbox"
        aria-label="Found"
        tabIndex={-1}
        className="mt-2 max-h-[50vh] overflow-y-auto"
      >
        {found.map((entry, index) => (
          <li
            key={`${entry.kind} ${entry.name}`}
            id={`found-${index}`}
            role="option"
            aria-selected={index === at}
            ref={(element) => {
              if (index === at) element?.scrollIntoView({ block: 'nearest' });
            }}
            className="flex min-h-7 cursor-pointer items-center justify-between gap-4 px-1 aria-selected:bg-base-300"
            onClick={() => run(entry)}
          >
            <span className="truncate">{entry.name}</span>
            <span className="text-xs text-quiet">{entry.kind}</span>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="py-3 text-quiet">Nothing is called so.</p>}
    </Dialog>
  );
}
