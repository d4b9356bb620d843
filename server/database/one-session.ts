import { codeOf, messageOf } from "../errors.js";
import { Away, orNoRoom } from "./away.js";
import type { Database, Sql } from "./database.js";
import type { Engine } from "./engine.js";

/** Transactions that wait are made as one, so many at most: what is synced is synced once for all of them. */
const mostTogether = 64;

export interface SessionOptions {
  /** Begins the engine; again, where the last one was lost. */
  begin: () => Promise<Engine>;
  /** Throws an `Away` where there is no room to write. */
  needRoom?: () => Promise<void>;
  /** A statement that takes longer is never answered, ms. */
  patience?: number;
}

/** Something to be done when its turn comes, alone. */
interface Turn {
  isTransaction: boolean;
  work: (sql: Sql) => Promise<unknown>;
  resolve(this: void, value: unknown): void;
  reject: (error: unknown) => void;
}

/** A value or an error, told to who waits for it once what it stands on is kept. */
type Told = () => void;

/** A database of one session: one thing after another, and where its engine stands still or breaks, another one in its place. */
export class OneSession implements Database {
  private readonly turns: Turn[] = [];
  private running: Promise<void> | null = null;
  private isClosed = false;
  private engine: Promise<Engine> | null = null;

  constructor(private readonly options: SessionOptions) {}

  /** Begins it now rather than with the first statement. */
  async open(): Promise<this> {
    await this.begun();
    return this;
  }

  query<Row>(text: string, values: readonly unknown[] = []): Promise<{ rows: Row[] }> {
    return this.take(false, (sql) => sql.query<Row>(text, values));
  }

  exec(text: string): Promise<void> {
    return this.take(false, (sql) => sql.exec(text));
  }

  transaction<T>(work: (sql: Sql) => Promise<T>): Promise<T> {
    return this.take(true, work);
  }

  /** Nobody else works on it. */
  alone<T>(work: () => Promise<T>): Promise<T> {
    return work();
  }

  /** One statement a call: several in one are a transaction, in which VACUUM is refused. */
  async tidy(): Promise<void> {
    await this.exec("vacuum");
    await this.exec("checkpoint");
  }

  async close(): Promise<void> {
    this.isClosed = true;
    await this.running;
    const engine = await this.engine?.catch(() => null);
    await engine?.end();
  }

  private take<T>(isTransaction: boolean, work: (sql: Sql) => Promise<T>): Promise<T> {
    if (this.isClosed) return Promise.reject(new Away("no answer", "The database is closed."));
    return new Promise<T>((resolve, reject) => {
      this.turns.push({ isTransaction, work, resolve, reject });
      this.running ??= this.run();
    });
  }

  private async run(): Promise<void> {
    for (let turn = this.turns.shift(); turn; turn = this.turns.shift())
      if (turn.isTransaction) await this.together([turn, ...this.waiting()]);
      else await turn.work(this.sql).then(turn.resolve, (error: unknown) => turn.reject(orNoRoom(error)));
    this.running = null;
  }

  /** The transactions that wait, taken out of the line. */
  private waiting(): Turn[] {
    const taken = this.turns.filter(({ isTransaction }) => isTransaction).slice(0, mostTogether - 1);
    for (const each of taken) this.turns.splice(this.turns.indexOf(each), 1);
    return taken;
  }

  /** Does several transactions as one; one that fails takes back what it did itself. */
  private async together(turns: readonly Turn[]): Promise<void> {
    try {
      await this.options.needRoom?.();
      await this.sql.exec("begin");
      const told: Told[] = [];
      for (const turn of turns) told.push(await this.part(turn));
      await this.sql.exec("commit");
      for (const tell of told) tell();
    } catch (error) {
      if (!(error instanceof Away)) await this.sql.exec("rollback").catch(() => undefined);
      for (const { reject } of turns) reject(orNoRoom(error));
    }
  }

  private async part({ work, resolve, reject }: Turn): Promise<Told> {
    await this.sql.exec("savepoint part");
    try {
      const value = await work(this.sql);
      await this.sql.exec("release part");
      return () => resolve(value);
    } catch (error) {
      if (error instanceof Away) throw error;
      await this.sql.exec("rollback to part; release part");
      return () => reject(orNoRoom(error));
    }
  }

  /** The session, to whom it is the turn of. */
  private readonly sql: Sql = {
    query: async <Row>(text: string, values: readonly unknown[] = []) => ({
      rows: (await this.ask(text, values)) as Row[],
    }),
    exec: async (text) => void (await this.ask(text)),
  };

  /** The engine, begun anew where the last one was lost. */
  private working(): Promise<Engine> {
    return this.begun().catch((error: unknown) => {
      throw error instanceof Away
        ? error
        : new Away("no answer", `The database cannot be begun anew: ${messageOf(error)}.`, { cause: error });
    });
  }

  private begun(): Promise<Engine> {
    return (this.engine ??= this.options.begin().catch((error: unknown) => {
      this.engine = null;
      throw error;
    }));
  }

  private async ask(text: string, values?: readonly unknown[]): Promise<unknown[]> {
    const engine = await this.working();
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<never>((_, reject) => {
      timer = setTimeout(
        () => reject(new Error(`it has not answered for ${(this.options.patience ?? patience) / 1000} s`)),
        this.options.patience ?? patience,
      );
    });
    try {
      return await Promise.race([engine.run({ text, values }), late]);
    } catch (error) {
      // what has a SQLSTATE is the statement's own; after anything else the engine is not to be trusted
      if (/^[0-9A-Z]{5}$/.test(codeOf(error) ?? "")) throw error;
      this.engine = null;
      engine.kill();
      await this.options.needRoom?.();
      throw new Away("no answer", `The database was begun anew: ${messageOf(error)}.`, { cause: error });
    } finally {
      clearTimeout(timer);
    }
  }
}

/** ms. Longer than any statement takes on a machine that does much else. */
const patience = 60_000;
