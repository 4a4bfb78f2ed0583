/** A file that a browser saves under a name made from what it holds. */
export const download = (body: string | Uint8Array<ArrayBuffer>, type: string, name: string) =>
  new Response(body, {
    headers: {
      'content-type': typeof body === 'string' ? `${type}; charset=utf-8` : type,
      'content-disposition': `attachment; filename="${name
        .normalize('NFKD')
        .replace(/[^\w.-]+/g, '-')
        .toLowerCase()}"`,
      'cache-control': 'no-store'
    }
  });
