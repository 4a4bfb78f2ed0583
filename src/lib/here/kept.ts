/** WHAT A DEVICE KEEPS of the server's answers, and by which of them a page can be made where there is no connection. */

const uuid = '[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}';
/** Documents that pages ask for themselves. */
const answers = new RegExp(`^/api/(?:book|steamings/${uuid})$`);
/** Pages that are worth having without a network: the engine at hand and its day, not the office. */
const pages = new RegExp(`^/(?:$|shell$|waiting$|settings$|logbook$|faults$|bench$|day$|(?:engines|day)/${uuid}$)`);
/** Pages that ask for such a document and for nothing else but who is signed in. */
const byDocument = new RegExp(`^/(?:not-here$|(?:footplate|records)/(${uuid})$)`);

/** What every page is told of whoever is signed in. */
export const whoIsIn = '/shell/__data.json';
/** So many answers are kept, the oldest go first. */
export const mostKept = 160;
/** How many of the club's engines, sheets and records, at the most: a phone is small, and its owner steams a few. */
const most = { engines: 24, sheets: 12, records: 16 };

const dataPath = (page: string) => `${page === '/' ? '' : page}/__data.json`;
/** The page that a request for data is for. */
const pageOf = (path: string) => (path.endsWith('/__data.json') ? path.slice(0, -'/__data.json'.length) || '/' : path);

export const isAnswer = (path: string): boolean => answers.test(path);

/** Under what an answer to a request is kept; nothing when it is not kept at all. */
export function keyOf({ pathname, search }: Pick<URL, 'pathname' | 'search'>): string | undefined {
  if (isAnswer(pathname)) return pathname;
  const page = pageOf(pathname);
  if (byDocument.test(page)) return whoIsIn;
  if (!pages.test(page)) return undefined;
  // What a page already has of its data it does not ask for; what is kept is the whole.
  const asked = [...new URLSearchParams(search)].filter(([name]) => !name.startsWith('x-sveltekit-'));
  return dataPath(page) + (asked.length ? `?${new URLSearchParams(asked)}` : '');
}

/** The document that a page is made from, beside who is signed in; nothing where it has none. */
export const documentOf = (path: string): string | undefined => {
  const of = byDocument.exec(pageOf(path))?.[1];
  return of && `/api/steamings/${of}`;
};

/** What the book says of engines, as far as it says what to keep. */
export interface KeptBook {
  readonly engines: readonly {
    readonly id: string;
    /** Whoever is signed in has kept it lately. */
    readonly mine: boolean;
    readonly running: string | null;
    readonly plans: readonly { readonly id: string }[];
    readonly records: readonly string[];
  }[];
}

/** What is asked for while there is a connection, by what is wanted first: what is in steam, what is planned, what is the member's own. */
export function wanted({ engines }: KeptBook): string[] {
  const rank = (e: KeptBook['engines'][number]) => (e.running ? 0 : e.plans.length ? 1 : e.mine ? 2 : 3);
  const first = [...engines].sort((a, b) => rank(a) - rank(b));
  const running = first.flatMap((e) => (e.running ? [`/api/steamings/${e.running}`] : []));
  return [
    ...['/shell', '/', '/waiting', '/faults', '/day'].map(dataPath),
    ...running,
    ...first.slice(0, most.engines).map((e) => dataPath(`/engines/${e.id}`)),
    ...first
      .flatMap((e) => e.plans)
      .slice(0, most.sheets)
      .map((p) => dataPath(`/day/${p.id}`)),
    ...first
      .flatMap((e) => e.records)
      .slice(0, most.records)
      .map((id) => `/api/steamings/${id}`),
    ...['/logbook', '/settings', '/bench'].map(dataPath)
  ];
}
