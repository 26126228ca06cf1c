/** An expected "no" of the API: a status, a code for programs and a sentence for people. */
export class Problem extends Error {
  constructor(
    readonly status: 400 | 401 | 403 | 404 | 409 | 413 | 415 | 421 | 422 | 426 | 429 | 503,
    readonly code: string,
    message: string,
    readonly fields?: Record<string, string>,
  ) {
    super(message);
    this.name = 'Problem';
  }
}
