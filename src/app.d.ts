import type { Member } from '$server/members';

declare global {
  namespace App {
    interface Locals {
      member?: Member;
      sessionHash?: string;
      theme: 'sheet' | 'lamp' | 'sun';
    }
    interface Error {
      message: string;
      /** What is safe, and what to do. */
      then?: string;
    }
  }
}

export {};
