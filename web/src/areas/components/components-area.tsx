import { components } from '@garnish/core/system/areas/components';
import { useSystem } from '../../system/system-context.ts';
import { Bench } from '../../ui/bench.tsx';
import { useView, Views } from '../../ui/views.tsx';
import { IconsView } from './icons/icons-view.tsx';
import { PartsView } from './parts-view.tsx';

/** Every part of a site in every state, and the icons that stand in them. */
export default function ComponentsArea() {
  const [view, open] = useView(components.views);
  const toRepair = useSystem(
    (state) =>
      state.findings.filter(
        ({ decision, severity }) => severity === 'repair' && decision.startsWith('/icons'),
      ).length,
  );
  return (
    <Bench title="Components" key={view} margin={false}>
      <Views
        label="Views of components"
        views={components.views}
        open={view}
        onOpen={open}
        counts={{ icons: toRepair }}
      />
      {view === 'icons' ? <IconsView /> : <PartsView />}
    </Bench>
  );
}
