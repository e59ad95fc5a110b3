import { fonts } from '@garnish/core/system/areas/fonts';
import {
  hasItalic,
  isFirst,
  nearestWeight,
  weightsOf,
  type FontFamily,
} from '@garnish/core/fonts/family';
import { FACES } from '@garnish/core/system/document';
import { FACE_INSTEAD, faceFor, isOptionalFace } from '@garnish/core/system/faces';
import { Suspense, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import useSWR from 'swr';
import { get } from '../../api/client.ts';
import { familyList } from '../../api/resources.ts';
import { Fact } from '../../findings/fact.tsx';
import { Notes } from '../../findings/note.tsx';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { TrySelect } from '../../system/try-select.tsx';
import { Bench, Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { lazyPart } from '../../ui/patient.ts';
import { useFace } from '../../ui/use-face.ts';
import { useInAddress, viewIds } from '../../ui/views.tsx';
import { choiceAt, languageName, nameOf, pathOf, targetAt, type Target } from './choosing.ts';
import { FamilyList } from './family-list.tsx';
import { Narrow, ShownFrom } from './narrow.tsx';
import { OwnFiles } from './own-files.tsx';
import { Reasons } from './reasons.tsx';

const FIGURES = {
  tabular: 'tabular',
  tnum: 'tabular on request',
  proportional: 'proportional',
} as const;

const share = (value: number): string => value.toFixed(3);

function Facts({ family }: { readonly family: FontFamily }) {
  const { metrics, figures, files, licence } = family;
  const latin = files.filter((file) => isFirst(file) && file.style === 'normal');
  const kilobytes = latin.reduce((sum, { bytes }) => sum + bytes, 0) / 1000;
  const facts: readonly (readonly [string, string])[] = [
    ['x-height', `${share(metrics.xHeight)} em`],
    ['capitals', `${share(metrics.capHeight)} em`],
    ['mean letter', `${share(metrics.letterWidths.en)} em`],
    ['stem', `${share(metrics.stem)} em`],
    ['thin to thick', metrics.thinToThick.toFixed(2)],
    ['figures', FIGURES[figures]],
    ['italic', hasItalic(family) ? 'true' : 'none'],
    ['upright latin', `${kilobytes.toFixed(0)} kB`],
    ['license', licence],
  ];
  return (
    <dl className="mt-3 grid grid-cols-[auto_1fr_auto_1fr] gap-x-3 gap-y-0.5 text-xs">
      {facts.map(([name, value]) => (
        <div key={name} className="contents">
          <dt className="text-quiet">{name}</dt>
          <dd className="figures">{value}</dd>
        </div>
      ))}
    </dl>
  );
}

function Chosen({ target }: { readonly target: Target }) {
  const store = useStore();
  const decided = useDecided(['fonts']);
  const { fonts } = decided.document;
  const choice = choiceAt(fonts, target);
  const { family, weight } = choice ?? faceFor(fonts, target.face, target.narrow).choice;
  const fontFamily = useFace(family);
  const held = nearestWeight(family, weight);
  const weights = weightsOf(family);
  const options = [...new Set([...weights, weight])].sort((one, other) => one - other);
  const path = pathOf(target);
  if (!choice)
    return (
      <p className="text-quiet" data-decision={path}>
        {target.face === 'code'
          ? `Code is set in ${family.name}, the text face. Choose a family here whose letters are all as wide, to give it one of its own.`
          : `Labels, buttons and table heads are set in ${family.name}, the heading face. Choose a family here to give them one of their own.`}
      </p>
    );
  return (
    <div data-decision={path}>
      <p
        className="truncate text-[2.1rem] leading-tight"
        style={{ fontFamily, fontWeight: held, fontSynthesis: 'none' }}
      >
        {family.name}
      </p>
      <div className="mt-1 flex items-center gap-2">
        <label className="text-quiet" htmlFor="weight">
          Weight
        </label>
        <TrySelect
          id="weight"
          className="figures select w-52"
          value={weight}
          onChange={(event) =>
            store.change(
              [{ op: 'replace', path: `${path}/weight`, value: Number(event.currentTarget.value) }],
              `weight of the ${nameOf(target)}`,
            )
          }
        >
          {options.map((option) => (
            <option key={option} value={option}>
              {option}
              {weights.includes(option) || option === held ? '' : ', not in the files'}
            </option>
          ))}
        </TrySelect>
        {isOptionalFace(target.face) && (
          <button
            type="button"
            className="act"
            onClick={() => store.change([{ op: 'remove', path }], `${target.face} in another face`)}
          >
            Use the {FACE_INSTEAD[target.face]} face
          </button>
        )}
      </div>
      <Facts family={family} />
    </div>
  );
}

const Pairs = lazyPart(async () => ({ default: (await import('./pairs.tsx')).Pairs }));
const CloseLook = lazyPart(async () => ({ default: (await import('./close-look.tsx')).CloseLook }));
const Delivery = lazyPart(async () => ({ default: (await import('./delivery.tsx')).Delivery }));
const Swap = lazyPart(async () => ({ default: (await import('./swap.tsx')).Swap }));
const SetAside = lazyPart(async () => ({ default: (await import('./set-aside.tsx')).SetAside }));

const VIEWS = viewIds(fonts.views);

/** What the pairs are ranked by, in a line, with the way to change it. */
function BriefFact() {
  const decided = useDecided(['brief']);
  const { languages, mood, needs } = decided.document.brief;
  return (
    <Fact>
      Ranked for {mood.length > 0 ? mood.join(', ') : 'no mood yet'};{' '}
      {needs.join(', ') || 'no needs'}; {languages.map(languageName).join(', ')}.{' '}
      <Link className="underline underline-offset-2" to="../brief">
        Change the brief
      </Link>
    </Fact>
  );
}

/** The faces of a site: the list on the bench, every face tried in the proof. */
export default function FontsArea() {
  const decided = useDecided(['fonts']);
  const findings = useSystem((state) => state.findings);
  const [parameters] = useSearchParams();
  const at = parameters.get('at');
  const [wanted, setWanted] = useState(targetAt(at));
  const [followed, setFollowed] = useState(at);
  if (at !== followed) {
    setFollowed(at);
    setWanted(targetAt(at));
  }
  const [view, setView] = useInAddress('view', VIEWS);
  const { data, error, mutate } = useSWR<FontFamily[], Error>('/api/fonts', (path: string) =>
    get(path, familyList),
  );
  // The pair for narrow screens can go while it is being chosen, by an undo or in another window.
  const target = decided.document.fonts.narrow ? wanted : { ...wanted, narrow: false };
  return (
    <Bench title="Fonts">
      <Section
        title="Face"
        aside={
          <Choice
            label="Face to choose"
            options={FACES.filter((one) => !isOptionalFace(one) || !target.narrow).map((one) => ({
              value: one,
              name: one,
            }))}
            value={target.face}
            onChange={(face) => setWanted({ ...target, face })}
          />
        }
        notes={
          <>
            <Notes findings={findings} at={[pathOf(target)]} />
            {target.narrow && <ShownFrom />}
          </>
        }
      >
        <Narrow target={target} onChange={setWanted} />
        <Chosen target={target} key={nameOf(target)} />
      </Section>
      <Section
        title="Choose"
        aside={
          <Choice
            label="Way to choose"
            options={VIEWS.map((one) => ({ value: one, name: one }))}
            value={view}
            onChange={setView}
          />
        }
        notes={
          <>
            {(view === 'families' || view === 'pairs') && (
              <Fact>
                Arrow keys or the pointer try it in the proof. Enter or a click takes it, Escape
                goes back.
              </Fact>
            )}
            {view === 'pairs' && <BriefFact />}
          </>
        }
      >
        {error && (
          <p role="alert" className="text-error">
            {error.message}{' '}
            <button type="button" className="act" onClick={() => void mutate()}>
              Try again
            </button>
          </p>
        )}
        {!data && !error && <p className="text-quiet">Reading the catalogue …</p>}
        {data && view === 'families' && (
          <>
            <FamilyList families={data} target={target} key={nameOf(target)} />
            <OwnFiles target={target} onDone={() => void mutate()} />
          </>
        )}
        <Suspense fallback={<p className="text-quiet">Opening …</p>}>
          {data && view === 'pairs' && <Pairs families={data} />}
          {view === 'set aside' && <SetAside />}
          {view === 'close look' && <CloseLook />}
          {view === 'delivery' && (
            <>
              <Delivery />
              <Swap />
            </>
          )}
        </Suspense>
      </Section>
      <Section title="Why these" aside="kept with the decision">
        <Reasons />
      </Section>
    </Bench>
  );
}
