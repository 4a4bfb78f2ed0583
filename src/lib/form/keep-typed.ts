import type { SubmitFunction } from '@sveltejs/kit';

/** For `use:enhance`: a form that is sent keeps what was typed, so that what is refused is mended and not typed again. */
export const keepTyped: SubmitFunction =
  () =>
  ({ update }) =>
    update({ reset: false });
