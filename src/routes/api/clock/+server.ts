import { json } from '@sveltejs/kit';

/** The server's clock: a device measures by it how far its own is off. */
export const GET = () => json({ now: Date.now() }, { headers: { 'cache-control': 'no-store' } });
