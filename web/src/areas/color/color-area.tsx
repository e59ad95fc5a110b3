import { useSystem } from '../../system/system-context.ts';
import { Bench } from '../../ui/bench.tsx';
import { useView, Views, type View } from '../../ui/views.tsx';
import { ContrastView } from './contrast-view.tsx';
import { DisplaysView } from './displays-view.tsx';
import { PaletteView } from './palette-view.tsx';
import { PicturesView } from './pictures-view.tsx';
import { RolesView } from './roles-view.tsx';
import { WholeView } from './whole-view.tsx';

type ViewId = 'palette' | 'roles' | 'contrast' | 'pictures' | 'displays' | 'whole';

const VIEWS: readonly [View<ViewId>, ...View<ViewId>[]] = [
  {
    id: 'palette',
    name: 'Palette',
    at: ['/color/sources', '/color/neutral', '/color/gradients', '/color/rungNames'],
  },
  { id: 'roles', name: 'Roles', at: ['/color/roles', '/color/darkChroma', '/color/plainLinks'] },
  { id: 'contrast', name: 'Contrast', at: ['/color/texts'] },
  { id: 'pictures', name: 'Pictures', at: ['/color/veils', '/content/artwork'] },
  { id: 'displays', name: 'Displays', at: [] },
  { id: 'whole', name: 'Whole', at: ['/color'] },
];

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
  const findings = useSystem((state) => state.findings);
  const [view, open] = useView(VIEWS);
  const short = findings.filter(({ id }) => id.startsWith('contrast:')).length;
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
