import { page } from '$app/state';
import { usualUnits, type UnitChoice } from '$core/units';

/** The units of whoever is signed in. Read inside a component, it follows the page. */
export const unitChoice = (): UnitChoice => (page.data.member as { units?: UnitChoice } | undefined)?.units ?? usualUnits;
