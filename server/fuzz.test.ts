import type { Server } from "node:http";
import { type AddressInfo } from "node:net";
import { request as ask } from "node:http";
import fc from "fast-check";
import { plainFrame } from "../core/index.js";
import { anyEdit, anyFrame } from "../core/testing/arbitrary.js";
import { createApp } from "./app.js";
import type { Database } from "./database/database.js";
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

interface Hostile {
  method: string;
  path: string;
  headers: Record<string, string>;
  body: string | Buffer;
}

/** Sends a request as it is; answers its status, or null where the server hung up on it. */
const send = ({ method, path, headers, body }: Hostile): Promise<number | null> =>
  new Promise((resolve) => {
    const gone = () => resolve(null);
    try {
      const sent = ask({ port, host: "127.0.0.1", method, path, headers }, (response) => {
        // what never ends by itself is not read on
        if (/event-stream/.test(response.headers["content-type"] ?? "")) response.destroy();
        else response.resume();
        resolve(response.statusCode ?? null);
      });
      sent.on("error", gone);
      sent.end(body);
    } catch {
      // what Node itself does not send
      gone();
    }
  });

const word = fc.oneof(
  fc.constantFrom(
    "tides",
    "..",
    "%2e%2e",
    "%00",
    "__proto__",
    "constructor",
    "a".repeat(3000),
    "%",
    "%zz",
    "\\",
    "ü",
    "0",
    "-1",
    "1e9",
    "99999999999",
  ),
  fc.string({ maxLength: 20 }).map((text) => encodeURIComponent(text.toWellFormed())),
  fc.string({ maxLength: 20, unit: "binary" }).map((text) => text.replaceAll(/[^\u0021-\u007e]/g, "_")),
);
const path = fc
  .oneof(
    fc.constantFrom(
      ...[
        "/api/frames",
        "/api/frames/tides",
        "/api/frames/tides/edits",
        "/api/frames/file",
        "/api/frames/tides/revisions",
      ],
      ...["/api/frames/tides/revisions/1", "/api/frames/tides/revisions/1/label", "/api/frames/tides/bring-back"],
      ...["/api/icons", "/api/key", "/api/frames/tides/file", "/api/keeping/verify", "/icons/leaf.svg"],
    ),
    fc
      .tuple(fc.constantFrom("/api/frames/", "/api/", "/icons/", "/", "/f/"), fc.array(word, { maxLength: 4 }))
      .map(([start, words]) => start + words.join("/")),
  )
  .chain((place) =>
    fc
      .option(fc.tuple(fc.constantFrom("before", "most", "since", "x", "__proto__"), word), { nil: undefined, freq: 4 })
      .map((query) => (query ? `${place}?${query[0]}=${query[1]}` : place)),
  );
const odd = fc.string({ maxLength: 40 }).map((text) => text.replace(/[^\t\u0020-\u007e]/g, ""));
const headers = fc
  .tuple(
    fc.option(fc.oneof(odd, fc.constantFrom('"1"', "1", "*", '"999999999"', 'W/"1"')), { nil: undefined }),
    fc.option(
      fc.constantFrom(
        "application/json",
        "application/json; charset=utf-16",
        "text/plain",
        "multipart/form-data",
        "application/x+json",
        "",
      ),
      { nil: undefined, freq: 5 },
    ),
    fc.option(fc.constantFrom("gzip", "deflate", "br", "identity", "x"), { nil: undefined, freq: 1 }),
    fc.dictionary(
      fc.constantFrom(
        "last-event-id",
        "cookie",
        "authorization",
        "range",
        "if-none-match",
        "accept",
        "x-http-method-override",
      ),
      odd,
      { maxKeys: 3 },
    ),
  )
  .map(([match, type, encoding, more]) => ({
    ...more,
    ...(match !== undefined && { "if-match": match }),
    ...(type !== undefined && { "content-type": type }),
    ...(encoding !== undefined && { "content-encoding": encoding }),
  }));
const edits = fc.array(
  fc.record({
    key: fc.string({ maxLength: 70 }),
    label: fc.string({ maxLength: 30 }),
    edit: fc.oneof(anyEdit(), fc.anything()),
  }),
  { maxLength: 4 },
);
const json = fc.oneof(
  fc.anything({ withNullPrototype: false, withBigInt: false }).map((value) => JSON.stringify(value) ?? ""),
  fc.jsonValue().map((value) => JSON.stringify(value)),
  edits.map((made) => JSON.stringify({ edits: made })),
  anyFrame().map((frame) => JSON.stringify({ frame })),
  anyFrame().map((frame) => JSON.stringify(frame)),
  fc.constantFrom(
    '{"edits":',
    "[".repeat(20_000),
    `{"edits":[${"0,".repeat(100_000)}0]}`,
    '{"__proto__":{"edits":[]}}',
    '{"frame":{"nodes":{"__proto__":{}}}}',
  ),
);
const body = fc.oneof(
  { weight: 6, arbitrary: json },
  { weight: 1, arbitrary: fc.uint8Array({ maxLength: 300 }).map((bytes) => Buffer.from(bytes)) },
  {
    weight: 2,
    arbitrary: fc.tuple(json, fc.nat(), fc.string({ maxLength: 3, unit: "binary" })).map(([text, at, put]) => {
      const place = at % (text.length + 1);
      return text.slice(0, place) + put + text.slice(place + 1);
    }),
  },
);
const hostile: fc.Arbitrary<Hostile> = fc.record({
  method: fc.constantFrom("GET", "POST", "POST", "POST", "PUT", "DELETE", "PATCH", "HEAD", "OPTIONS"),
  path,
  headers,
  body,
});

/** So many requests; `npm run faults -- requests` sends more. */
const requests = Number(process.env.HANDY_FRAME_REQUESTS ?? 600);

test("whatever is sent, nothing breaks: no answer is 500, and the next request is answered", async () => {
  await fc.assert(
    fc.asyncProperty(hostile, async (request) => {
      const status = await send(request);
      const found = broken.splice(0);
      expect(found).toEqual([]);
      if (status !== null) expect(status).toBeLessThan(500);
    }),
    { numRuns: requests },
  );
  expect(await send({ method: "GET", path: "/api/frames/tides", headers: {}, body: "" })).toBeLessThan(500);
}, 1_200_000);
