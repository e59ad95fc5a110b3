import type { ViewsOf } from '@garnish/core/system/areas';
import { handoff } from '@garnish/core/system/areas/handoff';
import type { ComponentType } from 'react';
import { Bench } from '../../ui/bench.tsx';
import { useView, Views } from '../../ui/views.tsx';
import { Drawings } from './drawings.tsx';
import { GuideView } from './guide-view.tsx';
import { Links } from './links.tsx';
import { Messages } from './messages.tsx';
import { Notes } from './notes.tsx';
import { NextRelease } from './next-release.tsx';
import { Releases } from './releases.tsx';
import { Things } from './things.tsx';

const VIEWS: Readonly<Record<ViewsOf<'handoff'>[number]['id'], ComponentType>> = {
  next: NextRelease,
  things: Things,
  drawings: Drawings,
  guide: GuideView,
  releases: Releases,
  links: Links,
  notes: Notes,
  messages: Messages,
};

/** What is handed over: releases, what became of the system between them, links for those who read it, and what they write. */
export default function HandoffArea() {
  const [view, open] = useView(handoff.views);
  const Shown = VIEWS[view];
  return (
    <Bench title="Handoff" margin={false}>
      <Views label="Views of the handoff" views={handoff.views} open={view} onOpen={open} />
      <Shown />
    </Bench>
  );
}
