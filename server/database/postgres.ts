import { setTimeout as pause } from "node:timers/promises";
import pg from "pg";
import { codeOf, messageOf } from "../errors.js";
import { Away, orNoRoom } from "./away.js";
import type { Database, News, Sql } from "./database.js";

/** The channel of what servers on one database tell one another. */
const channel = "handy_frame";
/** What is locked by who does something alone: a number that nobody else takes. */
const alone = 4_860_486_048;
/** How long it is tried again after a listening session was lost, ms. */
const again = 1000;

/** SQLSTATEs of a server that goes, is not there or can take no more (PostgreSQL, Appendix A: classes 08, 53 and 57P). */
const isGone = (code: string): boolean => /^(08|53|57P|ECONN|EPIPE|ETIMEDOUT|ENOTFOUND|EAI_)/.test(code);
/** Whatever the system says of a connection that is made: a socket that is not there is a server that is not there. */
const isOfConnecting = (error: unknown): boolean =>
  typeof error === "object" && error !== null && "syscall" in error && error.syscall === "connect";

/** What went wrong, as the server's own trouble where it is. */
const told = (error: unknown): unknown => {
  const full = orNoRoom(error);
  if (full !== error) return full;
  const code = codeOf(error);
  if (isOfConnecting(error) || (code === undefined ? /connection|terminated/i.test(messageOf(error)) : isGone(code)))
    return new Away("no answer", `The database cannot be reached: ${messageOf(error)}.`, { cause: error });
  return error;
};

const on = (client: pg.Pool | pg.PoolClient): Sql => ({
  query: async <Row>(text: string, values: readonly unknown[] = []) => {
    const { rows } = await client.query(text, [...values]);
    return { rows: rows as Row[] };
  },
  exec: async (text) => void (await client.query(text)),
});

/** A PostgreSQL that runs elsewhere, by its address (libpq, connection URIs): several servers may work on it. */
export class Postgres implements Database {
  private readonly pool: pg.Pool;
  private readonly sql: Sql;
  private hearing: pg.Client | null = null;
  private isClosed = false;

  constructor(private readonly url: string) {
    this.pool = new pg.Pool({ connectionString: url, max: 16 });
    // a session that is lost is replaced with the next use; who uses it then is told by the statement
    this.pool.on("error", () => undefined);
    this.pool.on("connect", (client) => client.on("error", () => undefined));
    this.sql = on(this.pool);
  }

  async query<Row>(text: string, values?: readonly unknown[]): Promise<{ rows: Row[] }> {
    return this.sql.query<Row>(text, values).catch((error: unknown) => {
      throw told(error);
    });
  }

  async exec(text: string): Promise<void> {
    return this.sql.exec(text).catch((error: unknown) => {
      throw told(error);
    });
  }

  async transaction<T>(work: (sql: Sql) => Promise<T>): Promise<T> {
    const client = await this.connected();
    let broken: Error | undefined;
    try {
      await client.query("begin");
      const value = await work(on(client));
      await client.query("commit");
      return value;
    } catch (error) {
      await client.query("rollback").catch((lost: Error) => (broken = lost));
      throw told(error);
    } finally {
      client.release(broken);
    }
  }

  async alone<T>(work: () => Promise<T>): Promise<T> {
    const client = await this.connected();
    try {
      await client.query("select pg_advisory_lock($1)", [alone]);
      return await work();
    } finally {
      // the lock goes with the session
      client.release(true);
    }
  }

  /** A PostgreSQL of its own gives free what is not used any more by itself (autovacuum). */
  async tidy(): Promise<void> {}

  private connected(): Promise<pg.PoolClient> {
    return this.pool.connect().catch((error: unknown) => {
      throw told(error);
    });
  }

  readonly news: News = {
    tell: async (sql, text) => void (await sql.query("select pg_notify($1, $2)", [channel, text])),
    hear: async (listener, missed) => {
      this.hearing = await this.listening(listener);
      void this.goOnListening(listener, missed);
    },
  };

  /** A session of its own that listens. */
  private async listening(listener: (text: string) => void): Promise<pg.Client> {
    const client = new pg.Client({ connectionString: this.url });
    client.on("error", () => undefined);
    client.on("notification", ({ payload }) => payload !== undefined && listener(payload));
    await client.connect();
    await client.query(`listen ${channel}`);
    return client;
  }

  /** Whenever the session that listens is lost, another one takes its place, and what was told in between may be missed. */
  private async goOnListening(listener: (text: string) => void, missed: () => void): Promise<void> {
    for (;;) {
      // `once` of node:events would throw what is told as an error before the end
      await new Promise((ended) => (this.hearing ? this.hearing.once("end", ended) : ended(null)));
      if (!this.isClosed) await pause(again, undefined, { ref: false });
      if (this.isClosed) return;
      this.hearing = await this.listening(listener).catch(() => null);
      if (this.hearing) missed();
    }
  }

  async close(): Promise<void> {
    this.isClosed = true;
    await this.hearing?.end().catch(() => undefined);
    await this.pool.end();
  }
}
