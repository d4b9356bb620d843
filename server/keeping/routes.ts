import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { createGzip } from "node:zlib";
import { Router } from "express";
import type { Database } from "../database/database.js";
import { backupLines } from "./backup.js";
import { verified } from "./verify.js";

async function* verdictLines(database: Database): AsyncGenerator<string> {
  for await (const verdict of verified(database)) yield `${JSON.stringify(verdict)}\n`;
}

/** The whole shelf as a backup, and how it stands: for the commands of the same folder, while it is served. */
export const keepingRoutes = (database: Database): Router => {
  const routes = Router();
  routes.get("/backup", async (_request, response) => {
    response.type("application/gzip").attachment("handy-frame.backup.gz");
    await pipeline(Readable.from(backupLines(database)), createGzip(), response);
  });
  routes.get("/verify", async (_request, response) => {
    response.type("application/x-ndjson");
    await pipeline(Readable.from(verdictLines(database)), response);
  });
  return routes;
};
