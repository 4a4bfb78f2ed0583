export type { DutyBody } from './duty';
export type { Fault } from './fault';
export type { Feed } from './feed';
export type { Fire } from './fire';
export type { Lift } from './lift';
export type { Oil } from './oil';
export type { Reading } from './reading';
