/**
 * Thrown by a calculation that is asked what it cannot know. It names the input and says what was expected, in a
 * sentence that can be shown at the field as it stands.
 */
export class Refusal extends Error {
  constructor(
    /** The name of the input, as the caller's parameter or document path. */
    readonly input: string,
    sentence: string
  ) {
    super(sentence);
    this.name = 'Refusal';
  }
}
