import type { Member } from '$server/members';

declare global {
  namespace App {
    interface Locals {
      member?: Member;
      /** What it is kept by, and until when it is good. */
      session?: { hash: string; until: Date };
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
