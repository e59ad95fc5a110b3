export const say = (words: string): void => {
  console.log(`garnish: ${words}`);
};

/** A failure that a person can do something about; its message says what. */
export class Advice extends Error {}

/** Ends the command with words instead of a stack trace where the failure is one of ours. */
export function end(error: unknown): never {
  if (error instanceof Advice) console.error(`garnish: ${error.message}`);
  else console.error(error);
  process.exit(1);
}
