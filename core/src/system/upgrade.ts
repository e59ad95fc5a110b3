import { SCHEMA } from './document.ts';
import { validate, type Validated } from './validate.ts';

type Upgrade = (document: Record<string, unknown>) => Record<string, unknown>;

/** One upgrade for each older schema number, to the next one. Schema 1 is the first. */
const UPGRADES: Readonly<Record<number, Upgrade>> = {};

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Reads a stored document of any schema number up to the newest; a newer one is a problem. */
export function readDocument(value: unknown): Validated {
  const problem = (message: string): Validated => ({
    ok: false,
    problems: [{ path: '/schema', message }],
  });
  if (!isRecord(value) || typeof value['schema'] !== 'number')
    return problem('this is not a system that Garnish wrote');
  if (value['schema'] > SCHEMA)
    return problem('a newer Garnish wrote this system; update this one');
  let here = value;
  for (let schema = value['schema']; schema < SCHEMA; schema += 1) {
    const upgrade = UPGRADES[schema];
    if (!upgrade) return problem(`there is no way from schema ${schema} to ${SCHEMA}`);
    here = { ...upgrade(here), schema: schema + 1 };
  }
  return validate(here);
}
