import { isHex } from '@garnish/core/color/srgb';
import type { Proposal, Proposed, ProposalId } from '@garnish/core/reading/proposal';
import { AREAS, areaOf } from '@garnish/core/system/areas';
import { Swatch } from '../ui/swatch.tsx';

/** What somebody said of what was proposed: what is left out, and what is taken instead. */
export interface Said {
  readonly refused: ReadonlySet<ProposalId>;
  /** The value of an alternative that is taken. */
  readonly instead: ReadonlyMap<ProposalId, string>;
}
export const NOTHING_SAID: Said = { refused: new Set(), instead: new Map() };

/** What is taken where a proposal is: itself, or the alternative that was chosen. */
export function chosenOf(proposal: Proposal, { instead }: Pick<Said, 'instead'>): Proposed {
  const wanted = instead.get(proposal.id);
  return proposal.alternatives?.find(({ value }) => value === wanted) ?? proposal;
}

/** The proposals that are taken, each as it was chosen. */
export const takenOf = (proposals: readonly Proposal[], said: Said): readonly Proposal[] =>
  proposals
    .filter(({ id }) => !said.refused.has(id))
    .map((proposal) => ({ ...proposal, ...chosenOf(proposal, said) }));

const percent = (share: number): string => `${Math.round(100 * share)} %`;
const FIRST_UNEXPLAINED = 6;

interface LineProps {
  readonly proposal: Proposal;
  readonly said: Said;
  /** The color that stands there otherwise, of roles of colors. */
  readonly usualColor: string | undefined;
  readonly onSay: (said: Said) => void;
}

/** A decision that was found: the new value beside the old one, its figures, and what it does not explain. */
function ProposalLine({ proposal, said, usualColor, onSay }: LineProps) {
  const { id, name, usual, alternatives = [] } = proposal;
  const { value, why, explains, unexplained } = chosenOf(proposal, said);
  const isTaken = !said.refused.has(id);
  const toggle = (): void => {
    const refused = new Set(said.refused);
    if (!refused.delete(id)) refused.add(id);
    onSay({ ...said, refused });
  };
  return (
    <li className="border-t border-line py-1">
      <div className="flex items-baseline gap-x-2">
        <label className="flex grow items-baseline gap-x-2">
          <input
            type="checkbox"
            className="h-4 w-4 shrink-0 self-center accent-primary"
            checked={isTaken}
            onChange={toggle}
          />
          <span className="grow">{name}</span>
          {alternatives.length === 0 && (
            <span className="figures text-end">
              {isHex(value) && <Swatch value={value} />} {value}
            </span>
          )}
        </label>
        {alternatives.length > 0 && (
          <span className="figures flex min-w-0 items-baseline gap-x-1">
            {isHex(value) && <Swatch value={value} />}
            <select
              aria-label={`Which ${name}`}
              className="min-h-6 max-w-64 min-w-0 border-b border-line-strong bg-transparent text-end"
              value={value}
              onChange={({ target }) =>
                onSay({ ...said, instead: new Map(said.instead).set(id, target.value) })
              }
            >
              {[proposal, ...alternatives].map((one) => (
                <option key={one.value} value={one.value}>
                  {one.value}, {percent(one.explains)}
                </option>
              ))}
            </select>
          </span>
        )}
      </div>
      <p className="ps-6 text-xs text-quiet">
        instead of{' '}
        <span className="figures">
          {usualColor !== undefined && <Swatch value={usualColor} />} {usualColor ?? usual}
        </span>
        ; {why}
        {!why.includes('%') && `, ${percent(explains)}`}
        {unexplained.length > 0 && (
          <>
            ; not explained:{' '}
            <span className="figures">{unexplained.slice(0, FIRST_UNEXPLAINED).join('; ')}</span>
            {unexplained.length > FIRST_UNEXPLAINED &&
              ` and ${unexplained.length - FIRST_UNEXPLAINED} more`}
          </>
        )}
      </p>
    </li>
  );
}

/** The role of colors that a proposal decides, with its theme; empty where it decides something else. */
const roleOf = ({ patch: [first] }: Proposal): string => {
  const [, role = '', mode = ''] =
    /^\/color\/roles\/items\/([^/]+)\/(light|dark)$/.exec(first?.path ?? '') ?? [];
  return `${role} ${mode}`;
};

interface FoundDecisionsProps {
  readonly proposals: readonly Proposal[];
  readonly said: Said;
  /** The colors of a new system by role and theme. */
  readonly usual: ReadonlyMap<string, string>;
  readonly onSay: (said: Said) => void;
}

/** What was found, by the areas in which it is decided; taken one by one, or all of an area. */
export function FoundDecisions({ proposals, said, usual, onSay }: FoundDecisionsProps) {
  const groups = AREAS.map(({ id, name }) => ({
    name,
    own: proposals.filter(({ patch: [first] }) => first && areaOf(first.path) === id),
  })).filter(({ own }) => own.length > 0);
  return (
    <div role="group" aria-label="Decisions that were found">
      {groups.map(({ name, own }) => {
        const taken = own.filter(({ id }) => !said.refused.has(id)).length;
        const isAll = taken === own.length;
        return (
          <section key={name} aria-label={name} className="mb-2">
            <div className="flex items-baseline gap-x-3">
              <h3 className="font-semibold">{name}</h3>
              <span className="figures grow text-quiet">
                {taken} of {own.length}
              </span>
              <button
                type="button"
                className="act"
                onClick={() => {
                  const refused = new Set(said.refused);
                  for (const { id } of own)
                    if (isAll) refused.add(id);
                    else refused.delete(id);
                  onSay({ ...said, refused });
                }}
              >
                {isAll ? 'none of these' : 'all of these'}
              </button>
            </div>
            <ul>
              {own.map((proposal) => (
                <ProposalLine
                  key={proposal.id}
                  proposal={proposal}
                  said={said}
                  usualColor={usual.get(roleOf(proposal))}
                  onSay={onSay}
                />
              ))}
            </ul>
          </section>
        );
      })}
    </div>
  );
}
