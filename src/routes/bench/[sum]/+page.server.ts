import { plantOf } from '$core/boiler';
import { type FitOut, patterns } from '$core/engine';
import { benchSum, type Given } from '$core/sums';
import { need } from '$server/answer';
import { enginesOf } from '$server/engines';
import { error } from '@sveltejs/kit';

/** The model of an engine is made where a sum asks for it, and not for each engine of the club. */
const given = (fitOut: FitOut): Given => ({
  fitOut,
  get plant() {
    return plantOf(fitOut);
  }
});

export const load = async ({ locals, params, url }) => {
  const { club } = need(locals);
  const sum = benchSum(params.sum);
  if (!sum) error(404, { message: 'There is no such sum.', then: 'Go back to the bench.' });
  const able = (await enginesOf(club)).filter(({ fitOut }) => sum.when?.(given(fitOut)) ?? true);
  const chosen = able.find((e) => e.id === url.searchParams.get('engine')) ?? able[0];
  // A club without such an engine is shown the sum by one of the patterns.
  const standsIn = patterns.find(({ fitOut }) => sum.when?.(given(fitOut)) ?? true)!;
  return {
    key: sum.key,
    fitOut: chosen?.fitOut ?? standsIn.fitOut,
    engine: chosen?.id,
    engines: able.map(({ id, name }) => ({ id, name }))
  };
};
