import type { Themes } from '../system/themes.ts';
import type { SystemIcon } from '../system/icons.ts';
import type { Hex } from '../color/srgb.ts';
import type { FontFamily, FontFile } from '../fonts/family.ts';
import type { StandIn } from '../fonts/stand-in.ts';
import type { ColorRole, Face, Mode, Part, SpaceUse } from '../system/document.ts';
import type { SolvedGrid } from '../space/grid.ts';
import type { KnownRange } from '../system/grid-knowns.ts';
import type { FluidSize } from '../type/fluid.ts';
import type { Token, TokenValue, Trail, TrailDecision } from '../tokens/token.ts';
import type { GradientSpace } from '../color/gradient.ts';

/** The face that sets a text: what the decisions ask for, and the nearest weight that is there. */
export interface StyleFace {
  readonly family: FontFamily;
  readonly weightWanted: number;
  readonly weight: number;
}

/** A text role with the faces that set it. */
export interface TextSetting extends StyleFace {
  readonly id: string;
  readonly name: string;
  readonly slug: string;
  readonly face: Face;
  /** On screens narrower than `fonts.narrow.below`, where another face sets it there. */
  readonly narrow?: StyleFace;
}

/** A text role with all that its class says. */
export interface TextStyle extends TextSetting {
  readonly place: number;
  readonly size: FluidSize;
  /** Whether the role decides sizes itself, rather than by its place alone. */
  readonly ownSize: boolean;
  readonly lineHeight: number;
  /** In em. */
  readonly letterSpacing: number;
  /** The mean advance of a character of the site's first language, as a share of the em. */
  readonly letterWidth: number;
}

export interface DerivedRamp {
  readonly id: string;
  readonly name: string;
  readonly slug: string;
  readonly colors: readonly Hex[];
  /** In the dark theme, where vivid colors keep less of their chroma there. */
  readonly dark?: readonly Hex[];
  /** Where the source stands unchanged; absent for neutrals. */
  readonly seat?: number;
  /** The source as screens with a wide gamut show it. */
  readonly wide?: string;
  /** What its rungs are called in tokens. */
  readonly rungNames: readonly string[];
  /** What it rests on. */
  readonly decision: TrailDecision;
}

/** What a paint comes out as in one mode. */
export interface Painted {
  /** The emitted color; of a share, what it is over its ground. */
  readonly hex: Hex;
  readonly ramp?: DerivedRamp;
  /** 1 to 16. */
  readonly rung?: number;
  /** As screens with a wide gamut may show it. */
  readonly wide?: string;
  /** Of a share that is emitted transparent: the color that is laid over, how much of it, and as CSS has it. */
  readonly transparent?: { readonly of: Hex; readonly share: number; readonly css: string };
}

export interface DerivedColorRole {
  readonly id: string;
  readonly name: string;
  readonly slug: string;
  readonly colors: Readonly<Record<Mode, Hex>>;
  /** How each mode came about. */
  readonly painted: Readonly<Record<Mode, Painted>>;
  readonly decided: ColorRole;
}

/**
 * What two colors are to each other: a text on its ground, a part of a control (an edge, a focus ring,
 * a state), a link beside the text around it, or something that the standards ask nothing of.
 */
export type NeedKind = 'text' | 'part' | 'beside' | 'exempt';

/** A color on a ground and the contrast that it needs there, before any color is known. */
export interface NeedPlan {
  readonly id: string;
  readonly kind: NeedKind;
  /** What it is: “edges of fields on page”. */
  readonly what: string;
  readonly color: string;
  readonly on: string;
  /** The ratio, or 0 where nothing is asked. */
  readonly needed: number;
  /** The text role, by its id. */
  readonly text?: string;
  readonly part?: Part;
  /** Whether it was said of a text role by hand, or follows from the roles. */
  readonly decided: boolean;
  /** The class of the component that needs it, and the departures from its manner that it comes from. */
  readonly of?: string;
  readonly departs?: readonly {
    readonly name: string;
    readonly path: string;
    readonly to: string;
  }[];
}

/** A need with what it speaks of. */
export interface Need extends Omit<NeedPlan, 'color' | 'on'> {
  readonly style?: TextStyle;
  readonly color: DerivedColorRole;
  readonly on: DerivedColorRole;
}

/** A role that stands on another rung than it was wished or held on. */
export interface Move {
  readonly role: string;
  readonly name: string;
  readonly mode: Mode;
  readonly from: number;
  readonly to: number;
}

export interface Assignment {
  /** The rung of every role that moves, by mode and role. */
  readonly rungs: Readonly<Record<Mode, ReadonlyMap<string, number>>>;
  readonly moves: readonly Move[];
  /** Pairs that no rung satisfies while what is pinned stays. */
  readonly unsolved: readonly { readonly need: NeedPlan; readonly mode: Mode }[];
}

export interface DerivedGradient {
  readonly id: string;
  readonly name: string;
  readonly slug: string;
  readonly space: GradientSpace;
  readonly angle: number;
  readonly stops: readonly { readonly at: number; readonly role: DerivedColorRole }[];
}

/** A text in a color on a surface, as used. */
export interface TextPair {
  readonly id: string;
  readonly style: TextStyle;
  readonly part: Part;
  readonly color: DerivedColorRole;
  readonly on: DerivedColorRole;
}

export interface SpaceStep {
  readonly id: string;
  readonly name: string;
  readonly slug: string;
  readonly multiple: number;
  readonly px: number;
}

/** Where a length stands; what is left out is the usual: the screen as container, a root of 16 px. */
export interface LengthAt {
  readonly widthPx: number;
  readonly containerPx?: number;
  readonly fontPx?: number;
  readonly rootPx?: number;
}

/** What a length is from a breakpoint up. */
export interface LengthFrom {
  readonly fromPx: number;
  readonly value: TokenValue;
}

/** A length as it is emitted, and what that is anywhere. */
export interface DerivedLength {
  readonly value: TokenValue;
  readonly from: readonly LengthFrom[];
  readonly px: (at: LengthAt) => number;
  /** The widths at which it bends, of the screen or of its container; nothing bends with its text. */
  readonly bends: readonly number[];
  readonly follows: 'nothing' | 'screen' | 'container' | 'text';
  readonly fluid?: FluidSize;
  /** The same without `clamp()`, where it has one that is no flowing size. */
  readonly plain?: string;
}

/** The grid from a screen width up. */
export interface GridRange extends KnownRange {
  readonly grid: SolvedGrid;
}

/** A role of space with its lengths; at the sides, and above and below where those are apart. */
export interface DerivedSpace {
  readonly id: string;
  readonly name: string;
  readonly slug: string;
  readonly use: SpaceUse;
  readonly apart: boolean;
  readonly inline: DerivedLength;
  readonly block: DerivedLength;
}

/** A quiet background with the colors that it is drawn in. */
export interface DerivedPattern {
  readonly id: string;
  readonly name: string;
  readonly slug: string;
  readonly on: DerivedColorRole;
  readonly inks: Readonly<Record<Mode, Hex>>;
  readonly svg: Readonly<Record<Mode, string>>;
  readonly repeats: boolean;
}

/** A rule of the style sheet: a selector and its declarations. */
export interface Rule {
  readonly selector: string;
  /** The at-rule that it stands in, if any: `@media (…)`. */
  readonly within?: string;
  readonly declarations: readonly (readonly [property: string, value: string])[];
}

/** A family as it is delivered: the files that hold what is asked of it, and its stand-in. */
export interface DeliveredFace {
  readonly family: FontFamily;
  readonly files: readonly FontFile[];
  readonly standIn: StandIn;
  /** Where it is used: with another pair for narrow screens, not every visit loads every family. */
  readonly screens: 'all' | 'wide' | 'narrow';
}

/** Tokens that stand together in the sheet, because they change together. */
export interface TokenGroup {
  readonly key: string;
  readonly tokens: readonly Token[];
}

/** Rules of one origin, in the order in which the sheet has them. */
export interface RuleGroup {
  readonly key: string;
  readonly rules: readonly Rule[];
}

/** Everything that follows from a document. What a change leaves as it was stays the very same value. */
export interface Derived {
  /** Which themes the site has. */
  readonly themes: Themes;
  readonly tokens: readonly Token[];
  readonly groups: readonly TokenGroup[];
  readonly tokenById: Pick<ReadonlyMap<string, Token>, 'get' | 'has'>;
  /** Why a token is what it is; nothing where there is no such token. */
  readonly trailOf: (id: string) => Trail | undefined;
  /** The imported tokens, by their ids in the document, that one of the system hides. */
  readonly hidden: readonly string[];
  readonly styles: ReadonlyMap<string, TextStyle>;
  readonly ramps: ReadonlyMap<string, DerivedRamp>;
  readonly colors: ReadonlyMap<string, DerivedColorRole>;
  readonly pairs: readonly TextPair[];
  /** Every color on every ground that is used, the pairs of texts first. */
  readonly needs: readonly Need[];
  readonly assignment: Assignment;
  readonly gradients: readonly DerivedGradient[];
  readonly steps: ReadonlyMap<string, SpaceStep>;
  readonly spaces: ReadonlyMap<string, DerivedSpace>;
  /** The column grid from the smallest screen up. */
  readonly grid: readonly GridRange[];
  readonly patterns: readonly DerivedPattern[];
  /** The icons of the site, by id. */
  readonly icons: ReadonlyMap<string, SystemIcon>;
  readonly faces: readonly DeliveredFace[];
  readonly rules: readonly RuleGroup[];
  /** The selectors of all rules, in their order: what pages are built with. */
  readonly selectors: readonly string[];
}
