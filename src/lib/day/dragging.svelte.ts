/** What is dragged along a day's line, and where it is meanwhile, ms since 1970. */
export type Dragged =
  { readonly kind: 'want'; readonly i: number; readonly at: number } | { readonly kind: 'step'; readonly key: string; readonly at: number };

const minute = 60_000;
/** What is wanted moves by five minutes. */
export const snap = 5 * minute;
const round = (at: number) => Math.round(at / snap) * snap;

/** Dragging along the line: while it goes on the axis holds still. */
export class Dragging<Bounds> {
  now = $state<Dragged>();
  /** The axis as it was when it began. */
  held = $state<Bounds>();

  /** @param at the time under the pointer @param done told where it was let go */
  constructor(
    private readonly at: (event: PointerEvent) => number,
    private readonly done: (dragged: Dragged) => void
  ) {}

  begin(event: PointerEvent, what: Dragged, bounds: Bounds) {
    if (event.button !== 0) return;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    this.held = { ...bounds };
    this.now = what;
    event.preventDefault();
  }
  move = (event: PointerEvent) => {
    if (this.now) this.now = { ...this.now, at: this.now.kind === 'want' ? round(this.at(event)) : this.at(event) };
  };
  end = () => {
    const dragged = this.now;
    this.stop();
    if (dragged) this.done(dragged);
  };
  stop = () => void (this.now = this.held = undefined);

  /** Where a want, or a step's end, stands now. */
  want = (i: number, otherwise: number) => (this.now?.kind === 'want' && this.now.i === i ? this.now.at : otherwise);
  step = (key: string, otherwise: number) => (this.now?.kind === 'step' && this.now.key === key ? this.now.at : otherwise);
}

/** Arrow keys and page keys as steps along the line. */
export function nudge(event: KeyboardEvent, act: (steps: number) => void) {
  const by = { ArrowLeft: -1, ArrowRight: 1, PageDown: -6, PageUp: 6 }[event.key];
  if (by === undefined) return;
  event.preventDefault();
  act(by);
}
