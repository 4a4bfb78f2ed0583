// The way out: whatever was started is undone, last first, however the program ends.

/** @type {(() => unknown)[]} what to undo on the way out, last first */
export const undo = [];
let leaving = false;
/** Whether it is on its way out: what fails now fails for no reason of its own. */
export const isLeaving = () => leaving;

/** @param {number} code @param {string} [lastWords] printed when everything has been stopped */
export async function leave(code, lastWords) {
  if (leaving) return;
  leaving = true;
  for (const step of undo.reverse()) await Promise.resolve(step()).catch(() => {});
  if (lastWords) console.log(lastWords);
  process.exit(code);
}
for (const signal of /** @type {const} */ (['SIGINT', 'SIGTERM', 'SIGHUP']))
  process.on(signal, () => leave(signal === 'SIGINT' ? 130 : 143));
