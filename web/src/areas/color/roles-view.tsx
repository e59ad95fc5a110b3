import { useModes } from '../../system/proof-theme.ts';
import { usualColorRoles } from '@garnish/core/system/color-roles';
import { FAMILIES, type ColorFamily } from '@garnish/core/system/families';
import { inOrder } from '@garnish/core/system/document';
import { jsonOf } from '@garnish/core/system/patch';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { Notes } from '../../findings/note.tsx';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';
import { Assign } from './assign.tsx';
import { Dark } from './dark.tsx';
import { ThemesChoice } from './themes.tsx';
import { PlainRoles, VividRoles, type OpenRole } from './roles.tsx';

/** Adds the usual roles that an older system does not have yet. */
function Missing() {
  const store = useStore();
  const decided = useDecided(['color']);
  const { roles, sources } = decided.document.color;
  const [brand = 'neutral'] = sources.order;
  const ramp = (family: ColorFamily): string =>
    inOrder(sources).find(([id, { name }]) => id === family || name === family)?.[0] ??
    (family === 'support' ? 'neutral' : brand);
  const ramps = Object.fromEntries(FAMILIES.map((family) => [family, ramp(family)])) as Record<
    ColorFamily,
    string
  >;
  const usual = usualColorRoles({ ...ramps, brand });
  const missing = usual.order.filter((id) => !Object.hasOwn(roles.items, id));
  if (missing.length === 0) return null;
  return (
    <p className="mt-2">
      <button
        type="button"
        className="act"
        onClick={() =>
          store.change(
            [
              ...missing.map((id) => ({
                op: 'add' as const,
                path: `/color/roles/items/${id}`,
                value: jsonOf(usual.items[id]),
              })),
              {
                op: 'replace' as const,
                path: '/color/roles/order',
                value: [...roles.order, ...missing],
              },
            ],
            'the usual color roles',
          )
        }
      >
        Add the {missing.length} usual roles that are not here
      </button>
    </p>
  );
}

/** What each color does, in light and in dark. */
export function RolesView() {
  const decided = useDecided(['color']);
  const findings = useSystem((state) => state.findings);
  const modes = useModes();
  const [parameters] = useSearchParams();
  const at = /^\/color\/roles\/items\/([^/]+)(?:\/(light|dark))?/.exec(parameters.get('at') ?? '');
  const named = at?.[1];
  const [open, setOpen] = useState<OpenRole | undefined>(
    named !== undefined && Object.hasOwn(decided.document.color.roles.items, named)
      ? { id: named, mode: at?.[2] === 'dark' ? 'dark' : 'light' }
      : undefined,
  );
  const own = findings.filter(({ decision }) => decision.startsWith('/color/roles'));
  return (
    <>
      <Section title="Surfaces, text and lines" aside={modes.join(' · ')} full>
        <p className="mb-2 text-xs text-quiet">
          A mark in the corner: set by hand. All others are automatic: the rung nearest to the wish
          at which everything reads.
        </p>
        <PlainRoles open={open} onOpen={setOpen} />
      </Section>
      <Section title="Vivid colors" aside={modes.join(' · ')} full>
        <VividRoles open={open} onOpen={setOpen} />
        <Missing />
        <Assign />
      </Section>
      <Section title="Themes" full>
        <ThemesChoice />
      </Section>
      <Section title="Dark, and links" full>
        <Dark />
      </Section>
      {own.length > 0 && (
        <Section title="What the checks say" aside={`${own.length}`} full>
          <div className="columns-2 gap-6">
            <Notes findings={own} at={['/color/roles']} />
          </div>
        </Section>
      )}
    </>
  );
}
