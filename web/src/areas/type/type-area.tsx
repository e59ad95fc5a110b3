import { type } from '@garnish/core/system/areas/type';
import { lineAt } from '@garnish/core/checks/lines';
import { inOrder } from '@garnish/core/system/document';
import { usePreferences } from '../../ui/preferences.ts';
import { SizeCurves } from '../../charts/size-curves.tsx';
import { Fact } from '../../findings/fact.tsx';
import { Notes } from '../../findings/note.tsx';
import { Later, useDecidedLater, useSystem } from '../../system/system-context.ts';
import { Bench, Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { useInAddress, viewIds } from '../../ui/views.tsx';
import { LineHeightCurve } from '../../charts/line-height-curve.tsx';
import { Anchors } from './anchors.tsx';
import { ByHand } from './by-hand.tsx';
import { Converter } from './converter.tsx';
import { Measured } from './measured.tsx';
import { ReadList } from './read-list.tsx';
import { Roles } from './roles.tsx';
import { SizeTable } from './size-table.tsx';
import { Specimen } from './specimen.tsx';
import { Stair } from './stair.tsx';

/** How long a line of body text is at the proof's width. */
function LineLength() {
  const decided = useDecidedLater(['brief', 'layout', 'type'], ['grid', 'styles']);
  const { proofWidth } = usePreferences();
  const body = decided.derived.styles.get('body');
  if (!body) return null;
  const { from, to } = decided.document.brief.line;
  const characters = Math.round(lineAt(decided.document, decided.derived, body, proofWidth));
  return (
    <Fact>
      {body.name} line: about {characters} characters at {proofWidth} px,{' '}
      {characters > to ? 'longer than' : characters < from ? 'shorter than' : 'within'} the {from}{' '}
      to {to} that the brief asks for.
    </Fact>
  );
}

const VIEWS = viewIds(type.views);
const TOOLS = ['convert a length', 'read a scale from sizes'] as const;

/** Sizes at two and more screen widths, every role's place on the scale between, and what is proved. */
export default function TypeArea() {
  const findings = useSystem((state) => state.findings);
  const { scale, roles, ends } = useSystem(({ decided: { document } }) => {
    const widths = inOrder(document.type.anchors).map(([, { width }]) => width);
    return {
      scale: document.type.scale,
      roles: document.type.roles.order,
      ends: { first: widths[0], last: widths.at(-1) },
    };
  });
  const [view, setView] = useInAddress('view', VIEWS);
  const [tool, setTool] = useInAddress('tool', TOOLS);
  return (
    <Bench title="Type">
      <Section
        title="Anchors"
        aside="sizes flow between, and rest outside"
        notes={<Notes findings={findings} at={['/type/anchors', '/type/root']} />}
      >
        <Anchors />
      </Section>
      {scale === 'by hand' && (
        <Section title="Sizes by hand" aside="what is not set follows the ratio">
          <ByHand />
        </Section>
      )}
      <Section
        notes={<LineLength />}
        title="Stair"
        aside={`filled at ${ends.first ?? ''}, outline at ${ends.last ?? ''} px`}
      >
        <Stair />
      </Section>
      <Section title="Size over screen width" aside="px">
        <SizeCurves />
      </Section>
      <Section title="Line height" aside="automatic, over the size in px">
        <Later select={({ decided }) => decided.derived.styles}>
          {(styles) => <LineHeightCurve styles={styles.values()} />}
        </Later>
      </Section>
      <Section
        title="Roles"
        full={view !== 'decide'}
        aside={
          <Choice
            label="View of the roles"
            options={VIEWS.map((one) => ({ value: one, name: one }))}
            value={view}
            onChange={setView}
          />
        }
        notes={<Notes findings={findings} at={roles.map((id) => `/type/roles/items/${id}`)} />}
      >
        {{ decide: <Roles />, table: <SizeTable />, words: <Specimen /> }[view]}
      </Section>
      <Section title="In the browser" aside="measured, not computed">
        <Measured />
      </Section>
      <Section
        title="Tools"
        aside={
          <Choice
            label="Tool"
            options={TOOLS.map((one) => ({ value: one, name: one }))}
            value={tool}
            onChange={setTool}
          />
        }
      >
        {tool === 'convert a length' ? <Converter /> : <ReadList />}
      </Section>
    </Bench>
  );
}
