import { causesOf } from '@garnish/core/checks/causes';
import { besideLabels } from '@garnish/core/derive/icons/beside';
import { USUAL_FAINT } from '@garnish/core/icons/usual';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import useSWR from 'swr';
import { get } from '../../../api/client.ts';
import { Note } from '../../../findings/note.tsx';
import { useDecided, useSystem } from '../../../system/system-context.ts';
import { Section } from '../../../ui/bench.tsx';
import { BringIcons } from './bring-icons.tsx';
import { stylesOfSets, type Query, type StyleOfSet } from './found-icons.ts';
import { IconFinder } from './icon-finder.tsx';
import { IconStyle } from './icon-style.tsx';
import { OpenedIcon } from './opened-icon.tsx';
import { SetsBeside } from './sets-beside.tsx';
import { SiteIcons } from './site-icons.tsx';

const ALL: Query = { words: '', kind: '', from: '', like: undefined };
const NONE: readonly StyleOfSet[] = [];

/** The id of the icon that an address leads to. */
const iconAt = (at: string | null): string | undefined =>
  /^\/icons\/named\/items\/([^/]+)/.exec(at ?? '')?.[1];

/** The icons of the site: what each is for, one style for all, and where they are taken from. */
export function IconsView() {
  const { document, derived } = useDecided(['icons', 'color'], ['icons', 'styles']);
  const { icons } = document;
  const [parameters] = useSearchParams();
  const [opened, setOpened] = useState(() => iconAt(parameters.get('at')));
  const [query, setQuery] = useState(ALL);
  const { data, error, mutate } = useSWR<StyleOfSet[], Error>(
    '/api/icons/sets',
    (path: string) => get(path, stylesOfSets),
    { revalidateOnFocus: false },
  );
  const styles = data ?? NONE;
  const findings = useSystem((state) => state.findings);
  const own = useMemo(
    () => findings.filter(({ decision }) => decision.startsWith('/icons')),
    [findings],
  );
  const icon = opened === undefined ? undefined : derived.icons.get(opened);
  const target = icon && { id: icon.id, name: icon.name };
  const beside = besideLabels(derived, icons.size);
  const setOf = (name: string) => styles.find((one) => one.name === name)?.set;
  const { order } = icons.named;
  const signs = derived.icons.size - order.length;
  return (
    <>
      <Section
        full
        title="Icons of the site"
        aside={
          target ? (
            <button type="button" className="act" onClick={() => setOpened(undefined)}>
              Add another instead
            </button>
          ) : (
            `${order.length} named${signs > 0 ? `, ${signs} of our own that components draw` : ''}`
          )
        }
      >
        <SiteIcons
          icons={[...derived.icons.values()]}
          stroke={icons.stroke}
          faint={icons.faint ?? USUAL_FAINT}
          opened={opened}
          onOpen={setOpened}
        />
        {icon && (
          <OpenedIcon
            key={icon.id}
            icon={icon}
            beside={beside}
            onLike={(name, own1) => {
              const set = setOf(name);
              if (set !== undefined) setQuery({ ...query, like: { set, name: own1 } });
            }}
            onGone={() => setOpened(undefined)}
          />
        )}
        {own.length > 0 && (
          <ul className="mt-3 grid gap-y-2">
            {causesOf(own).map((cause) => (
              <li key={cause.id}>
                <Note cause={cause} />
              </li>
            ))}
          </ul>
        )}
      </Section>
      <Section
        full
        title={target ? `Another drawing for ${target.name}` : 'Find an icon'}
        aside={data ? `${new Set(styles.map(({ set }) => set)).size} sets` : undefined}
      >
        {error ? (
          <p className="text-error">
            {error.message}{' '}
            <button type="button" className="act" onClick={() => void mutate()}>
              Ask again
            </button>
          </p>
        ) : (
          <IconFinder target={target} styles={styles} query={query} onQuery={setQuery} />
        )}
        <BringIcons target={target} />
      </Section>
      <Section full title="One style for all" aside="a drawing is swapped, the style stays">
        <IconStyle />
      </Section>
      {beside && (
        <Section full title="Sets beside the labels" aside="strokes against stems">
          {data ? (
            <SetsBeside
              styles={styles}
              beside={beside}
              shown={query.from}
              onShow={(from) => setQuery({ ...query, from, like: undefined })}
            />
          ) : (
            <p className="text-quiet">The sets are being read.</p>
          )}
        </Section>
      )}
    </>
  );
}
