import { sectionsOverPictures } from '@garnish/core/proof/texts';
import { createChecker } from '@garnish/core/checks/checks';
import {
  deriveComponentRules,
  deriveComponentTokens,
  deriveSources,
  withPlaces,
} from '@garnish/core/derive/components';
import { assignRungs } from '@garnish/core/derive/color/assign';
import { createDeriver, derive } from '@garnish/core/derive/derive';
import { deriveStyles } from '@garnish/core/derive/type/styles';
import { sampleFamilies } from '@garnish/core/system/sample';
import { rankPairings, rankTrios, type PairingBrief } from '@garnish/core/fonts/pairing';
import { writeCss } from '@garnish/core/formats/css';
import { sheetOf } from '@garnish/core/formats/sheet';
import { inOrder, type StyleDocument, type TextRole } from '@garnish/core/system/document';
import { collectionOf } from '@garnish/core/system/new-document';
import { jsonOf, patched, type Json, type Patch } from '@garnish/core/system/patch';
import { fluidPx, piecesOf } from '@garnish/core/type/fluid';
import { zoomGaps } from '@garnish/core/type/zoom';
import { demoSystems } from '@garnish/server/demo/demo';
import { inTurn, median, ratio, timed, took, type Row } from './measure.ts';

/** The demo that everything is measured on. */
export const brackwater = ((): StyleDocument => {
  const [first] = demoSystems();
  if (!first) throw new Error('there is no demo');
  return first;
})();

export function after(document: StyleDocument, patch: Patch): StyleDocument {
  const result = patched(document, patch);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.document;
}

const set = (path: string, value: Json): Patch => [{ op: 'replace', path, value }];
const hexByte = (value: number): string => value.toString(16).padStart(2, '0');

/** Movements as hands make them: one decision, another value each time. */
export const MOVEMENTS: Readonly<Record<string, (step: number) => Patch>> = {
  'a base in Type': (step) => set('/type/anchors/items/wide/base', 18 + (step % 500) * 0.01),
  'a source in Color': (step) =>
    set('/color/sources/items/buoy/value', `#b5${hexByte(0x30 + (step % 64))}1a`),
  'the unit in Space': (step) => set('/space/unit', 6 + (step % 40) * 0.1),
};

const LEAST_ROUNDS = 240;
const JSON_OF_TOKENS = '`JSON.stringify` of the tokens';

/** What one movement costs in the core: deriving and making the sheet, as a ratio to writing the tokens as JSON. */
function moving(
  document: StyleDocument,
  patch: (step: number) => Patch,
): readonly [number, number] {
  const deriver = createDeriver();
  const values = deriver(document).tokens.map(({ id, values: own }) => [id, own]);
  const documents = Array.from({ length: 64 }, (_, step) => after(document, patch(step)));
  let step = 0;
  return inTurn(
    () => sheetOf(deriver(documents[(step += 1) % documents.length] ?? document)),
    () => JSON.stringify(values),
    LEAST_ROUNDS,
  );
}

/** The same with so many tokens imported from elsewhere. */
const IMPORTED = 2000;

const withImported = (document: StyleDocument): StyleDocument =>
  after(document, [
    {
      op: 'replace',
      path: '/tokens/custom',
      value: jsonOf(
        collectionOf(
          Array.from({ length: IMPORTED }, (_, index) => [
            `custom-${index}`,
            {
              path: `elsewhere.group-${index % 40}.token-${index}`,
              type: 'dimension',
              value: { value: index, unit: 'px' },
            },
          ]),
        ),
      ),
    },
  ]);

function movements(): Row[] {
  const large = withImported(brackwater);
  return Object.entries(MOVEMENTS).flatMap(([name, patch]): Row[] => {
    const [ms, json] = moving(brackwater, patch);
    const [largeMs] = moving(large, patch);
    return [
      {
        name: `derive and emit after a movement of ${name}`,
        value: ms / json,
        unit: '×',
        against: `${JSON_OF_TOKENS}: ${ms.toFixed(3)} to ${json.toFixed(3)} ms`,
        limit: 1.5,
      },
      {
        name: `the same with ${IMPORTED} tokens imported`,
        value: largeMs / ms,
        unit: '×',
        against: `without them: ${largeMs.toFixed(3)} ms`,
        limit: 1.2,
      },
    ];
  });
}

function first(): Row[] {
  const values = derive(brackwater).tokens.map(({ id, values: own }) => [id, own]);
  return [
    ratio(
      'derive everything for the first time',
      () => derive(structuredClone(brackwater)),
      JSON_OF_TOKENS,
      () => JSON.stringify(values),
      { limit: 8, rounds: 60 },
    ),
    ratio(
      'write the whole sheet as CSS',
      () => writeCss(derive(brackwater)),
      JSON_OF_TOKENS,
      () => JSON.stringify(values),
      { rounds: 60 },
    ),
  ];
}

/** Space, layout and shape anew after a movement of the unit. */
function space(): Row {
  const deriver = createDeriver();
  deriver(brackwater);
  const patch = MOVEMENTS['the unit in Space'];
  const documents = Array.from({ length: 40 }, (_, step) => after(brackwater, patch?.(step) ?? []));
  const found = Array.from({ length: 300 }, (_, step) =>
    took(() => deriver(documents[step % documents.length] ?? brackwater)),
  ).slice(100);
  return {
    name: 'space, layout and shape anew',
    value: median(found),
    unit: 'ms',
    against: 'a movement of the unit, everything that follows from it',
    limit: 1.5,
  };
}

function patching(): Row[] {
  return Object.entries(MOVEMENTS).map(([name, patch]) => {
    let step = 0;
    const values = JSON.stringify(brackwater);
    return ratio(
      `apply, check and invert a change of ${name}`,
      () => patched(brackwater, patch((step += 1))),
      'reading the document as JSON',
      () => JSON.parse(values) as unknown,
    );
  });
}

/** The checks after a movement: only those that read what changed. */
function checking(): Row[] {
  return Object.entries(MOVEMENTS).map(([name, patch]) => {
    const check = createChecker();
    const deriver = createDeriver();
    const steps = Array.from({ length: 40 }, (_, step) => {
      const document = after(brackwater, patch(step));
      return { document, derived: deriver(document) };
    });
    let step = 0;
    return ratio(
      `check after a movement of ${name}`,
      () => {
        const { document, derived } = steps[(step += 1) % steps.length] ?? {};
        if (document && derived) check(document, derived);
      },
      'all checks of the whole, nothing remembered',
      () => createChecker()(brackwater, derive(brackwater)),
      { rounds: 60 },
    );
  });
}

/**
 * Deriving and proving 30 text roles through three anchors, against evaluating as many clamps at
 * 100 widths: what a chart drawn by sampling would cost at the least.
 */
function type(): Row[] {
  const roles = Array.from({ length: 30 }, (_, index): [string, TextRole] => [
    `role-${index}`,
    { name: `role ${index}`, face: index % 2 ? 'text' : 'heading', place: (index % 12) - 2 },
  ]);
  const {
    brief,
    fonts,
    type: made,
  } = after(brackwater, [
    { op: 'replace', path: '/color/texts', value: { order: [], items: {} } },
    { op: 'replace', path: '/color/veils', value: { order: [], items: {} } },
    ...sectionsOverPictures(brackwater.content).map(
      ({ path }) => ({ op: 'remove', path: `${path}/veil` }) as const,
    ),
    { op: 'replace', path: '/type/roles', value: jsonOf(collectionOf(roles)) },
  ]);
  const sizes = [...deriveStyles(fonts, made, brief.languages, {}).values()].map(
    ({ size }) => size,
  );
  const clamps = (): number => {
    let sum = 0;
    for (const size of sizes)
      for (let width = 240; width < 2560; width += 23.2) sum += fluidPx(size, width);
    return sum;
  };
  return [
    ratio(
      'derive 30 text roles',
      () => deriveStyles(fonts, made, brief.languages, {}),
      'their clamps at 100 widths',
      clamps,
    ),
    ratio(
      'prove the zoom of 30 text roles at every width',
      () => sizes.map((size) => zoomGaps(piecesOf(size))),
      'their clamps at 100 widths',
      clamps,
    ),
  ];
}

/** A new assignment of all roles in both themes. */
/** All components with nothing remembered: their tokens and the rules of all their states. */
function components(): Row {
  const { tokens, colors } = derive(brackwater);
  const semantic = withPlaces(tokens.filter(({ tier }) => tier !== 'component'));
  const given = {
    semantic,
    roles: colors,
    hasLogo: brackwater.layout.logo.light !== undefined,
    components: brackwater.components,
  };
  return {
    name: 'derive all components',
    value: timed(
      () => {
        const sources = deriveSources(given);
        deriveComponentTokens(sources, () => undefined);
        return deriveComponentRules([...sources.keys()], brackwater.components.manner);
      },
      9,
      5,
    ),
    unit: 'ms',
    against: 'tokens and rules of every part in every state',
    limit: 3,
  };
}

function assignment(): Row {
  const { needs, ramps } = derive(brackwater);
  const plans = needs.map((need) => ({ ...need, color: need.color.id, on: need.on.id }));
  return {
    name: 'assign all color roles in both themes, every rung free',
    value: timed(() => assignRungs(brackwater.color.roles, ramps, plans, 'every rung'), 9, 5),
    unit: 'ms',
    against: `${inOrder(brackwater.color.roles).length} roles`,
    limit: 20,
  };
}

/** A double loop that only adds up six numbers for each of so many pairs, and sorts them. */
function bareLoop(ones: number, others: number): () => unknown {
  const numbers = Float64Array.from(
    { length: Math.max(ones, others) * 6 },
    (_, index) => (index * 7919) % 100,
  );
  return () => {
    const found = [];
    for (let one = 0; one < ones; one += 1)
      for (let other = 0; other < others; other += 1) {
        let score = 0;
        for (let part = 0; part < 6; part += 1)
          score += (numbers[one * 6 + part] ?? 0) * (numbers[other * 6 + part] ?? 0);
        found.push({ one, other, score });
      }
    return found.sort((a, b) => b.score - a.score);
  };
}

function ranking(): Row[] {
  const families = sampleFamilies();
  const brief: PairingBrief = {
    mood: ['steady', 'plain'],
    needs: [],
    languages: ['en'],
    budgetKb: 160,
  };
  const { count: pairs, excluded } = rankPairings(families, brief);
  const { count: trios } = rankTrios(families, brief, { heading: 'archivo' });
  const side = Math.ceil(Math.sqrt(trios));
  return [
    ratio(
      `rank ${pairs} pairs`,
      () => rankPairings(families, brief),
      'a bare double loop over as many, sorted',
      bareLoop(families.length, families.length - excluded.length),
      { limit: 3, rounds: 12 },
    ),
    ratio(
      `rank ${trios} trios beside a held face`,
      () => rankTrios(families, brief, { heading: 'archivo' }),
      'a bare double loop over as many, sorted',
      bareLoop(side, side),
      { rounds: 12 },
    ),
  ];
}

export const coreRows = (): readonly Row[] => [
  ...movements(),
  ...first(),
  components(),
  space(),
  ...patching(),
  ...checking(),
  ...type(),
  assignment(),
  ...ranking(),
];
