import { quantity } from '../form';
import { psi } from '../units';

// Fields of a fit-out by the measures in which drawings give them.
export const mm = (x: number) => x / 1000;
export const litres = (x: number) => x / 1000;
export const length = (label: string, from: number, to: number, help?: string) => quantity(label, 'length', mm(from), mm(to), help);
export const pressure = (label: string, from: number, to: number, help?: string) => quantity(label, 'pressure', psi(from), psi(to), help);
