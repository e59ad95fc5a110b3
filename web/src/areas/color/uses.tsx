import type { Hex } from '@garnish/core/color/srgb';
import { usesOf } from '@garnish/core/derive/color/uses';
import { NEUTRAL } from '@garnish/core/system/validate';
import { useEffect, useState } from 'react';
import { useProofTheme } from '../../system/proof-theme.ts';
import { elementsMadeOf } from '../../proof/elements.ts';
import { light } from '../../proof/lit.ts';
import { tooMuch, type Presence, type Share } from '@garnish/core/checks/measured-colors';
import { presenceOf } from '../../proof/measure-colors.ts';
import { usePresences } from '../../proof/measure-presence.ts';
import { usePageInFrame } from '../../proof/page-in-frame.ts';
import { useDecided, useDecidedLater } from '../../system/system-context.ts';

/** Where a source and its ramp are used: tokens, roles, components, texts, spots in the proof. */
export function WhereUsed() {
  const decided = useDecidedLater(['color'], ['ramps', 'colors', 'tokens', 'needs', 'rules']);
  const page = usePageInFrame();
  const { ramps } = decided.derived;
  const [source, setSource] = useState(decided.document.color.sources.order[0] ?? NEUTRAL);
  const [lit, setLit] = useState(false);
  const uses = usesOf(decided.document, decided.derived, source);
  const tokens = uses.tokens.filter((token) => !token.startsWith('palette.'));
  const marked = lit ? tokens.join(' ') : '';
  const spots = lit && page ? elementsMadeOf(page, tokens, decided.derived).length : undefined;
  const [presence, setPresence] = useState<Presence>();
  const ramp = ramps.get(source);
  const own = new Set<string>([...(ramp?.colors ?? []), ...(ramp?.dark ?? [])]);
  const covered = (shares: readonly Share[]): string => {
    const sum = shares
      .filter(({ hex }) => own.has(hex))
      .reduce((total, { share }) => total + share, 0);
    return `${(sum * 100).toFixed(1)} %`;
  };
  useEffect(() => {
    light(marked === '' ? [] : marked.split(' '));
    return () => light([]);
  }, [marked]);
  const rows = [
    ['tokens', uses.tokens],
    ['roles', uses.roles],
    ['components', uses.components],
    ['texts', uses.texts],
    ['gradients', uses.gradients],
    ['pictures', uses.pictures],
  ] as const;
  return (
    <div>
      <div className="flex flex-wrap items-center gap-x-4">
        <select
          aria-label="The color whose uses are told"
          className="select w-40"
          value={source}
          onChange={(event) => setSource(event.currentTarget.value)}
        >
          {[...ramps.values()].map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        <label className="flex min-h-6 items-center gap-1.5">
          <input
            type="checkbox"
            className="h-4 w-4 accent-primary"
            checked={lit}
            onChange={() => {
              setLit(!lit);
              setPresence(!lit && page ? presenceOf(page) : undefined);
            }}
          />
          mark its spots in the proof
          {spots !== undefined && <span className="figures text-quiet">{spots}</span>}
        </label>
      </div>
      {presence && (
        <p role="status" className="text-quiet">
          It covers {covered(presence.areas)} of the page’s area and {covered(presence.texts)} of
          its text, as it stands.
        </p>
      )}
      <dl className="mt-1" aria-label={`Uses of ${ramps.get(source)?.name ?? source}`}>
        {rows.map(([what, names]) => (
          <div key={what} className="grid grid-cols-[6rem_2rem_minmax(0,1fr)] border-t border-line">
            <dt className="text-quiet">{what}</dt>
            <dd className="figures text-end">{names.length}</dd>
            <dd className="truncate ps-3" title={names.join(', ')}>
              {names.join(', ')}
            </dd>
          </div>
        ))}
      </dl>
    </div>
  );
}

interface BarProps {
  readonly label: string;
  readonly shares: readonly Share[];
  readonly nameOf: (hex: Hex) => string;
}

const LEAST_SHOWN = 0.005;

function Bar({ label, shares, nameOf }: BarProps) {
  const shown = shares.filter(({ share }) => share >= LEAST_SHOWN);
  return (
    <div className="mt-1">
      <div className="flex h-4 border border-line" role="img" aria-label={label}>
        {shares.map(({ hex, share }) => (
          <span key={hex} style={{ background: hex, flexGrow: share }} title={nameOf(hex)} />
        ))}
      </div>
      <ul className="flex flex-wrap gap-x-4 text-xs text-quiet" aria-label={label}>
        {shown.slice(0, 8).map(({ hex, share }) => (
          <li key={hex} className="flex items-center gap-1">
            <span
              className="h-2.5 w-2.5 border border-line"
              style={{ background: hex }}
              aria-hidden
            />
            {nameOf(hex)} <span className="figures">{(share * 100).toFixed(1)} %</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** How much of the page is colored, measured whenever nothing moves. */
export function Colored() {
  const decided = useDecided([], ['colors']);
  const mode = useProofTheme();
  const found = usePresences()[mode];
  const excesses = found ? tooMuch(found, mode) : [];
  const roles = [...decided.derived.colors.values()];
  const nameOf = (hex: Hex): string =>
    roles.find(({ colors }) => colors[mode] === hex)?.name ?? hex;
  if (!found)
    return (
      <p role="status" className="text-quiet">
        The page is being measured …
      </p>
    );
  return (
    <div role="status">
      <Bar label="Share of the area" shares={found.areas} nameOf={nameOf} />
      <Bar label="Share of the text" shares={found.texts} nameOf={nameOf} />
      {excesses.map((finding) => (
        <p key={finding.id} className="mt-1 text-warning">
          {finding.title}: {finding.figures}.
        </p>
      ))}
      {excesses.length === 0 && (
        <p className="mt-1 text-quiet">
          Most of the text is not colored, and at most three vivid hues stand beside each other.
        </p>
      )}
    </div>
  );
}
