import { isHex } from '@garnish/core/color/srgb';
import {
  MOST_BRAND_COLORS,
  readFrom,
  type FoundColor,
  type Proposal,
} from '@garnish/core/reading/inferred';
import { rolesSeen } from '@garnish/core/reading/roles-seen';
import type { ShownPage } from '@garnish/core/reading/shown-page';
import type { Patch } from '@garnish/core/system/patch';
import { useEffect, useMemo, useRef, useState } from 'react';
import { openSight } from '../proof/reading/look.ts';
import { announce } from '../ui/announce.tsx';
import { ProgressLine } from '../ui/progress-line.tsx';
import { SheetDrop } from '../ui/sheet-drop.tsx';
import { Swatch } from '../ui/swatch.tsx';
import type { InferAnswer, InferQuestion } from './infer-worker.ts';

type Found = Extract<InferAnswer, { kind: 'found' }> & {
  /** What the page itself shows, beside what its sheets say. */
  readonly seen: readonly Proposal[];
};

/** What of a page is taken for a new system. */
export interface Taken {
  readonly colors: readonly string[];
  readonly patch: Patch;
}

/** What somebody said of what was found. */
interface Refused {
  readonly proposals: ReadonlySet<string>;
  /** Colors of which somebody said otherwise than usual. */
  readonly colors: ReadonlySet<string>;
  readonly apart: ReadonlySet<string>;
}
const NOTHING: Refused = { proposals: new Set(), colors: new Set(), apart: new Set() };

const toggled = (set: ReadonlySet<string>, one: string): ReadonlySet<string> => {
  const next = new Set(set);
  if (!next.delete(one)) next.add(one);
  return next;
};

/** What acts, or stands in several places, is taken unless somebody says no; what stands once is not. */
const isUsuallyTaken = ({ use, places }: FoundColor): boolean => use === 'action' || places > 1;

/** The colors that are taken, as many as a new system begins with. */
const takenColors = ({ inferred }: Found, { colors }: Refused): readonly FoundColor[] =>
  inferred.colors
    .slice(0, MOST_BRAND_COLORS)
    .filter((color) => isUsuallyTaken(color) !== colors.has(color.hex));

/** Everything that is proposed, by the sheets and by the page. */
const proposalsOf = ({ inferred, seen }: Found): readonly Proposal[] => [
  ...inferred.proposals,
  ...seen,
];

const takenProposals = (found: Found, { proposals }: Refused): readonly Proposal[] =>
  proposalsOf(found).filter(({ id }) => !proposals.has(id));

function takenOf(found: Found, refused: Refused): Taken {
  const proposals = takenProposals(found, refused);
  return {
    colors: takenColors(found, refused).map(({ hex }) => hex),
    patch: [
      { op: 'replace', path: '/description', value: readFrom(found.files, proposals) },
      ...proposals.flatMap(({ patch }) => patch),
    ],
  };
}

/** As wide a page is looked at for what it shows, in px. */
const LOOKED_AT_PX = 1280;

/** Reads files beside the window. */
function useInferred() {
  const worker = useRef<Worker>(undefined);
  const [answer, setAnswer] = useState<InferAnswer>();
  const [seen, setSeen] = useState<readonly Proposal[]>([]);
  const [first, setFirst] = useState<ShownPage>();
  // What the page shows is looked at once; joined colors change nothing of it.
  useEffect(() => {
    if (!first) return undefined;
    const over = new AbortController();
    openSight(first, LOOKED_AT_PX, over.signal)
      .then((open) => {
        if (open && !over.signal.aborted) setSeen(rolesSeen(open.sight.map(([, one]) => one)));
        open?.close();
      })
      // What its sheets say is proposed all the same.
      .catch(() => undefined);
    return () => over.abort();
  }, [first]);
  useEffect(() => () => worker.current?.terminate(), []);
  const ask = (question: InferQuestion): void => {
    if (question.files) {
      worker.current?.terminate();
      setSeen([]);
      setFirst(undefined);
      worker.current = new Worker(new URL('infer-worker.ts', import.meta.url), { type: 'module' });
      worker.current.onmessage = ({ data }: MessageEvent<InferAnswer>) => {
        setAnswer(data);
        if (data.kind !== 'found') return;
        if (data.pages) setFirst(data.pages[0]);
        announce('what was found can be chosen');
      };
      worker.current.onerror = () =>
        setAnswer({ kind: 'problem', words: 'It could not be read here.' });
    }
    worker.current?.postMessage(question);
  };
  const stop = (): void => {
    worker.current?.terminate();
    setAnswer(undefined);
    setFirst(undefined);
  };
  return { answer, seen, ask, stop };
}

interface ColorLineProps {
  readonly color: FoundColor;
  readonly isTaken: boolean;
  readonly onToggle: () => void;
  readonly onApart: (hex: string) => void;
}

const USES = { action: 'acts', ground: 'ground', text: 'words', line: 'lines' } as const;

/** A color, where it stands, and those that are joined to it. */
const ColorLine = ({ color, isTaken, onToggle, onApart }: ColorLineProps) => (
  <li className="flex flex-wrap items-center gap-x-3 border-t border-line">
    <label className="flex min-h-7 items-center gap-x-2">
      <input
        type="checkbox"
        className="h-4 w-4 accent-primary"
        checked={isTaken}
        onChange={onToggle}
      />
      <Swatch value={color.hex} />
      <span className="figures">{color.hex}</span>
    </label>
    <span className="text-quiet">
      {USES[color.use]}, {color.places} {color.places === 1 ? 'place' : 'places'}
    </span>
    {color.joined.length > 0 && <span className="text-quiet">joined:</span>}
    {color.joined.map((hex) => (
      <button
        key={hex}
        type="button"
        title="Keep it apart"
        aria-label={`Keep ${hex} apart from ${color.hex}`}
        className="figures min-h-6 hover:underline"
        onClick={() => onApart(hex)}
      >
        <Swatch value={hex} /> {hex}
      </button>
    ))}
  </li>
);

/** A decision that the sheets say, with its figures and what it does not explain. */
const ProposalLine = ({
  proposal: { name, value, usual, why, unexplained },
  isTaken,
  onToggle,
}: {
  readonly proposal: Proposal;
  readonly isTaken: boolean;
  readonly onToggle: () => void;
}) => (
  <li className="border-t border-line py-1">
    <label className="flex items-baseline gap-x-2">
      <input
        type="checkbox"
        className="h-4 w-4 shrink-0 self-center accent-primary"
        checked={isTaken}
        onChange={onToggle}
      />
      <span className="grow">{name}</span>
      <span className="figures text-end">
        {isHex(value) && <Swatch value={value} />} {value}
      </span>
    </label>
    <p className="ps-6 text-xs text-quiet">
      instead of <span className="figures">{usual}</span>; {why}
      {unexplained.length > 0 && (
        <>
          ; not explained: <span className="figures">{unexplained.slice(0, 6).join('; ')}</span>
          {unexplained.length > 6 && ` and ${unexplained.length - 6} more`}
        </>
      )}
    </p>
  </li>
);

interface FromAPageProps {
  /** What is taken now; nothing while there is nothing. */
  readonly onTaken: (taken: Taken | undefined) => void;
}

/** What can be found of a system in style sheets or a page that exist, to be taken for a new one. */
export function FromAPage({ onTaken }: FromAPageProps) {
  const { answer, seen, ask, stop } = useInferred();
  const [refused, setRefused] = useState(NOTHING);
  const found = useMemo(
    (): Found | undefined => (answer?.kind === 'found' ? { ...answer, seen } : undefined),
    [answer, seen],
  );
  useEffect(() => {
    onTaken(found && takenOf(found, refused));
  }, [onTaken, found, refused]);
  const { inferred } = found ?? {};
  return (
    <div>
      <SheetDrop
        name="Style sheets or a page"
        className="py-1"
        onFiles={(files) => {
          setRefused(NOTHING);
          ask({ files, apart: [] });
        }}
      >
        or drop them here; nothing is sent anywhere
      </SheetDrop>
      {answer?.kind === 'progress' && (
        <ProgressLine
          label="Reading the page"
          done={answer.done}
          of={answer.of}
          words={answer.words}
          onCancel={stop}
        />
      )}
      {answer?.kind === 'problem' && (
        <p role="alert" className="mt-1 text-error">
          {answer.words}
        </p>
      )}
      {found && inferred && (
        <section aria-label="What was found" className="mt-2">
          <ul aria-label="Decisions that were found">
            {proposalsOf(found).map((proposal) => (
              <ProposalLine
                key={proposal.id}
                proposal={proposal}
                isTaken={!refused.proposals.has(proposal.id)}
                onToggle={() =>
                  setRefused({ ...refused, proposals: toggled(refused.proposals, proposal.id) })
                }
              />
            ))}
          </ul>
          <ul aria-label="Colors that were found">
            {inferred.colors.slice(0, MOST_BRAND_COLORS).map((color) => (
              <ColorLine
                key={color.hex}
                color={color}
                isTaken={isUsuallyTaken(color) !== refused.colors.has(color.hex)}
                onToggle={() =>
                  setRefused({ ...refused, colors: toggled(refused.colors, color.hex) })
                }
                onApart={(hex) => {
                  const apart = toggled(refused.apart, hex);
                  setRefused({ ...refused, apart });
                  ask({ apart: [...apart] });
                }}
              />
            ))}
          </ul>
          <p className="border-t border-line pt-1 text-xs text-quiet">
            {[
              ...(proposalsOf(found).length === 0
                ? ['No scale, no unit and no corner could be told.']
                : []),
              ...(inferred.colors.length === 0 ? ['Only grays stand in it.'] : []),
              ...(inferred.neutrals.length > 0
                ? [
                    `Grays follow from the brand: ${inferred.neutrals
                      .slice(0, 5)
                      .map(({ hex }) => hex)
                      .join(', ')}.`,
                  ]
                : []),
              ...(inferred.faces.length > 0
                ? [
                    `Its faces are chosen in Fonts: ${inferred.faces
                      .slice(0, 3)
                      .map(([family]) => family)
                      .join(', ')}.`,
                  ]
                : []),
              ...found.refused,
              'Pictures, words and font files are not taken.',
            ].join(' ')}
          </p>
        </section>
      )}
    </div>
  );
}
