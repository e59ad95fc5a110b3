/** What is wrong with a document, where (a JSON Pointer) and in words. */
export interface Problem {
  readonly path: string;
  readonly message: string;
}
