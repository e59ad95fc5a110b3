import { VISIONS } from '@garnish/core/color/vision';
import { useSyncExternalStore } from 'react';
import * as z from 'zod/mini';

/** How narrow and how wide the proof can be, in px. */
export const NARROWEST_PROOF = 320;
export const WIDEST_PROOF = 5120;

/** So many widths stand beside the proof at most. */
export const MOST_BESIDE = 2;

/** A width of the proof, in whole px, within its limits. */
export const heldWidth = (px: number): number =>
  Math.round(Math.min(WIDEST_PROOF, Math.max(NARROWEST_PROOF, px)));

/** What can stand beside the name of a token in the table of all. */
export const TOKEN_COLUMNS = ['values', 'other theme', 'type', 'tier', 'uses', 'words'] as const;

/** How the interface stands in this browser; no part of any system. */
const schema = z.object({
  look: z.enum(['day', 'night']),
  proofWidth: z.number().check(z.gte(NARROWEST_PROOF), z.lte(WIDEST_PROOF)),
  /** The first theme of the site where none was chosen. */
  proofTheme: z.enum(['first', 'light', 'dark']),
  wide: z.boolean(),
  /** The widths beside that of the proof, over the full window. */
  proofBeside: z
    .array(z.number().check(z.gte(NARROWEST_PROOF), z.lte(WIDEST_PROOF)))
    .check(z.maxLength(MOST_BESIDE)),
  /** Whether the proof stays where it is, whatever is being decided. */
  proofHeld: z.boolean(),
  /** Whether the words in the proof can be changed where they stand. */
  editing: z.boolean(),
  proofFonts: z.enum(['arrived', 'stand-in', 'unfitted']),
  /** The browser's font size and zoom as the proof plays them, in px and per cent. */
  proofRoot: z.number().check(z.gte(12), z.lte(32)),
  proofZoom: z.number().check(z.gte(50), z.lte(500)),
  /** The eyes that the proof is seen with. */
  proofSeen: z.enum(['usual', ...VISIONS, 'outdoors']),
  /** How severe what the eyes lack is, in per cent. */
  proofSeverity: z.number().check(z.gte(0), z.lte(100)),
  /** How much the proof is blurred, in px of the page. */
  proofBlur: z.number().check(z.gte(0), z.lte(24)),
  /** What is drawn over the proof. */
  proofDrawn: z.enum(['nothing', 'values', 'units', 'baseline', 'spaces', 'grid']),
  tokenColumns: z.array(z.enum(TOKEN_COLUMNS)),
  /** What a color that is pointed at in a palette is tried as. */
  colorBecomes: z.enum(['a source', 'action', 'accent', 'support', 'page']),
  /** The limited display that is told beside every color field: its name and the colors that it shows. */
  displayMark: z.optional(
    z.object({
      name: z.string().check(z.maxLength(120)),
      colors: z
        .array(z.string().check(z.regex(/^#[0-9a-f]{6}$/)))
        .check(z.minLength(1), z.maxLength(4096)),
    }),
  ),
});
export type Preferences = z.infer<typeof schema>;

const KEY = 'garnish-preferences';

function read(): Preferences {
  const usual: Preferences = {
    look: matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'day',
    proofWidth: 720,
    proofTheme: 'first',
    wide: false,
    proofBeside: [],
    proofHeld: false,
    editing: false,
    proofFonts: 'arrived',
    proofRoot: 16,
    proofZoom: 100,
    proofBlur: 0,
    proofDrawn: 'nothing',
    proofSeen: 'usual',
    proofSeverity: 100,
    tokenColumns: ['values', 'other theme', 'uses'],
    colorBecomes: 'action',
  };
  try {
    const stored: unknown = JSON.parse(localStorage.getItem(KEY) ?? '{}');
    const parsed = schema.safeParse({ ...usual, ...(stored as object) });
    return parsed.success ? parsed.data : usual;
  } catch {
    return usual;
  }
}

let current = read();
const listeners = new Set<() => void>();

const show = ({ look }: Preferences): void => {
  document.documentElement.dataset['theme'] = `garnish-${look}`;
};
show(current);

export function setPreferences(change: Partial<Preferences>): void {
  current = { ...current, ...change };
  localStorage.setItem(KEY, JSON.stringify(current));
  show(current);
  listeners.forEach((listener) => listener());
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export const usePreferences = (): Preferences => useSyncExternalStore(subscribe, () => current);
