/**
 * The next task of the page: whoever touches it meanwhile is answered first. By a message and not by a timer, which a browser holds back
 * for 4 ms once a few of them follow each other.
 */
export const turn = (): Promise<void> =>
  new Promise((done) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      done();
    };
    port2.postMessage(null);
  });

/** Work is done in pieces of so long, ms: on a phone a quarter as fast it is still under what a hand notices. */
const piece = 6;

/** Works something that is given in pieces to its end, and gives the turn away whenever so long has been worked. */
export async function inTurn<T>(pieces: Generator<undefined, T>): Promise<T> {
  let from = performance.now();
  for (;;) {
    const next = pieces.next();
    if (next.done) return next.value;
    if (performance.now() - from < piece) continue;
    await turn();
    from = performance.now();
  }
}

let last: Promise<void> = Promise.resolve();
/** A turn of its own for each that asks, in the order in which they asked. */
export const ownTurn = (): Promise<void> => (last = last.then(turn));
