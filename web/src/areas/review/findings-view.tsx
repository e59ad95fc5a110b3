import { useModes } from '../../system/proof-theme.ts';
import { allSections, sectionsOverPictures } from '@garnish/core/proof/texts';
import type { Finding } from '@garnish/core/checks/finding';
import { useEffect, useRef } from 'react';
import { Link, useSearchParams } from 'react-router';
import { decisionAddress } from '../../findings/address.ts';
import { Note } from '../../findings/note.tsx';
import type { StyleDocument } from '@garnish/core/system/document';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';

const SAYS = { repair: 'To repair', look: 'To look at' } as const;

function Row({ finding, target }: { readonly finding: Finding; readonly target: boolean }) {
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (target) row.current?.scrollIntoView({ block: 'center' });
  }, [target]);
  return (
    <li
      ref={row}
      data-target={target || undefined}
      className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-4 border-t border-line pt-2"
    >
      <Note finding={finding} />
      <Link
        className="min-h-6 text-quiet hover:underline"
        to={`../${decisionAddress(finding.decision)}`}
      >
        {finding.area}
      </Link>
    </li>
  );
}

/** How text is judged that does not stand on one color. */
function judgedApart({
  document: { content },
}: {
  readonly document: Pick<StyleDocument, 'content'>;
}): string {
  return [
    sectionsOverPictures(content).length > 0 &&
      ' Words over pictures are judged on their pixels, a few seconds after each change.',
    allSections(content).some(({ own }) => own.gradient !== undefined) &&
      ' Text on a gradient is judged where it reads worst.',
  ]
    .filter(Boolean)
    .join('');
}

/** Everything the checks say, the most serious first, and what was accepted as it is. */
export function FindingsView() {
  const store = useStore();
  const accepted = useSystem((state) => state.accepted);
  const reasons = useSystem((state) => state.decided.document.accepted);
  const modes = useModes();
  const left = judgedApart(useDecided(['content']));
  const findings = useSystem((state) => state.findings);
  const trying = useSystem((state) => state.trying);
  const [parameters] = useSearchParams();
  const target = parameters.get('finding');
  return (
    <>
      {findings.length > 0 && left !== '' && <p className="px-4 pt-4 text-quiet">{left.trim()}</p>}
      {findings.length === 0 && (
        <Section full title="Nothing to repair">
          <p className="text-quiet">
            Every text on a color can be read in {modes.length > 1 ? 'both themes' : 'its theme'},
            every weight is in the files, headings keep their order, and body text is large enough
            at every width.{left}
          </p>
        </Section>
      )}
      {(['repair', 'look'] as const).map((severity) => {
        const own = findings.filter((finding) => finding.severity === severity);
        if (own.length === 0) return null;
        return (
          <Section
            full
            key={severity}
            title={SAYS[severity]}
            aside={trying ? `${own.length}, trying what repairs them …` : `${own.length}`}
          >
            <ul aria-busy={trying}>
              {own.map((finding) => (
                <Row key={finding.id} finding={finding} target={finding.id === target} />
              ))}
            </ul>
          </Section>
        );
      })}
      {accepted.length > 0 && (
        <Section full title="Accepted as it is" aside={`${accepted.length}`}>
          <ul>
            {accepted.map(({ id, title, figures }) => (
              <li key={id} className="border-t border-line py-2">
                <p>{title}</p>
                <p className="figures text-xs text-quiet">{figures}</p>
                <p className="text-quiet">“{reasons[id]?.reason}”</p>
                <button
                  type="button"
                  className="act"
                  onClick={() =>
                    store.change(
                      [
                        {
                          op: 'remove',
                          path: `/accepted/${id.replaceAll('~', '~0').replaceAll('/', '~1')}`,
                        },
                      ],
                      `judge again: ${title}`.slice(0, 120),
                    )
                  }
                >
                  Judge it again
                </button>
              </li>
            ))}
          </ul>
        </Section>
      )}
    </>
  );
}
