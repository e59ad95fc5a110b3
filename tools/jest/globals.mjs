/** What the runner has made global before the first test file is read. */
export const { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, jest, test } =
  globalThis;
