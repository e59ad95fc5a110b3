import type { ViewsOf } from '@garnish/core/system/areas';
import { color } from '@garnish/core/system/areas/color';
import { useSystem } from '../../system/system-context.ts';
import { Bench } from '../../ui/bench.tsx';
import { useView, Views } from '../../ui/views.tsx';
import { ContrastView } from './contrast-view.tsx';
import { DisplaysView } from './displays-view.tsx';
import { PaletteView } from './palette-view.tsx';
import { PicturesView } from './pictures-view.tsx';
import { RolesView } from './roles-view.tsx';
import { WholeView } from './whole-view.tsx';

const VIEWS = color.views;
type ViewId = ViewsOf<'color'>[number]['id'];

const SHOWN: Readonly<Record<ViewId, () => React.JSX.Element>> = {
  palette: PaletteView,
  roles: RolesView,
  contrast: ContrastView,
  pictures: PicturesView,
  displays: DisplaysView,
  whole: WholeView,
};

/** Colors in, ramps out; roles for light and dark; every color judged where it stands. */
export default function ColorArea() {
  const short = useSystem(
    ({ findings }) => findings.filter(({ id }) => id.startsWith('contrast:')).length,
  );
  const [view, open] = useView(VIEWS);
  const Shown = SHOWN[view];
  return (
    <Bench title="Color" key={view} margin={view === 'palette' || view === 'contrast'}>
      <Views
        label="Views of color"
        views={VIEWS}
        open={view}
        onOpen={open}
        counts={{ contrast: short }}
      />
      <Shown />
    </Bench>
  );
}
