import type { ViewsOf } from '@garnish/core/system/areas';
import { review } from '@garnish/core/system/areas/review';
import type { ComponentType } from 'react';
import { Bench } from '../../ui/bench.tsx';
import { useView, Views } from '../../ui/views.tsx';
import { DriftView } from './drift-view.tsx';
import { FindingsView } from './findings-view.tsx';
import { PageView } from './page-view.tsx';

const VIEWS: Readonly<Record<ViewsOf<'review'>[number]['id'], ComponentType>> = {
  findings: FindingsView,
  drift: DriftView,
  page: PageView,
};

/** What the checks say, how far what was built has drifted from what was decided, and what a page of it shows. */
export default function ReviewArea() {
  const [view, open] = useView(review.views);
  const Shown = VIEWS[view];
  return (
    <Bench title="Review" margin={false}>
      <Views label="Views of the review" views={review.views} open={view} onOpen={open} />
      <Shown />
    </Bench>
  );
}
