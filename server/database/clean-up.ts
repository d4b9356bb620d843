import type { Database } from "./database.js";

/**
 * What the embedded database does not do by itself: gives free what updates left behind, and brings the log of what was
 * written down to what is needed. One statement a call: several in one are a transaction, in which VACUUM is refused.
 */
export const cleanUp = async (database: Database): Promise<void> => {
  for (const statement of ["vacuum frames", "vacuum revisions", "checkpoint"]) await database.exec(statement);
};
