import { fileURLToPath } from "node:url";

/** The folder of what brings tables to their newest form. A bundle has one place for all its files, that of this one. */
export const migrations = fileURLToPath(new URL("./migrations", import.meta.url));
