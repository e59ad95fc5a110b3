import { siteTexts } from '../../proof/texts.ts';
import { inOrder, type StyleDocument } from '../../system/document.ts';
import { keptMap } from '../../same.ts';
import type { TextSetting } from '../derived.ts';
import { node } from '../graph.ts';
import { ruleNode, tokenNode } from '../parts.ts';
import { root } from '../root.ts';
import { gridRanges, spaces, steps } from '../space/nodes.ts';
import { partPx } from '../space/parts.ts';
import { deriveFaces } from './faces.ts';
import { deriveFittings } from './fittings.ts';
import { baselineRules, deriveTypeRules, narrowRules } from './rules.ts';
import { deriveStyles } from './styles.ts';
import {
  deriveFaceTokens,
  deriveRoomTokens,
  deriveScaleTokens,
  deriveStyleTokens,
} from './tokens.ts';

const fonts = ({ fonts: decided }: StyleDocument) => decided;
const type = ({ type: decided }: StyleDocument) => decided;
const roles = ({ type: decided }: StyleDocument) => decided.roles;
const languages = ({ brief }: StyleDocument) => brief.languages;

const fittings = node(
  'type: what is to fit',
  [
    type,
    ({ content }: StyleDocument) => content,
    ({ layout }: StyleDocument) => layout.widths,
    ({ layout }: StyleDocument) => layout.breakpoints,
    spaces,
    steps,
    ({ space }: StyleDocument) => space.parts,
    gridRanges,
  ],
  (decided, content, widths, breakpoints, allSpaces, allSteps, parts, ranges) =>
    deriveFittings(
      decided,
      content,
      { widths, breakpoints },
      (part, screenPx) => partPx(part, screenPx, { parts, spaces: allSpaces, steps: allSteps }),
      ranges,
    ),
);

export const styles = node(
  'type: styles',
  [fonts, type, languages, fittings],
  deriveStyles,
  keptMap,
);

/** What the styles are but for their sizes and lines, which are all that most movements change. */
export const settings = node(
  'type: settings',
  [styles],
  (all): ReadonlyMap<string, TextSetting> =>
    new Map(
      [...all].map(([key, { id, name, slug, face, family, weight, weightWanted, narrow }]) => [
        key,
        { id, name, slug, face, family, weight, weightWanted, ...(narrow && { narrow }) },
      ]),
    ),
  keptMap,
);

const isEmphasized = node('type: emphasis', [({ content }: StyleDocument) => content], (content) =>
  siteTexts(content).some((text) => text.isEmphasized),
);

export const faces = node('type: faces', [settings, languages, isEmphasized], deriveFaces);

/** The steps that are the space after a text; no other concerns the texts. */
const stepsAfter = node(
  'type: steps after texts',
  [roles, steps],
  (decided, all) =>
    new Map(
      inOrder(decided).flatMap(([, { after }]) => {
        const step = after === undefined ? undefined : all.get(after);
        return step ? [[step.id, step] as const] : [];
      }),
    ),
);

/** In the order in which they are handed over. */
export const typeTokens = [
  tokenNode('type: tokens of faces', [fonts], deriveFaceTokens),
  tokenNode('type: tokens of the scale', [type, styles], deriveScaleTokens),
  tokenNode('type: tokens of styles', [fonts, type, styles], deriveStyleTokens),
  tokenNode('type: tokens of room', [roles, styles, stepsAfter, root], deriveRoomTokens),
] as const;

export const typeRules = ruleNode('type: rules', [roles, settings], deriveTypeRules);

/** Line heights on the baseline grid; of styles their line heights alone count. */
export const baseline = ruleNode(
  'type: baseline',
  [({ type: { baseline: unit } }: StyleDocument) => unit, root, styles],
  baselineRules,
);

export const narrow = ruleNode('type: narrow', [fonts, settings], narrowRules);
