/** A state that an element is in, and the selectors by which a sheet knows it. */
export interface State {
  readonly id: string;
  /** What it is called on screen. */
  readonly name: string;
  /** Any of them puts an element into it. */
  readonly selectors: readonly [string, ...string[]];
  /** The at-rule that its rules stand in. */
  readonly within?: string;
  /** The state that comes with it: what is pressed by a pointer is pointed at. */
  readonly besides?: string;
  /** The attributes that put an element into it; nothing where only a hand can. */
  readonly attributes?: Readonly<Record<string, string>>;
}

/** Pointing is told only where something can point: a finger leaves it behind. Source: Media Queries 4, hover. */
export const POINTING = '@media (hover: hover)';

/**
 * The states of controls in the order of their rules: what comes later wins. Source of the selectors: Selectors 4;
 * of the attributes: WAI-ARIA 1.2.
 */
export const STATES = [
  { id: 'visited', name: 'visited', selectors: [':visited'] },
  { id: 'hover', name: 'pointed at', selectors: [':hover'], within: POINTING },
  { id: 'pressed', name: 'pressed', selectors: [':active'], besides: 'hover' },
  { id: 'focus', name: 'focused', selectors: [':focus-visible'] },
  {
    id: 'current',
    name: 'current',
    selectors: ['[aria-current]:not([aria-current="false"])', '[aria-selected="true"]'],
    attributes: { 'aria-current': 'page' },
  },
  {
    id: 'chosen',
    name: 'chosen',
    selectors: [':checked', '[aria-checked="true"]'],
    attributes: { checked: '' },
  },
  {
    id: 'open',
    name: 'open',
    selectors: ['[open]', '[aria-expanded="true"]'],
    attributes: { open: '' },
  },
  {
    id: 'invalid',
    name: 'invalid',
    selectors: [':user-invalid', '[aria-invalid="true"]'],
    attributes: { 'aria-invalid': 'true' },
  },
  { id: 'readonly', name: 'read only', selectors: ['[readonly]'], attributes: { readonly: '' } },
  {
    id: 'off',
    name: 'off',
    selectors: [':disabled', '[aria-disabled="true"]'],
    attributes: { 'aria-disabled': 'true' },
  },
  {
    id: 'busy',
    name: 'busy',
    selectors: ['[aria-busy="true"]'],
    attributes: { 'aria-busy': 'true' },
  },
] as const satisfies readonly State[];

export type StateId = (typeof STATES)[number]['id'];

const BY_ID: ReadonlyMap<string, State> = new Map(STATES.map((state) => [state.id, state]));

export function stateOf(id: StateId): State {
  const state = BY_ID.get(id);
  if (!state) throw new Error(`there is no state ${id}`);
  return state;
}

/** All states that an element is in that is in one, in the order of their rules. */
export const statesIn = (id: StateId): readonly StateId[] => {
  const { besides } = stateOf(id);
  return [...STATES.filter((state) => state.id === besides).map((state) => state.id), id];
};

/** The attribute by which a state is drawn that only a hand can bring about. */
export const DRAWN = 'data-drawn';

/** The attributes that put an element into a state where it is drawn. */
export const drawnAttributes = (id: StateId): Readonly<Record<string, string>> =>
  stateOf(id).attributes ?? { [DRAWN]: statesIn(id).join(' ') };
