import { SURFACES, TELLINGS, type Manner } from '@garnish/core/system/component-schema';
import type { ProofNode } from '@garnish/core/proof/node';
import { sitePage } from '@garnish/core/proof/site';
import type { Mode } from '@garnish/core/system/document';
import { useMemo, useRef, useState } from 'react';
import { Specimens } from '../../proof/specimens.tsx';
import { besideStore } from '../../system/beside.ts';
import { useProofTheme } from '../../system/proof-theme.ts';
import { useShownPage } from '../../system/shown-page.ts';
import {
  SystemContext,
  useDecided,
  useStore,
  useSystemLater,
} from '../../system/system-context.ts';
import { Choice } from '../../ui/choice.tsx';

const HEIGHT_PX = 420;
/** The width that the page is shown at, in px of its own, and how much smaller it is drawn. */
const PAGE_PX = 720;
const SCALE = 0.33;

const PLACED = 'body { margin: 0; overflow-x: clip; }';

/** The page that the proof shows, as the store around it has it. */
function PageOf({ title, theme }: { readonly title: string; readonly theme: Mode }) {
  const page = useShownPage();
  const view = useSystemLater(({ shown }) => ({ shown })).shown;
  const node = useMemo((): ProofNode => sitePage(view.document, view.derived, page), [view, page]);
  return (
    <div className="overflow-hidden" style={{ height: HEIGHT_PX }}>
      <div style={{ width: PAGE_PX, transform: `scale(${SCALE})`, transformOrigin: '0 0' }}>
        <Specimens
          title={title}
          isPicture
          css={PLACED}
          node={node}
          theme={theme}
          heightPx={Math.round(HEIGHT_PX / SCALE)}
        />
      </div>
    </div>
  );
}

const named = <Value extends string>(values: readonly Value[]) =>
  values.map((value) => ({ value, name: value }));

interface BesideProps {
  readonly own: Manner;
  readonly onChange: (manner: Manner) => void;
}

function Beside({ own, onChange }: BesideProps) {
  const store = useStore();
  const theme = useProofTheme();
  const { manner } = useDecided(['components']).document.components;
  const beside = useMemo(
    () => besideStore(store, [{ op: 'replace', path: '/components/manner', value: { ...own } }]),
    [store, own],
  );
  return (
    <div className="mt-2 grid grid-cols-2 gap-x-3">
      <div className="min-w-0">
        <p className="flex min-h-14 items-end pb-1 text-quiet">
          as it is: {manner.surface}, by {manner.states}
        </p>
        <div className="border border-line">
          <PageOf title="The page in its manner" theme={theme} />
        </div>
      </div>
      <div className="min-w-0">
        <div className="min-h-14">
          <Choice
            label="Surface beside"
            options={named(SURFACES)}
            value={own.surface}
            onChange={(surface) => onChange({ ...own, surface })}
          />
          <Choice
            label="States beside"
            options={named(TELLINGS)}
            value={own.states}
            onChange={(states) => onChange({ ...own, states })}
          />
        </div>
        <div className="border border-line">
          <SystemContext value={beside}>
            <PageOf title="The page in the other manner" theme={theme} />
          </SystemContext>
        </div>
      </div>
    </div>
  );
}

/** Another manner beside the one that is decided, both on the page that the proof shows, once it is asked for. */
export function TwoManners() {
  const store = useStore();
  const toggle = useRef<HTMLButtonElement>(null);
  const { manner } = useDecided(['components']).document.components;
  const [own, setOwn] = useState<Manner>();
  const another = (): Manner => ({
    ...manner,
    surface: SURFACES.find((one) => one !== manner.surface) ?? manner.surface,
  });
  const isSame = own?.surface === manner.surface && own.states === manner.states;
  return (
    <div>
      <div className="flex justify-between gap-x-4">
        <button
          ref={toggle}
          type="button"
          className="act"
          aria-expanded={own !== undefined}
          onClick={() => setOwn(own ? undefined : another())}
        >
          {own ? 'One manner alone' : 'Another manner beside it'}
        </button>
        {own && (
          <button
            type="button"
            className="act"
            disabled={isSame}
            onClick={() => {
              store.change(
                [{ op: 'replace', path: '/components/manner', value: { ...own } }],
                `manner ${own.surface}, by ${own.states}`,
              );
              setOwn(undefined);
              toggle.current?.focus();
            }}
          >
            Take the other one
          </button>
        )}
      </div>
      {own && <Beside own={own} onChange={setOwn} />}
    </div>
  );
}
