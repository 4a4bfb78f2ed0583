import { describe, expect, it } from 'vitest';
import { at, entry, glass as look, lit, type Made, steaming } from '../../../tests/made';
import { add, fold } from '../log';
import { psi } from '../units';
import { cannotKnow, nextTold, rules, toldBy, trendOf, warnings, warningsOf, watching } from '.';
import { falls, rises } from './trend';

/** The trade's shorthand for what is logged: a minute, and what. */
const p = (m: number, pounds: number): Made => [m, 'reading', { pressure: psi(pounds) }];
const g = (m: number, level: number, pounds = 60): Made => [m, 'reading', { glass: level, glassAt: psi(pounds) }];
const T = (m: number, kelvin: number): Made => [m, 'reading', { temperature: kelvin }];
const v = (m: number, valve: 'blower' | 'regulator' | 'drains' | 'fire door' | 'fan' | 'vent' | 'whistle', open: number): Made => [
  m,
  'valve',
  { valve, open }
];
const seen = (
  m: number,
  what: 'fire bright' | 'fire dull' | 'fire outside' | 'fire outside out' | 'flame heard' | 'water returns' | 'start fuel alight'
): Made => [m, 'observation', { seen: what }];
const phase = (m: number, is: 'Raise' | 'Run' | 'Put away' | 'Light up'): Made => [m, 'phase', { phase: is }];
const feed = (m: number, name: string, on = true): Made => [m, 'feed', { feed: name, on, to: 'boiler' }];
const fire = (m: number, act: 'out' | 'fuel on'): Made => [m, 'fire', { act }];
const lift = (m: number, pounds: number): Made => [m, 'lift', { valve: 1, lifted: psi(pounds) }];
const tank = (m: number, share: number): Made => [m, 'reading', { tank: share }];
const open = (m: number, thing: 'plug' | 'fan' | 'funnel'): Made => [m, 'thing', { thing, open: true }];
const water = (m: number, ml: number): Made => [m, 'water', { act: 'in', volume: ml * 1e-6 }];
const sign: Made = [60, 'sign', { as: 'keeper', name: 'Wenna' }];

const swept = (m: number, place: string, is: 'weeps' | 'blows' | 'disturbed'): Made => [m, 'sweep', { place, at: psi(30), is }];
const rig = (m: number, lasts: number): Made => [m, 'rig', { part: 'lever', on: lasts > 0, ...(lasts ? { for: lasts } : {}) }];
const bittern = 'Little Bittern';
const run = [lit, phase(1, 'Run'), v(1, 'regulator', 0.4)];
const fallen = (pounds: number, level: number, from = 62): Made[] => [
  lit,
  v(1, 'blower', 0.5),
  g(2, 0.5),
  p(2, from),
  g(6, level),
  p(6, pounds)
];
const took = (m: number): Made[] => [lit, p(40, 10), seen(m, 'start fuel alight'), phase(m + 0.05, 'Raise')];
const electric = 'Lantern';

/** Rule, engine, what was told, in which minute it is asked, whether it is said then. Pairs lie close about a threshold. */
type Case = [rule: string, engine: string, made: Made[], minute: number, said: boolean];
const cases: Case[] = [
  ['leak stops', bittern, [lit, swept(1, 'Firebox stays', 'weeps')], 1, true],
  ['leak stops', bittern, [swept(1, 'Firebox stays', 'weeps')], 1, false],
  ['leak stops', bittern, [lit, swept(1, 'Gauge union', 'weeps')], 1, false],
  ['leak stops', bittern, [lit, swept(1, 'Gauge union', 'blows')], 1, true],
  ['leak stops', bittern, [lit, swept(1, 'Firebox stays', 'weeps'), swept(2, 'Firebox stays', 'disturbed')], 2.1, false],
  ['leak stops', bittern, [lit, swept(1, 'Firebox stays', 'weeps'), fire(2, 'out')], 2.1, false],
  ['rig late', bittern, [lit, rig(1, 600)], 10.9, false],
  ['rig late', bittern, [lit, rig(1, 600)], 11.1, true],
  ['rig late', bittern, [lit, rig(1, 600), rig(5, 0)], 20, false],
  ['no water', bittern, [lit, look(1, 'not seen')], 1, true],
  ['no water', bittern, [lit, look(1, 'bottom nut')], 1, true],
  ['no water', bittern, [lit, look(1, 'top nut')], 1, false],
  ['no water', bittern, [look(1, 'not seen')], 1, false],
  ['no water', bittern, [lit, look(1, 'not seen'), g(2, 0.4)], 2.1, true],
  ['no water', bittern, [lit, look(1, 'not seen'), g(2, 0.4), g(3, 0.4)], 3.1, false],
  // Old as it is: nothing but a look silences it.
  ['no water', bittern, [lit, look(1, 'not seen'), p(2, 60)], 40, true],
  ['lit unproven', bittern, [[0, 'fire', { act: 'light', already: true }]], 0.1, true],
  ['lit unproven', bittern, [[0, 'fire', { act: 'light', already: true }], g(1, 0.4)], 1.1, false],
  ['over pressure', bittern, [lit, p(1, 99.5)], 1, true],
  ['over pressure', bittern, [lit, p(1, 98.5)], 1, false],
  ['over pressure', bittern, [lit, p(1, 100), p(2, 93)], 2, true],
  ['over pressure', bittern, [lit, p(1, 100), p(2, 92.5)], 2, false],
  ['flame lost', 'Old Scoop', [lit, [1, 'flame', { burner: 'Left burner', is: 'lost' }]], 30, true],
  ['flame lost', 'Old Scoop', [lit, [1, 'flame', { burner: 'Left burner', is: 'lost' }], fire(2, 'out')], 2.4, true],
  ['flame lost', 'Old Scoop', [lit, [1, 'flame', { burner: 'Left burner', is: 'lost' }], fire(2, 'out')], 9, false],
  ['not heard', 'Old Scoop', [lit], 0.19, false],
  ['not heard', 'Old Scoop', [lit], 0.21, true],
  ['not heard', 'Old Scoop', [lit], 2.1, false],
  ['not heard', 'Old Scoop', [lit, [0.1, 'flame', { burner: 'Left burner', is: 'heard' }]], 0.3, false],
  ['fire outside', electric, [lit, seen(2, 'fire outside')], 2, true],
  ['fire outside', electric, [lit, seen(2, 'fire outside'), seen(3, 'fire outside out')], 3, false],
  ['run limit', 'Tin Heron', [water(0, 110), [0.5, 'fire', { act: 'light' }]], 10.6, true],
  ['run limit', 'Tin Heron', [water(0, 110), [0.5, 'fire', { act: 'light' }]], 5, false],
  ['run limit', 'Tin Heron', [water(0, 110), [0.5, 'fire', { act: 'light' }], fire(9, 'out')], 20, false],
  ['no stop', 'Tin Heron', [water(0, 20), [0.5, 'fire', { act: 'light' }]], 1, true],
  ['no stop', 'Tin Heron', [water(0, 110), [0.5, 'fire', { act: 'light' }]], 1, false],
  ['fuel outlasts', 'Tin Heron', [water(0, 70), [0.2, 'charge', { mass: 0.02 }], [0.5, 'fire', { act: 'light' }]], 1, true],
  ['fuel outlasts', 'Tin Heron', [water(0, 110), [0.5, 'fire', { act: 'light' }]], 1, false],
  ['half', 'Tin Heron', [water(0, 110), [1, 'fire', { act: 'light' }]], 5.6, true],
  ['half', 'Tin Heron', [water(0, 110), [1, 'fire', { act: 'light' }]], 6.6, false],
  ['two minutes', 'Tin Heron', [water(0, 110), [1, 'fire', { act: 'light' }]], 8.1, true],
  ['two minutes', 'Tin Heron', [water(0, 110), [1, 'fire', { act: 'light' }]], 7.9, false],
  ['keeper gone', bittern, [lit, g(1, 0.5)], 12.9, false],
  ['keeper gone', bittern, [lit, g(1, 0.5)], 13.1, true],
  // Entered by anybody, of anything.
  ['keeper gone', bittern, [lit, g(1, 0.5), [10, 'note', { text: 'Wet rails' }]], 18.9, false],
  ['keeper gone', bittern, [lit, g(1, 0.5), fire(2, 'out')], 60, false],
  ['low', bittern, [lit, g(1, 0.25)], 1, true],
  ['low', bittern, [lit, g(1, 0.26)], 1, false],
  ['low', bittern, [lit, g(1, 0.25), g(2, 0.295)], 2, true],
  ['low', bittern, [lit, g(1, 0.25), g(2, 0.31)], 2, false],
  ['may be low', bittern, [...run, g(2, 0.37)], 4.9, true],
  ['may be low', bittern, [...run, g(2, 0.385)], 4.9, false],
  ['may be low', bittern, [...run, g(2, 0.37), g(4.8, 0.4)], 4.9, false],
  ['may be low', bittern, [...run, g(2, 0.3), feed(2, 'Injector'), feed(2.3, 'Injector', false)], 4, false],
  ['may be low', bittern, [...run, g(2, 0.3), feed(2, 'Injector'), feed(2.3, 'Injector', false)], 4.2, true],
  // Of twenty minutes back the looks tell of the use, and of no longer.
  ['may be low', bittern, [...run, g(2, 0.4), g(24, 0.36)], 26.7, true],
  ['may be low', bittern, [...run, g(6, 0.4), g(24, 0.36)], 26.7, false],
  // A feed that gives more than may be used.
  ['may be low', bittern, [...run, g(2, 0.3), feed(2, 'Injector')], 4, false],
  ['glance', bittern, [lit, g(1, 0.5)], 4, false],
  ['glance', bittern, [lit, g(1, 0.5)], 4.01, true],
  ['glance', bittern, [lit, g(1, 0.5), feed(1, 'Injector')], 3.01, true],
  ['glance', bittern, [lit, g(1, 0.5), g(4, 0.5)], 4.1, false],
  ['glance', 'Marsh Hen', [lit, g(1, 0.5), feed(1.5, 'Left injector')], 3.45, false],
  ['glance', 'Marsh Hen', [lit, g(1, 0.5), feed(1.5, 'Left injector')], 3.55, true],
  ['glance', 'Marsh Hen', [lit, g(1, 0.5), feed(5, 'Left injector')], 5.95, false],
  ['glance', 'Marsh Hen', [lit, g(1, 0.5), feed(5, 'Left injector')], 6.05, true],
  ['spiral', bittern, fallen(57.5, 0.38), 6.1, true],
  ['spiral', bittern, fallen(58.5, 0.38), 6.1, false],
  ['spiral', bittern, fallen(50, 0.44), 6.1, true],
  ['spiral', bittern, fallen(50, 0.446), 6.1, false],
  ['spiral', bittern, fallen(71, 0.38, 85), 6.1, true],
  ['spiral', bittern, fallen(73, 0.38, 85), 6.1, false],
  ['spiral', bittern, [v(0, 'regulator', 0.45), v(3.1, 'regulator', 0), ...fallen(50, 0.38)], 6.1, true],
  ['spiral', bittern, [v(0, 'regulator', 0.45), v(3.3, 'regulator', 0), ...fallen(50, 0.38)], 6.1, false],
  ['spiral', bittern, [...fallen(50, 0.38).slice(2), lit, v(1, 'blower', 0.21)], 6.1, true],
  ['spiral', bittern, [...fallen(50, 0.38).slice(2), lit, v(1, 'blower', 0.19)], 6.1, false],
  ['spiral', bittern, [lit, v(1, 'blower', 0.5), g(2, 0.5), p(2, 62), g(13.5, 0.38), p(13.5, 50)], 13.6, true],
  ['spiral', bittern, [...fallen(50, 0.38), p(7, 52)], 7.1, false],
  // What was read too long ago says nothing of now.
  ['spiral', bittern, [lit, v(1, 'blower', 0.5), g(2, 0.5), p(2, 62), g(14.5, 0.38), p(14.5, 50)], 14.6, false],
  ['spiral', bittern, fallen(50, 0.38), 20, true],
  ['spiral', bittern, fallen(50, 0.38), 21.5, false],
  ['stalled', bittern, [lit, phase(1, 'Raise'), p(31.9, 0)], 32, false],
  ['stalled', bittern, [lit, phase(1, 'Raise'), p(32.5, 0)], 32.6, true],
  ['stalled', bittern, [lit, phase(1, 'Raise'), p(20, 2.9), p(30, 15)], 30.1, false],
  ['stalled', bittern, [lit, phase(1, 'Raise'), p(20, 3.1), p(30, 15)], 30.1, true],
  ['stalled', bittern, [...took(45.5), p(50, 41)], 50.1, true],
  ['stalled', bittern, [...took(45.5), p(50, 43.5)], 50.1, false],
  ['stalled', bittern, [...took(45.9), p(50, 30)], 50.1, true],
  ['stalled', bittern, [...took(46.1), p(50, 30)], 50.1, false],
  ['stalled', bittern, [...took(45), p(50, 20), p(54, 40)], 54.1, true],
  ['stalled', bittern, [...took(45), p(50, 20), p(54, 46)], 54.1, false],
  ['stalled', bittern, [...took(45), p(50, 30)], 64, true],
  ['stalled', bittern, [...took(45), p(50, 30)], 66, false],
  ['air in it', 'Marsh Hen', [lit, T(20, 363), p(20.5, 2.2)], 20.6, true],
  ['air in it', 'Marsh Hen', [lit, T(20, 363), p(20.5, 1.8)], 20.6, false],
  ['air in it', 'Marsh Hen', [lit, T(20, 363), p(20.5, 20), v(21, 'whistle', 0.5), p(22, 0)], 22.1, false],
  ['air in it', 'Marsh Hen', [lit, T(20, 385), p(20.5, 12)], 20.6, true],
  ['air in it', 'Marsh Hen', [lit, T(20, 385), p(20.5, 11.5)], 20.6, false],
  ['air in it', 'Marsh Hen', [lit, T(20, 363), p(20.5, 39)], 20.6, true],
  ['air in it', 'Marsh Hen', [lit, T(20, 363), p(20.5, 41)], 20.6, false],
  ['thermometer', 'Marsh Hen', [lit, T(20, 440), p(20.5, 39)], 20.6, false],
  ['thermometer', 'Marsh Hen', [lit, T(20, 440), p(20.5, 41)], 20.6, true],
  ['thermometer', 'Marsh Hen', [lit, T(20, 433), p(20.5, 86)], 20.6, true],
  ['thermometer', 'Marsh Hen', [lit, T(20, 433), p(20.5, 83)], 20.6, false],
  ['thermometer', 'Marsh Hen', [lit, T(20, 433), p(20.5, 64)], 20.6, true],
  ['thermometer', 'Marsh Hen', [lit, T(20, 433), p(20.5, 66)], 20.6, false],
  ['thermometer', 'Marsh Hen', [lit, T(20, 433), p(22.8, 60)], 23, true],
  ['thermometer', 'Marsh Hen', [lit, T(20, 433), p(23.2, 60)], 24, false],
  ['thermometer', 'Marsh Hen', [lit, T(20, 433), p(20.5, 60), T(25, 433), p(25.1, 75)], 25.2, false],
  ['no lift', bittern, [lit, p(1, 93)], 1, true],
  ['no lift', bittern, [lit, p(1, 92)], 1, false],
  ['no lift', bittern, [lit, p(1, 95), lift(2, 94)], 2, false],
  ['early lift', bittern, [lit, lift(20, 85)], 20, true],
  ['early lift', bittern, [lit, lift(20, 86)], 20, false],
  ['early lift', bittern, [lit, lift(20, 80)], 34, true],
  ['early lift', bittern, [lit, lift(20, 80)], 36, false],
  ['early lift', bittern, [lit, lift(20, 80), [21, 'fault', { text: 'Safety valve lifts early', forbids: 'nothing' }]], 21, false],
  ['high', bittern, [lit, g(1, 0.76)], 1, true],
  ['high', bittern, [lit, g(1, 0.75)], 1, false],
  ['high', bittern, [lit, look(1, 'top nut'), g(2, 0.7)], 2, false],
  ['barred', bittern, [lit, [1, 'fault', { text: 'Crown weeps', forbids: 'steaming' }]], 1, true],
  ['barred', bittern, [lit, [1, 'fault', { text: 'Crown weeps', forbids: 'passengers' }]], 1, false],
  ['tank', bittern, [tank(0, 1), ...run], 101, false],
  ['tank', bittern, [tank(0, 1), ...run], 102.2, true],
  ['tank', bittern, [tank(0, 1), ...run, tank(102.2, 1)], 125, false],
  ['tank', 'Snipe', [tank(0, 0.5), ...run], 15.6, false],
  ['tank', 'Snipe', [tank(0, 0.5), ...run], 16.8, true],
  ['lubricator', bittern, [lit, [0.5, 'oil', { what: 'oil round' }], v(1, 'regulator', 0.5)], 80, false],
  ['lubricator', bittern, [lit, [0.5, 'oil', { what: 'oil round' }], v(1, 'regulator', 0.5)], 84, true],
  // Not by the clock: what stands does not use oil.
  ['lubricator', bittern, [lit, v(1, 'regulator', 0.5), v(50, 'regulator', 0)], 200, false],
  ['lubricator', bittern, [lit, v(1, 'regulator', 0.5), [84, 'oil', { what: 'oil round' }]], 90, false],
  ['glass still', bittern, [...run, g(2, 0.5), g(7, 0.5), g(12.3, 0.5)], 12.4, true],
  ['glass still', bittern, [...run, g(2, 0.5), g(7, 0.5), g(11.7, 0.5)], 11.8, false],
  ['glass still', bittern, [...run, g(2, 0.569), g(8, 0.5), g(14, 0.5)], 14.1, true],
  ['glass still', bittern, [...run, g(2, 0.571), g(8, 0.5), g(14, 0.5)], 14.1, false],
  ['glass still', bittern, [lit, phase(1, 'Run'), v(10.75, 'regulator', 0.5), g(2, 0.5), g(8, 0.5), g(14, 0.5)], 14.1, true],
  ['glass still', bittern, [lit, phase(1, 'Run'), v(10.95, 'regulator', 0.5), g(2, 0.5), g(8, 0.5), g(14, 0.5)], 14.1, false],
  ['glass still', bittern, [...run, g(2, 0.5), g(8, 0.5), feed(9, 'Injector'), feed(9.5, 'Injector', false), g(14, 0.5)], 14.1, false],
  ['glass still', bittern, [...run, g(2, 0.5), g(8, 0.5), g(14, 0.5), seen(15, 'water returns')], 15.1, false],
  ['falling', bittern, [lit, v(1, 'regulator', 0), g(2, 0.6), g(7, 0.55), g(12, 0.498)], 12.1, true],
  ['falling', bittern, [lit, v(1, 'regulator', 0), g(2, 0.6), g(7, 0.555), g(12, 0.507)], 12.1, false],
  ['falling', bittern, [lit, v(1, 'regulator', 0), g(2, 0.6), g(5.2, 0.45)], 5.3, true],
  ['falling', bittern, [lit, v(1, 'regulator', 0), g(2, 0.6), g(4.8, 0.45)], 4.9, false],
  ['falling', bittern, [lit, v(1, 'blower', 0.2), v(1, 'regulator', 0), g(2, 0.6), g(12, 0.4)], 12.1, false],
  ['falling', bittern, [lit, v(1, 'regulator', 0), g(2, 0.6), g(11, 0.4)], 22.5, true],
  ['falling', bittern, [lit, v(1, 'regulator', 0), g(2, 0.6), g(11, 0.4)], 23.5, false],
  ['falling', bittern, [lit, v(1, 'regulator', 0), g(2, 0.6), g(12.7, 0.4)], 12.8, true],
  ['falling', bittern, [lit, v(1, 'regulator', 0), g(2, 0.6), g(13.2, 0.4)], 13.3, false],
  ['rising', bittern, [lit, v(1, 'regulator', 0), g(2, 0.4), g(7, 0.45), g(12, 0.505)], 12.1, true],
  ['rising', bittern, [lit, v(1, 'regulator', 0), g(2, 0.4), g(7, 0.45), g(12, 0.497)], 12.1, false],
  ['rising', bittern, [lit, g(2, 0.4), feed(3, 'Injector'), feed(4, 'Injector', false), g(12, 0.7)], 12.1, false],
  ['feed fails', bittern, [lit, p(0.5, 60), g(1, 0.4), feed(1.1, 'Injector'), g(4, 0.56)], 4.1, true],
  ['feed fails', bittern, [lit, p(0.5, 60), g(1, 0.4), feed(1.1, 'Injector'), g(4, 0.575)], 4.1, false],
  ['feed fails', bittern, [lit, p(0.5, 60), g(1, 0.4), feed(1.1, 'Injector'), g(3.15, 0.4)], 3.2, true],
  ['feed fails', bittern, [lit, p(0.5, 60), g(1, 0.4), feed(1.1, 'Injector'), g(3, 0.4)], 3.1, false],
  ['feed fails', bittern, [lit, p(0.5, 60), g(1, 0.4), feed(1.1, 'Injector'), g(4, 0.4), feed(5, 'Injector', false)], 5.1, false],
  ['feed cannot', bittern, [lit, p(0.5, 43), feed(1.1, 'Injector')], 1.2, true],
  ['feed cannot', bittern, [lit, p(0.5, 43.9), feed(1.1, 'Injector')], 1.2, true],
  ['feed cannot', bittern, [lit, p(0.5, 44.1), feed(1.1, 'Injector')], 1.2, false],
  ['feed fails', 'Eelcatcher', [lit, p(0.5, 130), g(1, 0.4, 130), feed(1.1, 'Injector'), g(3.13, 0.4, 130)], 3.2, false],
  ['feed fails', 'Eelcatcher', [lit, p(0.5, 130), g(1, 0.4, 130), feed(1.1, 'Injector'), g(3.22, 0.4, 130)], 3.3, true],
  ['feed cannot', bittern, [lit, v(1, 'regulator', 0), p(0.5, 60), feed(1, 'Axle pump')], 2.9, false],
  ['feed cannot', bittern, [lit, v(1, 'regulator', 0), p(0.5, 60), feed(1, 'Axle pump')], 3.1, true],
  ['feed cannot', bittern, [lit, v(1, 'regulator', 0), p(0.5, 60), feed(1, 'Axle pump'), v(4, 'regulator', 0.2)], 4.1, false],
  ['drains', bittern, [lit, v(1, 'drains', 1), v(2, 'regulator', 0.2)], 11.9, false],
  ['drains', bittern, [lit, v(1, 'drains', 1), v(2, 'regulator', 0.2)], 12.1, true],
  ['drains', bittern, [lit, v(1, 'drains', 1), v(2, 'regulator', 0.2), v(13, 'drains', 0)], 13, false],
  ['plug', bittern, [lit, open(1, 'plug'), v(2, 'regulator', 0.2)], 2, true],
  ['plug', bittern, [lit, open(1, 'plug'), v(2, 'regulator', 0)], 2, false],
  ['fan', bittern, [lit, v(1, 'fan', 1), p(20, 46)], 20, true],
  ['fan', bittern, [lit, v(1, 'fan', 1), p(20, 44)], 20, false],
  ['fan', bittern, [lit, v(1, 'fan', 1), p(20, 46), v(21, 'fan', 0)], 21, false],
  ['door', bittern, [lit, v(1, 'blower', 0.3), v(2, 'fire door', 1)], 2.48, false],
  ['door', bittern, [lit, v(1, 'blower', 0.3), v(2, 'fire door', 1)], 2.52, true],
  ['door', bittern, [lit, v(1, 'blower', 0.3), v(2, 'fire door', 1), v(3, 'fire door', 0)], 3, false],
  ['blow back', bittern, [...run, seen(1, 'fire bright'), v(1, 'blower', 0), v(10, 'regulator', 0)], 10.3, false],
  ['blow back', bittern, [...run, seen(1, 'fire bright'), v(1, 'blower', 0), v(10, 'regulator', 0)], 10.36, true],
  ['blow back', bittern, [...run, seen(1, 'fire bright'), v(1, 'blower', 0), v(10, 'regulator', 0), v(10.5, 'blower', 0.1)], 10.6, false],
  ['blow back', bittern, [...run, seen(1, 'fire bright'), v(1, 'blower', 0), v(20, 'regulator', 0)], 20.4, true],
  ['blow back', bittern, [...run, seen(1, 'fire bright'), v(1, 'blower', 0), v(22, 'regulator', 0)], 22.4, false],
  ['blow back', bittern, [...run, seen(1, 'fire bright'), seen(5, 'fire dull'), v(1, 'blower', 0), v(10, 'regulator', 0)], 10.4, false],
  ['blow back', bittern, [...run, seen(1, 'fire bright'), v(1, 'blower', 0), v(10, 'regulator', 0)], 19.5, true],
  ['blow back', bittern, [...run, seen(1, 'fire bright'), v(1, 'blower', 0), v(10, 'regulator', 0)], 20.5, false],
  ['fire wants you', bittern, [...run, fire(2, 'fuel on'), p(14.3, 80), p(15.3, 70)], 15.4, false],
  ['fire wants you', bittern, [...run, fire(2, 'fuel on'), p(15.2, 80), p(16.2, 70)], 16.3, true],
  ['fire wants you', bittern, [...run, fire(2, 'fuel on'), p(50, 80), p(52, 76)], 52.1, false],
  ['fire wants you', bittern, [...run, fire(2, 'fuel on'), p(50, 80), p(52, 75)], 52.1, true],
  ['fire wants you', bittern, [...run, fire(2, 'fuel on'), p(50, 80), p(52, 70), fire(53, 'fuel on')], 53, false],
  ['pace', 'Peat Presser', [lit, T(1, 300), T(15, 341)], 15.1, false],
  ['pace', 'Peat Presser', [lit, T(1, 300), T(15, 343.5)], 15.1, true],
  ['pace', 'Peat Presser', [T(0, 300), lit, T(9.8, 360)], 9.9, false],
  ['pace', 'Peat Presser', [T(0, 300), lit, T(10.2, 360)], 10.3, true],
  ['pace', 'Peat Presser', [lit, p(40, 20), p(55, 106)], 55.1, false],
  ['pace', 'Peat Presser', [lit, p(40, 20), p(55, 110)], 55.1, true],
  ['pace', 'Peat Presser', [lit, T(1, 300), T(15, 345), T(40, 380)], 40.1, false],
  ['pace', 'Peat Presser', [lit, T(1, 300), T(15, 341.8)], 15.1, false],
  ['pace', 'Peat Presser', [lit, T(1, 300), T(15, 342.3)], 15.1, true],
  ['pace', 'Peat Presser', [lit, T(15, 338.4)], 15.1, false],
  ['pace', 'Peat Presser', [lit, T(15, 339.2)], 15.1, true],
  ['pace', 'Peat Presser', [lit, p(12, 2.9)], 12.1, false],
  ['pace', 'Peat Presser', [lit, p(12, 3.1)], 12.1, true],
  ['pace', 'Peat Presser', [lit, T(1, 300), T(15, 360)], 29.5, true],
  ['pace', 'Peat Presser', [lit, T(1, 300), T(15, 360)], 30.5, false],
  ['pace', 'Peat Presser', [lit, T(10.2, 300), T(35.5, 385)], 35.6, false],
  ['pace', 'Peat Presser', [lit, T(10.8, 300), T(35.5, 385)], 35.6, true],
  ['pace', bittern, [lit, T(1, 300), T(15, 380)], 15.1, false],
  ['gas', 'Old Scoop', [lit, [1, 'charge', { mass: 2 }]], 154, false],
  ['gas', 'Old Scoop', [lit, [1, 'charge', { mass: 2 }]], 158, true],
  ['gas', 'Old Scoop', [lit, [1, 'charge', { mass: 2 }], [158, 'charge', { mass: 2 }]], 159, false],
  ['sags', electric, [g(0, 0.5), lit, p(18, 37), p(20, 34), p(23, 30)], 32.5, true],
  ['sags', electric, [g(0, 0.5), lit, p(18, 37), p(20, 34), p(23, 30)], 33.5, false],
  ['sags', electric, [g(0, 0.5), lit, p(18, 37), p(20, 36), p(23, 35)], 24, false],
  ['feeds', bittern, [...run, [2, 'tick', { step: 'passengers', outcome: 'done' }]], 2, true],
  ['feeds', bittern, run, 2, false],
  ['cold in', 'Tin Heron', [water(0, 110), [0.5, 'fire', { act: 'light' }], fire(9, 'out'), water(10, 60)], 10, true],
  ['cold in', 'Tin Heron', [water(0, 110), [0.5, 'fire', { act: 'light' }], fire(9, 'out'), water(188.5, 60)], 188.5, true],
  ['cold in', 'Tin Heron', [water(0, 110), [0.5, 'fire', { act: 'light' }], fire(9, 'out'), water(189.5, 60)], 189.5, false],
  ['vacuum', electric, [lit, p(5, 30), fire(10, 'out'), p(30, 0.9)], 30, true],
  ['vacuum', electric, [lit, p(5, 30), fire(10, 'out'), p(30, 1.1)], 30, false],
  ['vacuum', electric, [lit, p(5, 30), fire(10, 'out'), p(30, 0.5), v(31, 'vent', 1)], 31, false]
];

describe('the rules, each by itself', () => {
  it.each(cases.map((c, i) => [c[0], i, c] as const))('%s (%d)', (key, _, [, engine, made, minute, said]) => {
    const watch = watching(steaming(engine, made));
    const is = toldBy(watch, at(minute)).filter((t) => t.key === key);
    expect(is.at(-1)?.is === 'raised' || is.at(-1)?.is === 'worse').toBe(said);
  });

  it('leaving: only when nothing is left to be done, and what stands open is none of what may', () => {
    const { context } = steaming(bittern, []);
    const ticks = context.procedure.steps.map((s): Made => [30, 'tick', { step: s.key, outcome: 'skipped', reason: 'x' }]);
    const left = (...made: Made[]) => warnings(steaming(bittern, [phase(1, 'Put away'), ...made]), at(50)).map((w) => w.key);
    expect(left(...ticks, open(40, 'funnel'))).toContain('leaving');
    expect(left(open(40, 'funnel'))).not.toContain('leaving');
    expect(left(...ticks, v(40, 'drains', 1))).not.toContain('leaving');
  });

  it('every rule is told of in both ways', () => {
    const told = (said: boolean) => new Set(cases.filter((c) => c[4] === said).map((c) => c[0]));
    const keys = rules.map((r) => r.key).filter((k) => k !== 'leaving');
    expect(keys.filter((k) => !told(true).has(k))).toEqual([]);
    expect(keys.filter((k) => !told(false).has(k))).toEqual([]);
  });
});

describe('what is said again, and how', () => {
  const ranks = (made: Made[], key: string, minute: number) =>
    toldBy(watching(steaming(bittern, made)), at(minute))
      .filter((t) => t.key === key)
      .map((t) => [t.is, t.rank]);
  it('a spiral is to be acted on under the pressure that sustains the blower', () => {
    expect(ranks([...fallen(31, 0.38, 40)], 'spiral', 6.1)).toEqual([['raised', 'look']]);
    expect(ranks([...fallen(29, 0.38, 40)], 'spiral', 6.1)).toEqual([['raised', 'act now']]);
    expect(ranks([...fallen(40, 0.38), g(9, 0.3), p(9, 28)], 'spiral', 9.1)).toEqual([
      ['raised', 'look'],
      ['worse', 'act now']
    ]);
  });
  it('what was to be acted on is not silenced by the age of what it rests on', () => {
    const at_ = (pounds: number) => ranks([...fallen(pounds, 0.38, 40)], 'spiral', 40).map(([is]) => is);
    expect([at_(31), at_(29)]).toEqual([['raised', 'cleared'], ['raised']]);
  });
  it.each<[string, Made[], number, number]>([
    // An eighth lower, a twentieth of working pressure more, half the pace more.
    ['low', [lit, g(1, 0.25), g(2, 0.13)], 1, 0.13],
    ['low', [lit, g(1, 0.25), g(2, 0.12)], 2, 0.12],
    ['over pressure', [lit, p(1, 99.2), p(2, 103.2)], 1, 0],
    ['over pressure', [lit, p(1, 99.2), p(2, 104)], 2, 0]
  ])('%s: once, and again only by its step', (key, made, times) => {
    expect(ranks(made, key, 3).filter(([is]) => is !== 'cleared').length).toBe(times);
  });
  it('pace: again when it is half as fast again', () => {
    const told = (K: number) =>
      toldBy(watching(steaming('Peat Presser', [lit, T(1, 290), T(13, 335), T(25, K)])), at(26)).filter((t) => t.key === 'pace').length;
    expect(told(385)).toBe(1);
    expect(told(430)).toBe(2);
  });
  it('taken note of: it is quiet and stands; it lapses when it is worse, and what does not stand cannot be noted', () => {
    const note = (m: number): Made => [m, 'ack', { rule: 'low', what: 'Glass at ¼' }];
    const of = (made: Made[], m: number) => warnings(steaming(bittern, made), at(m)).find((w) => w.key === 'low');
    expect(of([lit, g(1, 0.25)], 2)!.ack).toBeUndefined();
    expect(of([lit, g(1, 0.25), note(1.5)], 2)!.ack).toMatchObject({ by: 'Wenna' });
    expect(of([lit, g(1, 0.25), note(1.5), g(2, 0.24)], 2.1)!.ack).toMatchObject({ by: 'Wenna' });
    expect(of([lit, g(1, 0.25), note(1.5), g(2, 0.1)], 2.1)!.ack).toBeUndefined();
    expect(of([lit, g(0.2, 0.4), note(0.5), g(1, 0.25)], 2)!.ack).toBeUndefined();
  });
  it('what another says as well is not said beside it', () => {
    expect(warnings(steaming(bittern, [lit, g(1, 0.5)]), at(14)).map((w) => w.key)).toEqual(['keeper gone']);
    expect(warnings(steaming(bittern, [...run, g(2, 0.3)]), at(5.5)).map((w) => w.key)).toEqual(['may be low']);
  });
  it('away from the engine nobody at it is to be acted on', () => {
    const log = steaming(bittern, [lit, g(1, 0.5)]);
    expect(warnings(log, at(14)).map((w) => w.rank)).toEqual(['look']);
    expect(warnings(log, at(14), 'away').map((w) => w.rank)).toEqual(['act now']);
  });
  it('what will be said next is known before its time', () => {
    const watch = watching(steaming(bittern, [lit, g(1, 0.5)]));
    expect(nextTold(watch, at(2))).toMatchObject({ at: at(4) + 1, what: 'Glass not looked at' });
    expect(nextTold(watch, at(5))).toMatchObject({ at: at(13), rank: 'look' });
    expect(nextTold(watching(steaming(bittern, [lit, g(1, 0.5), fire(2, 'out'), sign])), at(3))).toBeUndefined();
  });
  it('what cannot be known is listed with what it lacks', () => {
    const keys = (engine: string, made: Made[], m: number) => cannotKnow(watching(steaming(engine, made)), at(m)).map((x) => x.key);
    expect(keys(bittern, [lit], 1)).toEqual(['may be low', 'tank', 'air in it']);
    expect(keys(bittern, [lit, g(1, 0.5), tank(1, 1), T(1, 300)], 2)).toEqual([]);
    expect(keys('Peat Presser', [lit, g(1, 0.5), tank(1, 1), T(1, 300)], 2)).toEqual(['pace']);
    expect(keys('Old Scoop', [lit, g(1, 0.5), T(1, 300)], 2)).toContain('gas');
    expect(keys(bittern, [g(1, 0.5)], 2)).toEqual([]);
  });
});

describe('the fold', () => {
  const day: Made[] = [
    lit,
    g(1, 0.5),
    p(1, 20),
    v(2, 'blower', 0.5),
    g(9, 0.24),
    p(9, 55),
    [9.5, 'ack', { rule: 'low', what: 'low' }],
    feed(10, 'Injector'),
    g(13, 0.28),
    p(13, 100),
    feed(14, 'Injector', false),
    g(15, 0.4),
    lift(16, 92),
    phase(17, 'Run'),
    v(17, 'regulator', 0.5),
    look(30, 'not seen'),
    g(31, 0.4),
    g(32, 0.4),
    fire(40, 'out')
  ];
  const { context } = steaming(bittern, []);
  const story = (w: ReturnType<typeof watching>, m = 60) => ({ told: toldBy(w, at(m)), now: warningsOf(w, at(m)) });
  it('is the same whatever order the entries came in, and one at a time or all at once', () => {
    const entries = day.map(entry);
    const whole = story(watching(fold(context, entries)));
    expect(whole.told.length).toBeGreaterThan(8);
    for (const order of [entries, [...entries].reverse(), [...entries.slice(7), ...entries.slice(0, 7)]]) {
      let log = fold(context, []);
      let watch = watching(log);
      for (const e of order) {
        log = add(log, e);
        watch = watching(log, watch);
      }
      expect(story(watch)).toEqual(whole);
    }
  });
  it('a long log is taken up again from a mark, and an entry that is struck never was', () => {
    const long = Array.from({ length: 200 }, (_, i): Made => g(0.1 + i * 2.9, i === 40 ? 0.2 : 0.5));
    const entries = [lit, ...long].map(entry);
    let log = fold(context, entries);
    let watch = watching(log);
    const strike = entry([600, 'strike', {}, 41], 999);
    log = add(log, strike);
    watch = watching(log, watch);
    expect(story(watch, 601)).toEqual(story(watching(fold(context, [...entries, strike])), 601));
    expect(watch.told.some((t) => t.key === 'low')).toBe(false);
    expect(watching(log, watch).told).toBe(watch.told);
  });
  it('a look that comes late, from another phone, is told when it was', () => {
    const [a, b] = [entry(lit, 1), entry(g(20, 0.4), 2)];
    let log = fold(context, [a, b]);
    let watch = watching(log);
    expect(toldBy(watch, at(20)).filter((t) => t.key === 'no water')).toEqual([]);
    log = add(log, entry(look(10, 'bottom nut'), 3));
    watch = watching(log, watch);
    expect(toldBy(watch, at(20)).find((t) => t.key === 'no water')).toMatchObject({ is: 'raised', at: at(10) });
    const late = add(fold(context, [a]), { ...entry(look(10, 'bottom nut'), 3), receivedAt: new Date(at(20)).toISOString() });
    expect(warnings(late, at(21))[0]).toMatchObject({ key: 'no water', raised: at(10), late: 600_000 });
    expect(warnings(add(fold(context, [a]), entry(look(10, 'bottom nut'), 3)), at(21))[0]!.late).toBeUndefined();
    // One level since is not two.
    expect(warningsOf(watch, at(21))[0]!.key).toBe('no water');
  });
  it('what a clock that is ahead has told is not of now: it neither raises, nor lets what is due go by', () => {
    const hours: Made = [180, 'note', { text: 'by another clock' }];
    const told = (made: Made[], m: number) =>
      warnings(steaming('Tin Heron', [water(0, 110), [1, 'fire', { act: 'light' }], ...made]), at(m));
    expect(told([hours], 5.6).map((w) => w.key)).toEqual(told([], 5.6).map((w) => w.key));
    expect(told([hours], 5.6).map((w) => w.key)).toEqual(['half']);
    expect(told([[5.9, 'note', { text: 'a little ahead' }]], 5.6).map((w) => w.key)).toEqual(['half']);
  });
  it('nothing is said of a steaming that has ended', () => {
    expect(warnings(steaming(bittern, [lit, g(1, 0.1), fire(2, 'out'), p(50, 0), sign]), at(90))).toEqual([]);
  });
});

describe('trends of a few looks', () => {
  const of = (...values: number[]) =>
    trendOf(
      values.map((value, i) => ({ at: 60 * i, value })),
      0.025
    );
  it('the rate of a straight line is its slope, and what is read with errors is so much less sure', () => {
    expect(of(0.5, 0.44, 0.38)!.rate).toBeCloseTo(-0.001, 9);
    // Two looks a minute apart: √2 of an error over a minute.
    expect(of(0.5, 0.4)!.spread).toBeCloseTo((0.025 * Math.SQRT2) / 60, 9);
    expect(of(0.5)).toBeUndefined();
    expect(trendOf([{ at: 0, value: 1 }, { at: 0, value: 2 }], 1)).toBeUndefined(); // prettier-ignore
  });
  it('a fall is one when nineteen flickers in twenty are smaller', () => {
    expect([falls(of(0.5, 0.445)), falls(of(0.5, 0.44))]).toEqual([false, true]);
    expect([rises(of(0.5, 0.555)), rises(of(0.5, 0.56))]).toEqual([false, true]);
    expect(falls(undefined)).toBe(false);
  });
});
