import { handoff } from '@garnish/core/system/areas/handoff';
import { Bench } from '../../ui/bench.tsx';
import { useView, Views } from '../../ui/views.tsx';
import { Links } from './links.tsx';
import { NextRelease } from './next-release.tsx';
import { Releases } from './releases.tsx';

/** What is handed over: releases, what became of the system between them, and links for those who read it. */
export default function HandoffArea() {
  const [view, open] = useView(handoff.views);
  return (
    <Bench title="Handoff" margin={false}>
      <Views label="Views of the handoff" views={handoff.views} open={view} onOpen={open} />
      {view === 'links' ? <Links /> : view === 'releases' ? <Releases /> : <NextRelease />}
    </Bench>
  );
}
