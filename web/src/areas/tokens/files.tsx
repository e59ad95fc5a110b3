import { DOWNLOADS, DOWNLOAD_GROUPS } from '@garnish/core/formats/formats';
import { utilityRules } from '@garnish/core/formats/utilities';
import { Link } from 'react-router';
import { useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { ImportTokens } from './import-tokens.tsx';
import { Verify } from './verification.tsx';

/** Every file that the system is handed over as, by who needs it; and tokens from elsewhere. */
export function Files() {
  const noUtilities = useSystem(
    ({ decided }) => utilityRules(decided.document, decided.derived).length === 0,
  );
  const id = useSystem((state) => state.id);
  return (
    <>
      <Section full title="Import" aside="tokens from elsewhere, or a system of Garnish">
        <ImportTokens />
      </Section>
      <Section full title="Export" aside={`${DOWNLOADS.length} files`}>
        {DOWNLOAD_GROUPS.map((group) => (
          <div key={group} className="mb-3">
            <h3 className="border-b border-line pb-0.5 text-xs text-quiet">{group}</h3>
            <ul aria-label={`Files ${group}`}>
              {DOWNLOADS.filter((one) => one.group === group).map(({ file, about }) => (
                <li
                  key={file}
                  className="grid grid-cols-[minmax(0,13rem)_minmax(0,1fr)] items-baseline gap-x-3"
                >
                  {file === 'utilities.css' && noUtilities ? (
                    <>
                      <Link className="act figures" to="../space?view=classes">
                        {file}
                      </Link>
                      <span className="text-xs text-quiet">
                        none yet: Space, Classes asks for them
                      </span>
                    </>
                  ) : (
                    <>
                      <a
                        className="act figures"
                        href={`/api/systems/${id}/export/${file}`}
                        download
                      >
                        {file}
                      </a>
                      <span className="text-xs text-quiet">{about}</span>
                    </>
                  )}
                </li>
              ))}
            </ul>
          </div>
        ))}
      </Section>
      <Section full title="Verify" aside="the files against what is shown">
        <Verify />
      </Section>
    </>
  );
}
