import { goto } from '$app/navigation';
import { page } from '$app/state';

/** The same page with something else asked of it in its address; the focus stays. */
export function goWith(change: Readonly<Record<string, string>>): void {
  const url = new URL(page.url);
  for (const [key, value] of Object.entries(change)) url.searchParams.set(key, value);
  void goto(url, { keepFocus: true });
}
