import type { Component } from '@garnish/core/components/component';
import type { StyleDocument } from '@garnish/core/system/document';
import { COMPONENTS } from '@garnish/core/components/components';

/** The components that have something to show, in their order. */
export const SHOWN: readonly Component[] = COMPONENTS.filter(
  ({ variants = [] }) => variants.length > 0,
);

const AT = '/components/departures/';

/** What the tokens of a departure begin with; nothing for any other place of the document. */
export const ofDecision = (path: string): string | undefined =>
  path.startsWith(AT) ? path.slice(AT.length).split('.')[0] : undefined;

/** Whether something that tokens begin with is of a component. */
export const isOfComponent = ({ parts = [], classes }: Component, of: string): boolean =>
  parts.some((part) => part.of === of) || classes.some(({ name }) => name === of);

/** The component that a place of the document is about. */
export function componentAt(
  path: string | null,
  variants?: StyleDocument['components']['variants'],
): Component | undefined {
  const [, own] = /^\/components\/variants\/items\/([^/]+)/.exec(path ?? '') ?? [];
  const follows = own === undefined ? undefined : variants?.items[own]?.of;
  if (follows !== undefined) return SHOWN.find((one) => isOfComponent(one, follows));
  if (path?.startsWith('/components/narrow') === true)
    return SHOWN.find(({ id }) => id === 'navigation');
  const of = path === null ? undefined : ofDecision(path);
  return of === undefined ? undefined : SHOWN.find((own) => isOfComponent(own, of));
}
