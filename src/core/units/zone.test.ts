import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  clockIn,
  dayAfter,
  daysBetween,
  isDay,
  isoDayIn,
  isoIn,
  isZone,
  knowOffsets,
  minutesIn,
  momentAt,
  type Offsets,
  offsetsAround,
  zoneWords
} from '.';
import { readDay, readTime } from './read-time';

const zones = ['UTC', 'Asia/Kolkata', 'Pacific/Auckland', 'America/St_Johns', 'Europe/Berlin', 'Australia/Lord_Howe'];

describe('the club’s clock', () => {
  it('a clock time on a day is a moment that shows that time on that day, in every zone and across the changes of the clocks', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...zones),
        fc.integer({ min: 0, max: 1200 }),
        fc.integer({ min: 0, max: 1439 }),
        (zone, days, minutes) => {
          const day = dayAfter('2025-01-01', days);
          const at = momentAt(day, minutes, zone);
          const shown = minutesIn(at, zone);
          // A time that the change leaves out comes an hour (in one zone half an hour) later.
          if (shown !== minutes) expect([30, 60]).toContain(shown - minutes);
          expect(isoDayIn(at, zone)).toBe(day);
          expect(Date.parse(isoIn(at, zone))).toBe(Date.parse(at));
        }
      ),
      { numRuns: 400 }
    );
  });
  it('is half an hour off where the zone is, changes with the season, and names itself with its offset', () => {
    const [winter, summer] = ['2026-01-15T12:00:00Z', '2026-07-15T12:00:00Z'];
    expect(clockIn(winter, 'Asia/Kolkata')).toBe('17:30');
    expect([clockIn(winter, 'Europe/Berlin'), clockIn(summer, 'Europe/Berlin')]).toEqual(['13:00', '14:00']);
    expect(isoIn(summer, 'Asia/Kolkata')).toBe('2026-07-15T17:30:00+05:30');
    expect(zoneWords(summer, 'America/St_Johns')).toBe('America/St Johns, UTC-2:30');
    expect(zoneWords(summer, 'UTC')).toBe('UTC');
  });
  it('takes the first of an hour that comes twice, and the hour after one that never comes', () => {
    expect(momentAt('2026-10-25', 150, 'Europe/Berlin')).toBe('2026-10-25T00:30:00.000Z');
    expect(clockIn(momentAt('2026-03-29', 150, 'Europe/Berlin'), 'Europe/Berlin')).toBe('03:30');
    expect(momentAt('2026-06-13', 25 * 60, 'Asia/Kolkata')).toBe('2026-06-13T19:30:00.000Z');
  });
  it('counts days of the calendar, knows its days and its zones', () => {
    expect(daysBetween('2026-06-13T20:00:00Z', '2026-06-14T01:00:00Z', 'UTC')).toBe(1);
    expect(daysBetween('2026-06-13T20:00:00Z', '2026-06-14T01:00:00Z', 'Asia/Kolkata')).toBe(0);
    expect([isDay('2026-02-28'), isDay('2026-02-31'), isDay('13/6')]).toEqual([true, false, false]);
    expect([isZone('Asia/Kolkata'), isZone('Fen/Osier'), isZone('')]).toEqual([true, false, false]);
  });
});

describe('times and days as people write them', () => {
  it.each([
    ['16:30', 990],
    ['4.30pm', 990],
    ['4:30 PM', 990],
    ['1630', 990],
    ['930', 570],
    ['12.15', 735],
    ['noon', 720],
    ['12am', 0],
    ['0:05', 5]
  ])('%s is a time', (text, minutes) => expect(readTime(text)).toEqual({ minutes }));
  it.each(['soon', '25:00', '16:75', '4pm tomorrow', '9', '', 'between 4pm and 5pm'])('“%s” is not, and it is said what is', (text) =>
    expect(readTime(text)).toEqual({ problem: expect.stringContaining('16:30, 4.30pm') })
  );
  // Late in the evening by UTC it is tomorrow already where the club is.
  const now = '2026-11-25T22:00:00Z';
  it.each([
    ['today', '2026-11-26'],
    ['tomorrow', '2026-11-27'],
    ['13 Jun', '2027-06-13'],
    ['13/6', '2027-06-13'],
    ['13/06/2028', '2028-06-13'],
    ['13 Jun 2026', '2026-06-13'],
    ['saturday', '2026-11-28'],
    ['2026-06-13', '2026-06-13'],
    ['in 3 days', '2026-11-29']
  ])('%s is a day', (text, day) => expect(readDay(text, now, 'Pacific/Auckland')).toEqual({ day }));
  it.each(['whenever', '31 Feb', '2026-02-31', '5pm', ''])('“%s” is not', (text) =>
    expect(readDay(text, now, 'UTC')).toEqual({ problem: expect.stringMatching(/25 Nov 2026, .*tomorrow/) })
  );
});

describe('a table of a zone’s clock', () => {
  it('says what the machine says, for every moment of its years and beyond them, and is plain data', () => {
    const now = Date.parse('2026-06-13T10:00:00Z');
    for (const zone of [...zones, 'Africa/Casablanca']) {
      const table = JSON.parse(JSON.stringify(offsetsAround(zone, now))) as Offsets;
      const moments = fc.sample(fc.integer({ min: now - 5e11, max: now + 5e11 }), { numRuns: 400, seed: 7 });
      const edges = table.lines.flatMap(([until]) => [until - 1, until, until + 1]);
      const machine = [...moments, ...edges].map((at) => isoIn(at, zone));
      knowOffsets(zone, table);
      expect([...moments, ...edges].map((at) => isoIn(at, zone))).toEqual(machine);
    }
  });
  it('is what is gone by once it is known', () => {
    knowOffsets('Etc/GMT-7', { from: 0, lines: [[1000, 60_000 * 90]] });
    expect([isoIn(999, 'Etc/GMT-7'), isoIn(1000, 'Etc/GMT-7')]).toEqual(['1970-01-01T01:30:00+01:30', '1970-01-01T07:00:01+07:00']);
  });
});
