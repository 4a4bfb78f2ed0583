import type postgres from 'postgres';

/** One transaction, as one club. */
export type Tx = postgres.TransactionSql;

/** postgres.js wants to be told that a value is JSON. */
export const json = (tx: Tx, value: unknown) => tx.json(value as postgres.JSONValue);
