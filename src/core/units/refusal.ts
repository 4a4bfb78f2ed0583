/** Why something is refused, in one word: the server turns it into a status, a screen into how it is said. */
export type RefusalCode = 'invalid' | 'forbidden' | 'missing' | 'conflict' | 'too large' | 'too often';

/**
 * THE refusal, from a calculation to a response: thrown by whoever is asked what it cannot know or may not do. It names the
 * field and says what was expected, in a sentence that can be shown at the field as it stands.
 */
export class Refusal extends Error {
  readonly code: RefusalCode;
  /** What goes with it: everything else that is wrong, what stops an engine. */
  readonly more: Readonly<Record<string, unknown>>;
  constructor(
    /** The name of the input, as the caller's parameter or document path. */
    readonly field: string,
    /** What is wrong, and what is expected. */
    readonly sentence: string,
    { code = 'invalid', ...more }: { code?: RefusalCode; [key: string]: unknown } = {}
  ) {
    super(sentence);
    this.name = 'Refusal';
    this.code = code;
    this.more = more;
  }
}
