import { SCHEMA } from './document.ts';
import { jsonProblem } from './json.ts';
import type { Patch } from './patch.ts';
import { from1 } from './upgrades/from-1.ts';
import { from2 } from './upgrades/from-2.ts';
import { from3 } from './upgrades/from-3.ts';
import { from4 } from './upgrades/from-4.ts';
import { from5 } from './upgrades/from-5.ts';
import { from6 } from './upgrades/from-6.ts';
import { from7 } from './upgrades/from-7.ts';
import { isRaw, type KeptKind, type UpgradeStep } from './upgrades/upgrade-step.ts';
import { validate, type Validated } from './validate.ts';

/** One step for each older schema number, to the next one. Schema 1 is the first. */
const STEPS: readonly UpgradeStep[] = [from1, from2, from3, from4, from5, from6, from7];

/** Reads a stored document of any schema number up to the newest; a newer one is a problem. */
export function readDocument(value: unknown): Validated {
  const problem = (message: string): Validated => ({
    ok: false,
    problems: [{ path: '/schema', message }],
  });
  if (!isRaw(value) || !Number.isInteger(value['schema']))
    return problem('this is not a system that Garnish wrote');
  const harm = jsonProblem(value);
  if (harm !== undefined) return { ok: false, problems: [{ path: '', message: harm }] };
  if (Number(value['schema']) > SCHEMA)
    return problem('a newer Garnish wrote this system; update this one');
  let here = value;
  for (let schema = Number(value['schema']); schema < SCHEMA; schema += 1) {
    const step = STEPS[schema - 1];
    if (!step) return problem(`there is no way from schema ${schema} to ${SCHEMA}`);
    here = { ...step.document(here), schema: schema + 1 };
  }
  return validate(here);
}

/**
 * What was kept beside systems under an older schema, as it is in the newest; whoever asks reads it with the
 * schema of its kind.
 */
export const upgradeKept = (kind: KeptKind, content: unknown, schema: number): unknown =>
  STEPS.slice(schema - 1).reduce((here, step) => step.kept?.[kind]?.(here) ?? here, content);

/**
 * A change that was made under an older schema, as it is in the newest, in its places and its values: it can
 * still be undone.
 */
export const upgradePatch = (patch: Patch, schema: number): Patch =>
  patch.map((operation) =>
    STEPS.slice(schema - 1).reduce((here, step) => step.operation(here), operation),
  );
