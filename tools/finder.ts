import { writeFile } from 'node:fs/promises';
import prettier from 'prettier';
import { families, knowledge } from '../src/core/finder';
import { cases, fresh, type FinderCase } from '../tests/finder-cases';
import { asked, byTheBook, likeliestFirst, measureOf, play } from '../tests/finder-played';

/** WRITES docs/finder.md: what is known, and how soon it finds what is the matter. `npx tsx tools/finder.ts`. */
const row = (...cells: readonly (string | number)[]) => `| ${cells.join(' | ')} |`;
const table = (head: readonly string[], rows: readonly string[]) => [row(...head), row(...head.map(() => '---')), ...rows].join('\n');
const nameOf = (key: string) => knowledge.causes.get(key)!.is;

const each = (of: readonly FinderCase[]) =>
  table(
    ['What is said', 'What it is', 'First after', 'Place after 6', 'Minutes', 'By the book', 'Likeliest first'],
    of.map((c) => {
      const [a, b, l] = [play(c, asked), play(c, byTheBook), play(c, likeliestFirst)];
      const first = a.place.indexOf(1) + 1;
      return row(
        `${knowledge.symptoms.get(c.symptom)!.says[0]}${c.misleads ? ' *' : ''}`,
        nameOf(c.cause),
        first || '–',
        a.place[Math.min(5, a.place.length - 1)]!,
        a.found === undefined ? `not in ${a.minutes}` : a.minutes,
        b.found === undefined ? `not in ${b.minutes}` : b.minutes,
        l.found === undefined ? `not in ${l.minutes}` : l.minutes
      );
    })
  );

const sums = (of: readonly FinderCase[]) => {
  const ways = [
    ['The finder', asked],
    ['In the order of the book', byTheBook],
    ['The likeliest cause first', likeliestFirst]
  ] as const;
  return table(
    ['', 'Checks until first, median', 'In the first three after 6', 'Found', 'Minutes, median', 'Minutes, all'],
    ways.map(([name, way]) => {
      const m = measureOf(of, way);
      return row(name, m.untilFirst, `${m.nearAfterSix} of ${of.length}`, `${m.found} of ${of.length}`, m.minutes, m.minutesAll);
    })
  );
};

const doc = `# The fault finder, measured

Written by \`tools/finder.ts\`. What is known is data, a file a family, in \`src/core/finder/knowledge\`; the odds are coarse on purpose and
nobody has counted them. A club’s own fixes move them.

${table(
  ['Family', 'Symptoms', 'Causes', 'Checks'],
  [
    ...families.map((f) => row(f.name, f.symptoms.length, f.causes.length, f.checks.length)),
    row('All', knowledge.symptoms.size, knowledge.causes.size, knowledge.checks.size)
  ]
)}

## Thirty cases

Each has a cause that is hidden and what any check shows where that is so, thought through from how the engine works, not from the odds; what
a case does not name shows what it shows where nothing is the matter. Those with a star have one answer that misleads. “First after” counts the
checks until the true cause stands first; “minutes” until it stands first with more than half of all, with an hour wherever the engine has to
be raised or let cool for a check, and all that was spent where it never did.

${sums(cases)}

As first played, before anything was mended, 26 of the 30 were among the first three after six checks. What they showed and what was mended
for it: checks that can be made whether the engine is cold or in steam had been put down as cold and cost an hour; a few checks ended on a result
that is not “nothing unusual”; some pairs of causes had no check that parts them, found by going through all pairs on all patterns.

${each(cases)}

## Ten more, on foreign ground

Written after that mending, played once, and nothing was changed for them.

${sums(fresh)}

${each(fresh)}

Both sets were thought out by those who wrote the knowledge base, which no counting makes good: only fixes of a club, confirmed, can.
`;
await writeFile('docs/finder.md', await prettier.format(doc, { parser: 'markdown', printWidth: 140 }));
