import { page } from '$app/state';

/** The club's time zone: every time on every page is by its clock, whatever the device's. Read inside a component, it follows the page. */
export const clubZone = (): string => (page.data.zone as string | undefined) ?? 'UTC';
