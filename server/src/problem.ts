/** An expected "no" of the API: a status, a code for programs and a sentence for people. */
export class Problem extends Error {
  constructor(
    readonly status: 400 | 404 | 409 | 422,
    readonly code: string,
    message: string,
    readonly fields?: Record<string, string>,
  ) {
    super(message);
    this.name = 'Problem';
  }
}
