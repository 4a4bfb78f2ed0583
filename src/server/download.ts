/** A file that a browser saves under a name made from what it holds. */
export const download = (body: string, type: string, name: string) =>
  new Response(body, {
    headers: {
      'content-type': `${type}; charset=utf-8`,
      'content-disposition': `attachment; filename="${name
        .normalize('NFKD')
        .replace(/[^\w.-]+/g, '-')
        .toLowerCase()}"`,
      'cache-control': 'no-store'
    }
  });
