import { goto } from '$app/navigation';
import { navigating, page } from '$app/state';

/** The same page with something else asked of it in its address; the focus stays. What was asked a moment ago and is on its way counts. */
export function goWith(change: Readonly<Record<string, string>>): void {
  const asked = navigating.to?.url;
  const url = new URL(asked?.pathname === page.url.pathname ? asked : page.url);
  for (const [key, value] of Object.entries(change)) url.searchParams.set(key, value);
  void goto(url, { keepFocus: true });
}
