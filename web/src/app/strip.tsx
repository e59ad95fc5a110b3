import { causesOf } from '@garnish/core/checks/causes';
import { nearestWeight } from '@garnish/core/fonts/family';
import type { FontChoice } from '@garnish/core/system/document';
import { chosenFaces } from '@garnish/core/system/faces';
import { fluidPx } from '@garnish/core/type/fluid';
import type { ComponentType } from 'react';
import { NavLink } from 'react-router';
import useSWR from 'swr';
import { get } from '../api/client.ts';
import { releaseList, releasesPath } from '../api/releases.ts';
import { AREA_PAGES, type AreaId } from '../areas/areas.ts';
import { useProofTheme } from '../system/proof-theme.ts';
import { useUnreadNotes } from '../system/notes.ts';
import { useSystem, useSystemLater } from '../system/system-context.ts';
import { useFace } from '../ui/use-face.ts';

const HEIGHT = 42;

function Mood() {
  const mood = useSystem((state) => state.decided.document.brief.mood);
  return (
    <span className="text-sm leading-tight text-balance text-base-content italic">
      {mood.length > 0 ? mood.join(', ') : 'no words yet'}
    </span>
  );
}

function Letters({ family, weight }: FontChoice) {
  const fontFamily = useFace(family);
  return <span style={{ fontFamily, fontWeight: nearestWeight(family, weight) }}>Rg</span>;
}

function Faces() {
  const fonts = useSystem((state) => state.decided.document.fonts);
  return (
    <span className="flex items-baseline gap-1 text-[1.3rem] leading-[1.2] lg:text-[1.75rem]">
      {chosenFaces(fonts)
        .filter(({ narrow }) => !narrow)
        .map(({ face, choice }) => (
          <Letters key={face} {...choice} />
        ))}
    </span>
  );
}

function Stair() {
  const heading = useSystem((state) => state.decided.document.fonts.roles.heading);
  const styles = useSystemLater((state) => state.decided.derived.styles);
  const face = useFace(heading.family);
  const sizes = [...new Set([...styles.values()].map(({ size }) => fluidPx(size, 1440)))].sort(
    (one, other) => one - other,
  );
  const largest = sizes.at(-1) ?? 1;
  return (
    <span
      className="flex items-baseline gap-1 leading-none"
      style={{ fontFamily: face, fontWeight: heading.weight }}
    >
      {sizes.map((size) => (
        <span key={size} style={{ fontSize: Math.max(5, (size / largest) * 30) }}>
          a
        </span>
      ))}
    </span>
  );
}

function Ramps() {
  const ramps = useSystemLater((state) => state.decided.derived.ramps);
  return (
    <span className="flex w-full gap-0.5" style={{ height: HEIGHT }}>
      {[...ramps.values()].slice(0, 4).map(({ id, colors }) => (
        <span key={id} className="flex w-7 shrink flex-col">
          {colors.map((color, index) => (
            <span key={index} className="grow" style={{ background: color }} />
          ))}
        </span>
      ))}
    </span>
  );
}

function Steps() {
  const all = useSystemLater((state) => state.decided.derived.steps);
  const steps = [...all.values()];
  const largest = Math.max(...steps.map(({ px }) => px));
  return (
    <span className="flex items-end gap-[3px]" style={{ height: HEIGHT }}>
      {steps.map(({ id, px }) => (
        <span
          key={id}
          className="w-2 bg-base-content"
          style={{ height: Math.max(1, (px / largest) * HEIGHT) }}
        />
      ))}
    </span>
  );
}

const OF_BUTTON = ['background', 'background-hover', 'background-pressed'] as const;

/** The main button at rest, pointed at and pressed, as far as they have colors of their own. */
function States() {
  const theme = useProofTheme();
  const tokens = useSystemLater((state) => state.decided.derived.tokenById);
  const [rest, ...others] = OF_BUTTON.map(
    (part) => tokens.get(`button.${part}`)?.values[theme].css,
  );
  const edge = tokens.get('button.edge')?.values[theme].css;
  return (
    <span className="flex items-end gap-1 pb-1">
      {[rest, ...others].map((color, index) => (
        <span
          key={index}
          className="h-4 w-7 rounded-xs"
          style={{
            background: color ?? rest ?? 'transparent',
            ...(edge !== undefined && { border: `1px solid ${edge}` }),
          }}
        />
      ))}
    </span>
  );
}

function Count() {
  const count = useSystem((state) => state.decided.derived.tokens.length);
  return <span className="figures text-2xl leading-none">{count}</span>;
}

/** How many causes are to be repaired, and how many to be looked at; of one area, or of all. */
const useCounts = (area?: AreaId): { readonly repair: number; readonly look: number } =>
  useSystem(({ findings }) => {
    const own = area === undefined ? findings : findings.filter((one) => one.area === area);
    // What has one cause is one thing to do, in however many places it is seen.
    const causes = causesOf(own);
    const repair = causes.filter(({ severity }) => severity === 'repair').length;
    return { repair, look: causes.length - repair };
  });

function Waiting() {
  const { repair, look } = useCounts();
  return (
    <span className="figures text-2xl leading-none">
      <span className={repair > 0 ? 'text-error' : ''}>{repair}</span>
      {look > 0 && <span className="text-warning">+{look}</span>}
    </span>
  );
}

/** The number of the last release; a stroke before the first. */
function LastRelease() {
  const id = useSystem((state) => state.id);
  const { data } = useSWR(releasesPath(id), (path: string) => get(path, releaseList));
  return <span className="figures text-2xl leading-none">{data?.releases[0]?.number ?? '–'}</span>;
}

/** The live picture of each area. */
const PICTURES: Readonly<Record<AreaId, ComponentType>> = {
  brief: Mood,
  fonts: Faces,
  type: Stair,
  color: Ramps,
  space: Steps,
  components: States,
  tokens: Count,
  review: Waiting,
  handoff: LastRelease,
};

/** Notes that nobody has read here yet. */
function Unread() {
  const unread = useUnreadNotes(useSystem((state) => state.id));
  return unread === 0 ? null : (
    <span className="figures text-xs text-warning">
      {unread}
      <span className="sr-only"> {unread === 1 ? 'note' : 'notes'} unread</span>
    </span>
  );
}

function Marks({ area }: { readonly area: AreaId }) {
  const { repair, look } = useCounts(area);
  if (repair + look === 0) return null;
  return (
    <span className="figures flex gap-1.5 text-xs">
      {repair > 0 && (
        <span className="text-error">
          {repair}
          <span className="sr-only"> to repair</span>
        </span>
      )}
      {look > 0 && (
        <span className="text-warning">
          {look}
          <span className="sr-only"> to look at</span>
        </span>
      )}
    </span>
  );
}

/** The whole system at a glance: each area shows what has been decided in it. */
export function Strip() {
  return (
    <nav
      aria-label="Areas"
      className="flex overflow-x-auto border-t border-line px-4 max-lg:border-b"
    >
      {AREA_PAGES.map(({ id, name }) => {
        const Picture = PICTURES[id];
        return (
          <NavLink
            key={id}
            to={id}
            className="group relative flex min-h-[5.375rem] min-w-28 flex-1 flex-col justify-between border-e border-t-[3px] border-e-line border-t-transparent px-2.5 pt-2 pb-1.5 first:border-s first:border-s-line hover:bg-base-200 aria-[current=page]:border-t-primary aria-[current=page]:bg-base-100"
          >
            <span aria-hidden className="flex h-11 items-end overflow-hidden">
              <Picture />
            </span>
            <span className="flex items-baseline justify-between gap-2 text-quiet group-aria-[current=page]:text-base-content">
              {name}
              {id === 'handoff' ? <Unread /> : <Marks area={id} />}
            </span>
          </NavLink>
        );
      })}
    </nav>
  );
}
