import type { Server } from "node:http";
import { type AddressInfo } from "node:net";
import fc from "fast-check";
import { plainFrame } from "../core/index.js";
import { anyFrame } from "../core/testing/arbitrary.js";
import { createApp } from "./app.js";
import type { Database } from "./database/database.js";
import { type Hostile, hostile, sendTo } from "./testing/hostile.js";
import { memoryApp } from "./testing/server.js";

let server: Server;
let port: number;
let database: Database;
const broken: unknown[] = [];

beforeAll(async () => {
  const made = await memoryApp();
  database = made.database;
  await made.store.create(plainFrame({ ...fc.sample(anyFrame(), { numRuns: 1, seed: 1 })[0]!, name: "Tides" }));
  const app = createApp({ store: made.store, database, log: (error) => broken.push(error) });
  server = app.listen(0, "127.0.0.1");
  await new Promise((resolve) => server.once("listening", resolve));
  port = (server.address() as AddressInfo).port;
}, 120_000);
afterAll(async () => {
  server.closeAllConnections();
  server.close();
  await database.close();
});

const send = (request: Hostile) => sendTo(port, request);

test("whatever is sent, nothing breaks: no answer is 500, and the next request is answered", async () => {
  await fc.assert(
    fc.asyncProperty(hostile, async (request) => {
      const status = await send(request);
      const found = broken.splice(0);
      expect(found).toEqual([]);
      if (status !== null) expect(status).toBeLessThan(500);
    }),
    // `npm run faults -- requests` sends more
    { numRuns: 600 },
  );
  expect(await send({ method: "GET", path: "/api/frames/tides", headers: {}, body: "" })).toBeLessThan(500);
});
