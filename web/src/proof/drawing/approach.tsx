import { approachOf } from '@garnish/core/drawings/approach';
import type { Derived } from '@garnish/core/derive/derived';
import type { StyleDocument } from '@garnish/core/system/document';
import { useMemo } from 'react';
import useSWR from 'swr';
import { ownFaces } from './data.ts';
import { DrawnSheet } from './specification.tsx';

interface ApproachProps {
  readonly document: StyleDocument;
  readonly derived: Derived;
}

/** One page that explains the steps, the roles and how drawings are read. */
export function Approach({ document, derived }: ApproachProps) {
  const { data: css } = useSWR('faces of drawings', ownFaces, { revalidateOnFocus: false });
  const drawing = useMemo(
    () => (css === undefined ? undefined : approachOf(document, derived, css)),
    [document, derived, css],
  );
  return drawing ? (
    <DrawnSheet drawing={drawing} title={`The approach of ${document.name}`} fileName="approach" />
  ) : (
    <p className="py-8 text-quiet">Drawing …</p>
  );
}
