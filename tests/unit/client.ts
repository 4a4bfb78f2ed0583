/** Talks to the running application as a signed-in member of the demo, over plain http as a phone would. */
export const url = process.env.JORAM_URL ?? '';

export async function as(signIn: string) {
  const answer = await fetch(`${url}/sign-in`, {
    method: 'POST',
    redirect: 'manual',
    headers: { origin: url, 'content-type': 'application/x-www-form-urlencoded' },
    body: new URLSearchParams({ demo: signIn })
  });
  const cookie = answer.headers.get('set-cookie')!.split(';')[0]!;
  const call = async (method: string, path: string, body?: unknown, more: Record<string, string> = {}) => {
    const response = await fetch(`${url}${path}`, {
      method,
      headers: { cookie, accept: 'application/json', ...more, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
      body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body)
    });
    const text = await response.text();
    return { status: response.status, body: text.startsWith('{') ? JSON.parse(text) : text, headers: response.headers };
  };
  return {
    cookie,
    get: (path: string) => call('GET', path),
    post: (path: string, body: unknown) => call('POST', path, body),
    /** @param version that it was changed from */
    put: (path: string, body: unknown, version?: number) => call('PUT', path, body, version ? { 'if-match': `"${version}"` } : {}),
    del: (path: string) => call('DELETE', path)
  };
}
