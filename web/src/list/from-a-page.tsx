import type { Hex } from '@garnish/core/color/srgb';
import type { FontFamily } from '@garnish/core/fonts/family';
import type { ReadComponent } from '@garnish/core/reading/components-read';
import { familyCalled } from '@garnish/core/reading/faces-read';
import { MOST_BRAND_COLORS, readFrom, type FoundColor } from '@garnish/core/reading/inferred';
import { PROPOSED, type Proposal } from '@garnish/core/reading/proposal';
import type { FoundRamp } from '@garnish/core/reading/ramps-in';
import type { ShownPage } from '@garnish/core/reading/shown-page';
import { spacesSeen } from '@garnish/core/reading/spaces-seen';
import { textRolesSeen } from '@garnish/core/reading/text-roles-seen';
import { usualColors } from '@garnish/core/reading/usual-colors';
import { USUAL_BRAND } from '@garnish/core/system/new-document';
import type { Patch } from '@garnish/core/system/patch';
import { useEffect, useMemo, useState } from 'react';
import { ProgressLine } from '../ui/progress-line.tsx';
import { SheetDrop } from '../ui/sheet-drop.tsx';
import { Swatch } from '../ui/swatch.tsx';
import { FoundDecisions, NOTHING_SAID, takenOf, type Said } from './found-decisions.tsx';
import type { InferAnswer } from './infer-worker.ts';
import { useInferred } from './use-inferred.ts';

type Answer = Extract<InferAnswer, { kind: 'found' }>;

/** What of a page is taken for a new system. */
export interface Taken {
  readonly colors: readonly string[];
  readonly patch: Patch;
  /** The page that the system is proved on, where that is wished. */
  readonly page?: ShownPage;
}

/** What somebody said of the colors that were found. */
interface SaidOfColors {
  /** Colors of which somebody said otherwise than usual. */
  readonly colors: ReadonlySet<string>;
  readonly apart: ReadonlySet<string>;
}
const NOTHING: SaidOfColors = { colors: new Set(), apart: new Set() };

const toggled = (set: ReadonlySet<string>, one: string): ReadonlySet<string> => {
  const next = new Set(set);
  if (!next.delete(one)) next.add(one);
  return next;
};

/**
 * What acts, or stands in several places, is taken unless somebody says no; what stands once is not, nor what follows
 * from another color as a rung of its ramp.
 */
const isUsuallyTaken =
  (ramps: readonly FoundRamp[]) =>
  ({ hex, use, places }: FoundColor): boolean =>
    (use === 'action' || places > 1) &&
    !ramps.some(({ source, hexes }) => hex !== source && hexes.includes(hex));

/** The colors that are taken, as many as a new system begins with. */
const takenColors = ({ inferred }: Answer, { colors }: SaidOfColors): readonly FoundColor[] =>
  inferred.colors
    .slice(0, MOST_BRAND_COLORS)
    .filter((color) => isUsuallyTaken(inferred.ramps)(color) !== colors.has(color.hex));

interface ColorLineProps {
  readonly color: FoundColor;
  /** The ramp that it is a rung of. */
  readonly ramp: FoundRamp | undefined;
  readonly isTaken: boolean;
  readonly onToggle: () => void;
  readonly onApart: (hex: string) => void;
}

const USES = { action: 'acts', ground: 'ground', text: 'words', line: 'lines' } as const;

/** A color, where it stands, and those that are joined to it. */
const ColorLine = ({ color, ramp, isTaken, onToggle, onApart }: ColorLineProps) => (
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
    {ramp && (
      <span className="text-quiet">
        {ramp.source === color.hex
          ? `a ramp of ${ramp.hexes.length} is made of it`
          : `a rung of the ramp of ${ramp.source}`}
      </span>
    )}
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

/** What is proposed, in the order of the work. */
const inTheirOrder = (proposals: readonly Proposal[]): readonly Proposal[] =>
  proposals.toSorted((one, other) => PROPOSED.indexOf(one.id) - PROPOSED.indexOf(other.id));

/** The unit of space that is taken, in px; that of a new system where none is. */
const unitTaken = (proposals: readonly Proposal[], said: Said): number | undefined => {
  const [unit] = takenOf(
    proposals.filter(({ id }) => id === 'unit'),
    said,
  ).flatMap(({ patch: [first] }) => (first && 'value' in first ? [first.value] : []));
  return typeof unit === 'number' ? unit : undefined;
};

/** The ratio of the scale that is taken, on a wide screen; nothing where none is. */
const ratioTaken = (proposals: readonly Proposal[], said: Said): number | undefined => {
  const ratio = takenOf(proposals, said)
    .flatMap(({ patch }) => patch)
    .find(({ path }) => path === '/type/anchors/items/wide/ratio');
  return ratio && 'value' in ratio && typeof ratio.value === 'number' ? ratio.value : undefined;
};

/** What is told of the components that rules speak of. */
const ComponentsFound = ({ components }: { readonly components: readonly ReadComponent[] }) => (
  <section aria-label="Components that were found" className="mb-2">
    <div className="mt-2 flex items-baseline gap-x-3">
      <h3 className="grow font-semibold">Components</h3>
      <span className="text-quiet">told, not taken</span>
    </div>
    <ul>
      {components.map(({ name, rules, variants, states, missing }) => (
        <li key={name} className="border-t border-line py-1">
          {name} <span className="text-quiet">{rules} rules</span>
          <p className="ps-6 text-xs text-quiet">
            {[
              ...(variants.length > 0 ? [`variants: ${variants.slice(0, 6).join(' ')}`] : []),
              states.length > 0 ? `states: ${states.join(', ')}` : 'no states',
              ...(missing.length > 0 ? [`missing: ${missing.join(', ')}`] : []),
            ].join('; ')}
          </p>
        </li>
      ))}
    </ul>
  </section>
);

interface FromAPageProps {
  /** What is taken now; nothing while there is nothing. */
  readonly onTaken: (taken: Taken | undefined) => void;
}

/** What can be found of a system in style sheets or a page that exist, to be taken for a new one. */
export function FromAPage({ onTaken }: FromAPageProps) {
  const { answer, seen, page, faces, catalogue, read, keepApart, stop } = useInferred();
  const [ofColors, setOfColors] = useState(NOTHING);
  const [said, setSaid] = useState(NOTHING_SAID);
  const [isKept, setKept] = useState(true);
  const found = answer?.kind === 'found' ? answer : undefined;
  const unitPx = found && unitTaken(found.inferred.proposals, said);
  const ratio = found && ratioTaken(found.inferred.proposals, said);
  const roles = useMemo(
    () => (seen && ratio !== undefined ? textRolesSeen(seen.elements, ratio) : []),
    [seen, ratio],
  );
  const spaces = useMemo(() => (seen ? spacesSeen(seen.elements, unitPx) : []), [seen, unitPx]);
  const proposals = useMemo(
    () =>
      inTheirOrder([
        ...faces,
        ...(found?.inferred.proposals ?? []),
        ...(seen?.roles ?? []),
        ...roles,
        ...spaces,
      ]),
    [faces, found, seen, roles, spaces],
  );
  const colors = useMemo(
    () => (found ? takenColors(found, ofColors).map(({ hex }) => hex) : []),
    [found, ofColors],
  );
  const [family] = catalogue;
  const brand = colors.join(' ');
  const usual = useMemo(
    () =>
      family && seen
        ? usualColors(brand === '' ? [USUAL_BRAND] : (brand.split(' ') as Hex[]), family)
        : new Map<string, string>(),
    [brand, family, seen],
  );
  useEffect(() => {
    const taken = takenOf(proposals, said);
    onTaken(
      found && {
        colors,
        patch: [
          { op: 'replace', path: '/description', value: readFrom(found.files, taken) },
          ...taken.flatMap(({ patch }) => patch),
        ],
        ...(page && isKept && { page }),
      },
    );
  }, [onTaken, found, proposals, said, colors, page, isKept]);
  return (
    <div>
      <SheetDrop
        name="Style sheets or a page"
        className="py-1"
        onFiles={(files) => {
          setOfColors(NOTHING);
          setSaid(NOTHING_SAID);
          read(files);
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
      {found && (
        <section aria-label="What was found" className="mt-2">
          {page && (
            <label className="flex min-h-7 items-center gap-2">
              <input
                type="checkbox"
                className="h-4 w-4 accent-primary"
                checked={isKept}
                onChange={({ target }) => setKept(target.checked)}
              />
              Keep the page with the system, and prove the system on it
            </label>
          )}
          <div className="gap-x-8 lg:columns-2">
            <FoundDecisions proposals={proposals} said={said} usual={usual} onSay={setSaid} />
            {found.inferred.colors.length > 0 && (
              <h3 className="font-semibold">Colors of the brand</h3>
            )}
            <ul aria-label="Colors that were found">
              {found.inferred.colors.slice(0, MOST_BRAND_COLORS).map((color) => (
                <ColorLine
                  key={color.hex}
                  color={color}
                  ramp={found.inferred.ramps.find(({ hexes }) => hexes.includes(color.hex))}
                  isTaken={colors.includes(color.hex)}
                  onToggle={() =>
                    setOfColors({ ...ofColors, colors: toggled(ofColors.colors, color.hex) })
                  }
                  onApart={(hex) => {
                    const apart = toggled(ofColors.apart, hex);
                    setOfColors({ ...ofColors, apart });
                    keepApart([...apart]);
                  }}
                />
              ))}
            </ul>
            {found.inferred.components.length > 0 && (
              <ComponentsFound components={found.inferred.components} />
            )}
          </div>
          <p className="border-t border-line pt-1 text-xs text-quiet">
            {[
              ...(proposals.length === 0 ? ['No scale, no unit and no corner could be told.'] : []),
              ...(found.inferred.colors.length === 0 ? ['Only grays stand in it.'] : []),
              ...(found.inferred.neutrals.length > 0
                ? [
                    `Grays follow from the brand: ${found.inferred.neutrals
                      .slice(0, 5)
                      .map(({ hex }) => hex)
                      .join(', ')}.`,
                  ]
                : []),
              ...unmatched(found.inferred.faces, catalogue),
              ...found.refused,
              'Pictures, words and font files are not taken.',
            ].join(' ')}
          </p>
        </section>
      )}
    </div>
  );
}

/** The faces that are not in the catalogue: another one is chosen in Fonts. */
function unmatched(
  faces: readonly (readonly [family: string, places: number])[],
  catalogue: readonly FontFamily[],
): readonly string[] {
  const names = faces.map(([name]) => name).filter((name) => !familyCalled(name, catalogue));
  return names.length === 0
    ? []
    : [`Not in the catalogue, and chosen anew in Fonts: ${names.slice(0, 3).join(', ')}.`];
}
