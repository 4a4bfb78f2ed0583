/** The actions under the thumb on a phone: three that the keeper chose on this device, or the first three; the fault stays. */

const name = 'joram-near';
const most = 3;

const kept = (): string[] => {
  try {
    const said: unknown = JSON.parse(localStorage.getItem(name) ?? '[]');
    return Array.isArray(said) ? said.filter((k): k is string => typeof k === 'string').slice(0, most) : [];
  } catch {
    // A device that keeps nothing has the first three.
    return [];
  }
};

export class Near {
  #chosen = $state(kept());

  /** Keys of the actions that are under the thumb, of those that this engine has. */
  of(actions: readonly { readonly key: string }[]): readonly string[] {
    const own = this.#chosen.filter((key) => actions.some((a) => a.key === key));
    const rest = actions.map((a) => a.key).filter((key) => !own.includes(key) && key !== 'x');
    return [...own, ...rest].slice(0, most).concat('x');
  }

  /** Put there, in the place of the one that was chosen longest ago. */
  choose(key: string) {
    this.#chosen = [...this.#chosen.filter((k) => k !== key), key].slice(-most);
    try {
      localStorage.setItem(name, JSON.stringify(this.#chosen));
    } catch {
      // It holds until the page is left.
    }
  }
}
