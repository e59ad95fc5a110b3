import { causesOf } from '@garnish/core/checks/causes';
import type { Component } from '@garnish/core/components/component';
import { classesIn } from '@garnish/core/proof/node';
import { sitePage } from '@garnish/core/proof/site';
import { inOrder, type Mode } from '@garnish/core/system/document';
import { startTransition, useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { Note } from '../../findings/note.tsx';
import { useModes, useProofTheme } from '../../system/proof-theme.ts';
import { showPage } from '../../system/shown-page.ts';
import { useDecidedLater, useStore, useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Anatomy } from './anatomy.tsx';
import { Grounds } from './grounds.tsx';
import { componentAt, isOfComponent, ofDecision, SHOWN } from './of-decision.ts';
import { NarrowNavigation } from './narrow-navigation.tsx';
import { OwnPart } from './own-part.tsx';
import { idOfOwn, ownAsked } from './own-part-node.ts';
import { OwnVariants } from './own-variants.tsx';
import { Shelf } from './shelf.tsx';
import { TwoManners } from './two-manners.tsx';
import { TakeAway } from '../../proof/take-away.tsx';
import { Manner } from './manner.tsx';
import { StatesDrawn } from './states-drawn.tsx';

interface UsesProps {
  /** The classes of what is counted. */
  readonly classes: readonly string[];
}

/** The pages on which something stands, with how often; each turns the proof to it. */
function Uses({ classes }: UsesProps) {
  const store = useStore();
  const { document } = useDecidedLater(['content', 'name', 'layout', 'shape', 'color', 'brief']);
  const found = useMemo(() => {
    const view = store.state().decided;
    const own = new Set(classes);
    return inOrder(document.content.pages).flatMap(([id, { name }]) => {
      const count = [...classesIn(sitePage(view.document, view.derived, id))].filter((one) =>
        own.has(one),
      ).length;
      return count === 0 ? [] : [{ id, name, count }];
    });
  }, [store, classes, document]);
  if (found.length === 0) return <span>on no page; on the sheet of parts</span>;
  return (
    <span className="flex flex-wrap gap-x-3">
      {found.map(({ id, name, count }) => (
        <button
          key={id}
          type="button"
          className="min-h-6 hover:text-base-content hover:underline"
          onClick={() => showPage(store.state().id, id)}
        >
          {name} <span className="figures">{count}</span>
        </button>
      ))}
    </span>
  );
}

/** What is decided of a component, and what is taken away of it. */
function Below({ component, theme }: { readonly component: Component; readonly theme: Mode }) {
  const departures = useSystem(({ decided }) => decided.document.components.departures);
  const departing = Object.keys(departures).filter((name) =>
    isOfComponent(component, name.split('.')[0] ?? ''),
  );
  return (
    <>
      {component.id === 'navigation' && (
        <Section full title="On narrow screens">
          <NarrowNavigation />
        </Section>
      )}
      <Section
        full
        title="Anatomy"
        aside={
          departing.length === 0
            ? 'follows the manner'
            : `follows the manner but for ${departing.length}`
        }
      >
        <Anatomy component={component} mode={theme} />
      </Section>
      <Section
        full
        title="Variants of one’s own"
        aside="follow what they copy but for what they take"
      >
        <OwnVariants component={component} mode={theme} />
      </Section>
      <Section full title="To take away" aside="HTML and rules of the exported sheet">
        <Taken component={component} />
      </Section>
    </>
  );
}

/** What developers take of a component. */
function Taken({ component }: { readonly component: Component }) {
  const { document, derived } = useDecidedLater(
    ['tokens', 'components'],
    ['styles', 'colors', 'groups', 'rules'],
  );
  return <TakeAway component={component} document={document} derived={derived} />;
}

/** So long what stands below waits for the states, in ms. */
const BELOW_MS = 120;

/** One component: every state on a ground, what its parts take, and what the checks say. */
function Opened({ component }: { readonly component: Component }) {
  const shown = useProofTheme();
  const modes = useModes();
  const [own, setOwn] = useState<string>();
  // What is looked at first is drawn first, unless somebody was led to what stands below it.
  const [parameters] = useSearchParams();
  const [isWhole, setWhole] = useState(parameters.has('at'));
  useEffect(() => {
    const timer = setTimeout(() => startTransition(() => setWhole(true)), BELOW_MS);
    return () => clearTimeout(timer);
  }, []);
  const theme = modes.find((mode) => mode === own) ?? shown;
  const classes = useMemo(() => component.classes.map(({ name }) => name), [component]);
  const [ground, setGround] = useState<string>('page');
  const findings = useSystem((state) => state.findings).filter(({ decision }) =>
    isOfComponent(component, ofDecision(decision) ?? ''),
  );
  return (
    <>
      <Section full title={component.name} aside={<Uses classes={classes} />}>
        <div className="mb-2 flex items-start justify-between gap-x-6">
          <Grounds value={ground} theme={theme} onChange={setGround} />
          {modes.length > 1 && (
            <Choice<string>
              label="Theme of the specimens"
              options={modes.map((mode) => ({ value: mode, name: mode }))}
              value={theme}
              onChange={setOwn}
            />
          )}
        </div>
        <StatesDrawn component={component} ground={ground} theme={theme} />
        {findings.length > 0 && (
          <ul className="mt-3 grid gap-y-2">
            {causesOf(findings).map((cause) => (
              <li key={cause.id}>
                <Note cause={cause} />
              </li>
            ))}
          </ul>
        )}
      </Section>
      {isWhole && <Below component={component} theme={theme} />}
    </>
  );
}

/** Every part of a site in every state, in one manner, and what departs from it. */
export function PartsView() {
  const departures = useSystem(({ decided }) => decided.document.components.departures);
  const variants = useSystem(({ decided }) => decided.document.components.variants);
  const [parameters, setParameters] = useSearchParams();
  const asked = parameters.get('part');
  const component =
    SHOWN.find(({ id }) => id === asked) ??
    componentAt(parameters.get('at'), variants) ??
    SHOWN.find(({ id }) => id === 'button');
  const count = Object.keys(departures).length;
  const part = ownAsked(asked);
  return (
    <>
      <Section
        full
        title="One manner for all"
        aside={
          count === 0
            ? 'nothing departs'
            : `${count} ${count === 1 ? 'part departs' : 'parts depart'}`
        }
      >
        <Manner />
        <TwoManners />
      </Section>
      <div className="mt-3">
        <Shelf
          opened={part === undefined ? (component?.id ?? '') : idOfOwn(part)}
          onOpen={(id) => setParameters({ part: id })}
        />
      </div>
      {part === undefined ? (
        component && <Opened key={component.id} component={component} />
      ) : (
        <OwnPart key={part} id={part} />
      )}
    </>
  );
}
