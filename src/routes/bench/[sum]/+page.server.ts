import { plantOf } from '$core/boiler';
import { type FitOut, patterns } from '$core/engine';
import { benchSum, type Given } from '$core/sums';
import { acts, need } from '$server/answer';
import { enginesOf } from '$server/engines';
import { keepFigure } from '$server/kept';
import { error } from '@sveltejs/kit';
import type { RequestEvent } from './$types';

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

export const actions = {
  keep: acts('keep', async ({ request, params, locals }: RequestEvent) => {
    const kept = await keepFigure(need(locals, 'edit engines'), params.sum, Object.fromEntries(await request.formData()));
    return { at: 'keep', kept: kept.id, engine: kept.engine, value: kept.value };
  })
};
