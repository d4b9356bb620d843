/** A statement with its values, or several without. */
export interface Statement {
  text: string;
  values?: readonly unknown[] | undefined;
}

/** One PostgreSQL with one session. */
export interface Engine {
  /** Rows of a statement; none of several. Throws what PostgreSQL says, with its SQLSTATE as `code`. */
  run(statement: Statement): Promise<unknown[]>;
  /** Ends it in order. */
  end(): Promise<void>;
  /** Ends it at once, whatever it does. */
  kill(): void;
}

/** What an engine gives for an error that is a statement's own; any other one means that the engine itself is broken. */
export interface StatementError {
  message: string;
  code: string;
}
