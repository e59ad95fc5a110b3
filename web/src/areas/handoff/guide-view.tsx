import { useMemo } from 'react';
import { takingFrom } from '../../guide/assets.ts';
import { AssetList } from '../../guide/asset-list.tsx';
import { GuideMaker } from '../../guide/maker.tsx';
import { useSystem, useSystemLater } from '../../system/system-context.ts';
import { Section } from '../../ui/bench.tsx';

const today = (): string => new Date().toLocaleDateString('en', { dateStyle: 'long' });

/** The guide: everything that is handed over, as a site that is read from a disk. */
export function GuideView() {
  const system = useSystem((state) => state.id);
  const made = useSystemLater(({ decided }) => decided);
  const take = useMemo(() => takingFrom(`/api/systems/${system}/export`), [system]);
  const { document, derived } = made;
  return (
    <>
      <Section full title="Guide">
        <p className="mb-3 max-w-prose text-quiet">
          One archive that is a site, to be opened from a disk: the pages as they are, every
          component with its states, drawings, code and tokens, all tokens in their themes, the
          assets, and what was decided and why.
        </p>
        <GuideMaker
          guided={{ ...made, take, state: `As it stood on ${today()}.` }}
          fileName="guide.zip"
        />
      </Section>
      <Section full title="Assets">
        <AssetList document={document} derived={derived} take={take} fileName="assets.zip" />
      </Section>
    </>
  );
}
