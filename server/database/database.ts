/** What statements are given to, by whichever PostgreSQL runs them. */
export interface Sql {
  /** One statement, with its values by `$1`, `$2`, …; answers its rows. */
  query<Row>(text: string, values?: readonly unknown[]): Promise<{ rows: Row[] }>;
  /** Statements without values, several by `;`. */
  exec(text: string): Promise<void>;
}

/** The database. What only reads may be given to it one by one; whatever writes is a transaction, so that it is known beforehand whether there is room for it. */
export interface Database extends Sql {
  /** Statements that are done together or not at all, and that no other one comes between. What they answer holds once this does. */
  transaction<T>(work: (sql: Sql) => Promise<T>): Promise<T>;
  /** What servers on one database must not do at once: each does it when the others have. */
  alone<T>(work: () => Promise<T>): Promise<T>;
  /** Gives free what updates left behind, where the database does not do that by itself. */
  tidy(): Promise<void>;
  close(): Promise<void>;
  /** Where several servers may work on it. */
  readonly news?: News;
}

/** What servers on one database tell one another. */
export interface News {
  /** Tells the others something once the transaction is kept, in at most 8,000 bytes. */
  tell(sql: Sql, text: string): Promise<void>;
  /** Listens to what others tell, and to what was told here; `missed` says that some may not have been heard. */
  hear(listener: (text: string) => void, missed: () => void): Promise<void>;
}
