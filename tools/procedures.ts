// Prints the composed procedures of the ten patterns into docs/procedures, to be read line by line by somebody who steams such an engine.
import { mkdirSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { patterns } from '../src/core/engine';
import { drillsPage, procedurePage } from '../src/core/formats';

/** Each page by its file's name. */
export const pages: readonly (readonly [name: string, text: string])[] = [
  ...patterns.map(({ fitOut }) => [`${fitOut.name.toLowerCase().replaceAll(' ', '-')}.md`, procedurePage(fitOut)] as const),
  ['drills.md', drillsPage(patterns.map((p) => p.fitOut))],
  [
    'README.md',
    `# Composed procedures\n\nWhat Joram asks of each of the ten patterns, printed by \`npx tsx tools/procedures.ts\` and held by a test.\n\n${patterns
      .map(({ fitOut }) => `- [${fitOut.name}](${fitOut.name.toLowerCase().replaceAll(' ', '-')}.md), ${fitOut.description}`)
      .join('\n')}\n\nThe drills of each are in [drills.md](drills.md).\n`
  ]
];

if (process.argv[1] === import.meta.filename) {
  const folder = resolve('docs/procedures');
  mkdirSync(folder, { recursive: true });
  for (const [name, text] of pages) writeFileSync(resolve(folder, name), text);
}
