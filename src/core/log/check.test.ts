import { describe, expect, it } from 'vitest';
import { checkEntry } from './check';

const id = '01932f00-0000-7000-8000-000000000001';
const good = { id, kind: 'note', at: '2026-06-13T10:31:00Z', body: { text: 'Left clack weeps' } };
const without = (field: keyof typeof good) => Object.fromEntries(Object.entries(good).filter(([key]) => key !== field));

describe('an entry from outside', () => {
  it('is taken with its time in UTC, its source and its name as they are meant', () => {
    expect(checkEntry({ ...good, at: '2026-06-13T12:31:00+02:00', by: '  Wenna Thrale ' })).toEqual({
      entry: { ...good, at: '2026-06-13T10:31:00.000Z', source: 'person', by: 'Wenna Thrale' }
    });
    expect(checkEntry({ ...good, source: 'device' })).toMatchObject({ entry: { source: 'device' } });
    expect(checkEntry({ ...good, kind: 'strike', body: {}, strikes: id })).toMatchObject({ entry: { strikes: id } });
  });
  it.each([
    [undefined, 'entry', 'is missing'],
    [null, 'entry', 'must be of type object'],
    ['a note', 'entry', 'must be of type object'],
    [without('id'), 'id', 'is missing'],
    [{ ...good, id: '7' }, 'id', 'is not a UUID'],
    [without('kind'), 'kind', 'is missing'],
    [{ ...good, kind: 'explosion' }, 'kind', 'is not one of the values that are allowed'],
    [{ ...good, kind: 'constructor' }, 'kind', 'is not one of the values that are allowed'],
    [without('at'), 'at', 'is missing'],
    [{ ...good, at: 'yesterday' }, 'at', 'is not a time: write it as 2026-06-13T10:31:00.000Z'],
    [{ ...good, at: '1999-12-31T23:59:59Z' }, 'at', 'is before the year 2000'],
    [{ ...good, at: '2100-01-01T00:00:01Z' }, 'at', 'is after the year 2100'],
    [{ ...good, source: 'rumour' }, 'source', 'is not one of the values that are allowed'],
    [{ ...good, kind: 'strike', body: {} }, 'strikes', 'is missing'],
    [{ ...good, id: '7', kind: 'reading', body: { pressure: 'lots' } }, 'id', 'is not a UUID'],
    [{ ...good, strikes: 'it' }, 'strikes', 'is not a UUID'],
    [without('body'), 'body', 'is missing'],
    [{ ...good, by: 'x'.repeat(121) }, 'by', 'length must be less than or equal to 120 characters long'],
    [{ ...good, colour: 'red' }, 'colour', 'is not known here']
  ] as const)('%j is refused at %s: %s', (document, field, sentence) =>
    expect(checkEntry(document)).toEqual({ field, sentence: `The entry’s ${field} ${sentence}.` })
  );
  it('names the field inside its body, in the words of that field', () => {
    const wrong = checkEntry({ ...good, kind: 'reading', body: { pressure: 'lots' } });
    expect(wrong).toMatchObject({
      field: 'body.pressure',
      sentence: expect.stringMatching(/^The entry’s reading cannot be taken as it is\. /)
    });
    // A body that is none at all has no field inside it.
    expect(checkEntry({ ...good, body: 'x' })).toMatchObject({ field: 'body' });
    expect(checkEntry({ ...good, body: null })).toMatchObject({ field: 'body' });
    // The time limits are of the entry: an instant at the edge is within them.
    expect(checkEntry({ ...good, at: '2000-01-01T00:00:00Z' })).toHaveProperty('entry');
    expect(checkEntry({ ...good, at: '2100-01-01T00:00:00Z' })).toHaveProperty('entry');
  });
});
