import { useSystem } from '../../system/system-context.ts';
import { Bench } from '../../ui/bench.tsx';
import { useView, Views, type View } from '../../ui/views.tsx';
import { CheckView } from './check-view.tsx';
import { ClassesView } from './classes-view.tsx';
import { DepthView } from './depth-view.tsx';
import { GridView } from './grid-view.tsx';
import { MotionView } from './motion-view.tsx';
import { PageView } from './page-view.tsx';
import { RolesView } from './roles-view.tsx';
import { ScaleView } from './scale-view.tsx';
import { ShapeView } from './shape-view.tsx';

type ViewId =
  'scale' | 'roles' | 'grid' | 'page' | 'shape' | 'depth' | 'motion' | 'check' | 'classes';

const VIEWS: readonly [View<ViewId>, ...View<ViewId>[]] = [
  {
    id: 'scale',
    name: 'Scale',
    at: ['/space/unit', '/space/steps', '/space/series', '/space/scale', '/space/names'],
  },
  { id: 'roles', name: 'Roles', at: ['/space/roles'] },
  { id: 'grid', name: 'Grid', at: ['/layout/grid', '/layout/breakpoints'] },
  { id: 'page', name: 'Page', at: ['/layout', '/content/pattern'] },
  {
    id: 'shape',
    name: 'Shape',
    at: ['/shape/radii', '/shape/corners', '/shape/borders', '/shape/edges', '/shape/icon'],
  },
  {
    id: 'depth',
    name: 'Depth',
    at: ['/shape/light', '/shape/dark', '/shape/shadows', '/shape/cards'],
  },
  { id: 'motion', name: 'Motion', at: ['/shape'] },
  { id: 'check', name: 'Check', at: ['/space/parts', '/space/limits'] },
  { id: 'classes', name: 'Classes', at: ['/space/utilities'] },
];

const SHOWN: Readonly<Record<ViewId, () => React.JSX.Element>> = {
  scale: ScaleView,
  roles: RolesView,
  grid: GridView,
  page: PageView,
  shape: ShapeView,
  depth: DepthView,
  motion: MotionView,
  check: CheckView,
  classes: ClassesView,
};

/** Space, layout and shape: a scale, what takes its steps, the grid, and what is measured on the page. */
export default function SpaceArea() {
  const findings = useSystem((state) => state.findings);
  const [view, open] = useView(VIEWS);
  const measured = findings.filter(
    ({ area, severity }) => area === 'space' && severity === 'repair',
  ).length;
  const Shown = SHOWN[view];
  return (
    <Bench title="Space" key={view} margin={false}>
      <Views
        label="Views of space"
        views={VIEWS}
        open={view}
        onOpen={open}
        counts={{ check: measured }}
      />
      <Shown />
    </Bench>
  );
}
