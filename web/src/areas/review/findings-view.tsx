import { useModes } from '../../system/proof-theme.ts';
import { allSections, sectionsOverPictures } from '@garnish/core/proof/texts';
import {
  acceptedAs,
  causesOf,
  isToldOf,
  type Cause,
  type Filter,
} from '@garnish/core/checks/causes';
import type { Finding } from '@garnish/core/checks/finding';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { decisionAddress } from '../../findings/address.ts';
import { Note } from '../../findings/note.tsx';
import type { StyleDocument } from '@garnish/core/system/document';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';

const SAYS = { repair: 'To repair', look: 'To look at' } as const;

function Row({ cause, target }: { readonly cause: Cause; readonly target: boolean }) {
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
      <Note cause={cause} />
      <Link
        className="min-h-6 text-quiet hover:underline"
        to={`../${decisionAddress(cause.places[0].decision)}`}
      >
        {cause.area}
      </Link>
    </li>
  );
}

interface FiltersProps {
  readonly findings: readonly Finding[];
  readonly filter: Filter;
  readonly onFilter: (filter: Filter) => void;
}

/** Of which area, page and theme findings are told; what there is only one of is not asked for. */
function Filters({ findings, filter, onFilter }: FiltersProps) {
  const pages = useSystem(({ decided }) => decided.document.content.pages);
  const options = {
    area: [...new Set(findings.map(({ area }) => area))].map((area) => [area, area] as const),
    page: [...new Set(findings.flatMap(({ where }) => where.page ?? []))].map(
      (page) => [page, pages.items[page]?.name ?? page] as const,
    ),
    mode: [...new Set(findings.flatMap(({ where }) => where.mode ?? []))].map(
      (mode) => [mode, mode] as const,
    ),
  };
  const all = { area: 'all areas', page: 'all pages', mode: 'both themes' } as const;
  const parts = (['area', 'page', 'mode'] as const).filter(
    (part) => options[part].length > 1 || filter[part] !== undefined,
  );
  if (parts.length === 0) return null;
  return (
    <p className="flex flex-wrap gap-x-4 px-4 pt-3">
      {parts.map((part) => (
        <select
          key={part}
          aria-label={`Findings of ${all[part]}`}
          className="select bare w-36"
          value={filter[part] ?? ''}
          onChange={({ currentTarget: { value } }) =>
            onFilter({ ...filter, [part]: value === '' ? undefined : value })
          }
        >
          <option value="">{all[part]}</option>
          {options[part].map(([id, name]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      ))}
    </p>
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
  const [filter, setFilter] = useState<Filter>({});
  const causes = useMemo(
    () => causesOf(findings.filter((finding) => isToldOf(finding, filter))),
    [findings, filter],
  );
  const quiet = useMemo(() => causesOf(accepted), [accepted]);
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
      {findings.length > 0 && <Filters findings={findings} filter={filter} onFilter={setFilter} />}
      {findings.length > 0 && causes.length === 0 && (
        <p className="px-4 py-2 text-quiet">Nothing is found of these.</p>
      )}
      {(['repair', 'look'] as const).map((severity) => {
        const own = causes.filter((cause) => cause.severity === severity);
        if (own.length === 0) return null;
        return (
          <Section
            full
            key={severity}
            title={SAYS[severity]}
            aside={trying ? `${own.length}, trying what repairs them …` : `${own.length}`}
          >
            <ul aria-busy={trying}>
              {own.map((cause) => (
                <Row
                  key={cause.id}
                  cause={cause}
                  target={
                    target !== null &&
                    (cause.id === target || cause.places.some(({ id }) => id === target))
                  }
                />
              ))}
            </ul>
          </Section>
        );
      })}
      {quiet.length > 0 && (
        <Section full title="Accepted as it is" aside={`${quiet.length}`}>
          <ul>
            {quiet.map((cause) => {
              const names = acceptedAs({ accepted: reasons }, cause);
              return (
                <li key={cause.id} className="border-t border-line py-2">
                  <p>{cause.title}</p>
                  <p className="figures text-xs text-quiet">
                    {cause.places.length === 1
                      ? cause.places[0].figures
                      : `${cause.places.length} places`}
                  </p>
                  {/* One reason may have been given for several of its places. */}
                  {[...new Set(names.map((name) => reasons[name]?.reason))].map((reason) => (
                    <p key={reason} className="text-quiet">
                      “{reason}”
                    </p>
                  ))}
                  <button
                    type="button"
                    className="act"
                    onClick={() =>
                      store.change(
                        names.map((name) => ({
                          op: 'remove',
                          path: `/accepted/${name.replaceAll('~', '~0').replaceAll('/', '~1')}`,
                        })),
                        `judge again: ${cause.title}`.slice(0, 120),
                      )
                    }
                  >
                    Judge it again
                  </button>
                </li>
              );
            })}
          </ul>
        </Section>
      )}
    </>
  );
}
