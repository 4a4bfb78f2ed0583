// Writes the published JSON Schemas of docs/formats from the Joi schemas that the application checks with.
import type Joi from 'joi';
import parse from 'joi-to-json';
import { mkdirSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { fitOutSchema } from '../src/core/engine/check';
import { recordSchemaByKind } from '../src/core/formats';

export const published: Record<string, { title: string; schema: Joi.Schema }> = {
  'record.schema.json': { title: 'Joram record', schema: recordSchemaByKind },
  'fit-out.schema.json': { title: 'Joram fit-out', schema: fitOutSchema() }
};

/** One schema as text, as it stands in docs/formats. */
export const schemaText = ({ title, schema }: { title: string; schema: Joi.Schema }): string =>
  `${JSON.stringify({ $schema: 'http://json-schema.org/draft-07/schema#', title, ...parse(schema, 'json') }, null, 1)}\n`;

if (process.argv[1] === import.meta.filename) {
  const folder = resolve('docs/formats');
  mkdirSync(folder, { recursive: true });
  for (const [name, schema] of Object.entries(published)) writeFileSync(resolve(folder, name), schemaText(schema));
}
