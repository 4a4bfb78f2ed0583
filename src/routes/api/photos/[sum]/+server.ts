import type { RequestEvent } from './$types';
import { answers, check, need } from '$server/answer';
import { keepPhoto, photo, readPhoto } from '$server/photos';
import { Refusal } from '$core/units';
import { json } from '@sveltejs/kit';
import Joi from 'joi';

const sumSchema = Joi.string()
  .pattern(/^[0-9a-f]{64}$/)
  .required()
  .messages({ '*': 'Name a picture by the SHA-256 of its bytes, as 64 hexadecimal digits.' });

export const GET = answers<RequestEvent>(async ({ params, locals }) => {
  const found = await photo(need(locals).club, check(sumSchema, params.sum));
  if (!found) throw new Refusal('photo', 'There is no such picture.', { code: 'missing' });
  // Under its sum it is always the same; it is the club’s, and nobody else’s to keep.
  return new Response(new Uint8Array(found.bytes), {
    headers: { 'content-type': found.kind, 'cache-control': 'private, max-age=31536000, immutable', 'x-content-type-options': 'nosniff' }
  });
});

/** Takes in a picture, once however often it is sent. */
export const PUT = answers<RequestEvent>(async ({ request, params, locals }) => {
  const member = need(locals, 'log');
  await keepPhoto(member, check(sumSchema, params.sum), await readPhoto(request));
  return json({ kept: true });
});
