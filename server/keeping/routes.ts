import { Readable, type Transform } from "node:stream";
import { pipeline } from "node:stream/promises";
import { createGzip } from "node:zlib";
import { type Response, Router } from "express";
import type { Database } from "../database/database.js";
import { codeOf } from "../errors.js";
import { backupLines } from "./backup.js";
import { verified } from "./verify.js";

async function* verdictLines(database: Database): AsyncGenerator<string> {
  for await (const verdict of verified(database)) yield `${JSON.stringify(verdict)}\n`;
}

/** Answers with lines as they come; who does not wait for the end has what was sent by then. */
const answer = async (response: Response, lines: AsyncIterable<string>, through?: Transform): Promise<void> => {
  const source = Readable.from(lines);
  const sent = through ? pipeline(source, through, response) : pipeline(source, response);
  await sent.catch((error: unknown) => {
    if (codeOf(error) !== "ERR_STREAM_PREMATURE_CLOSE") throw error;
  });
};

/** The whole shelf as a backup, and how it stands: for the commands of the same folder, while it is served. */
export const keepingRoutes = (database: Database): Router => {
  const routes = Router();
  routes.get("/backup", async (_request, response) => {
    response.type("application/gzip").attachment("handy-frame.backup.gz");
    await answer(response, backupLines(database), createGzip());
  });
  routes.get("/verify", async (_request, response) => {
    response.type("application/x-ndjson");
    await answer(response, verdictLines(database));
  });
  return routes;
};
