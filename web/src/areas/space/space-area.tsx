import type { ViewsOf } from '@garnish/core/system/areas';
import { space } from '@garnish/core/system/areas/space';
import { useSystem } from '../../system/system-context.ts';
import { Bench } from '../../ui/bench.tsx';
import { useView, Views } from '../../ui/views.tsx';
import { CheckView } from './check-view.tsx';
import { ClassesView } from './classes-view.tsx';
import { DepthView } from './depth-view.tsx';
import { GridView } from './grid-view.tsx';
import { MotionView } from './motion-view.tsx';
import { PageView } from './page-view.tsx';
import { RolesView } from './roles-view.tsx';
import { ScaleView } from './scale-view.tsx';
import { ShapeView } from './shape-view.tsx';

const VIEWS = space.views;
type ViewId = ViewsOf<'space'>[number]['id'];

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
