import { request as ask } from "node:http";
import fc from "fast-check";
import { anyEdit, anyFrame } from "../../core/testing/arbitrary.js";
import { anyText } from "../../core/testing/text.js";

/** A request that nobody means well by. */
export interface Hostile {
  method: string;
  path: string;
  headers: Record<string, string>;
  body: string | Buffer;
}

/** Sends a request as it is to a port of this machine; answers its status, or null where the server hung up on it. */
export const sendTo = (port: number, { method, path, headers, body }: Hostile): Promise<number | null> =>
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
  anyText({ maxLength: 20 }).map((text) => text.replaceAll(/[^\u0021-\u007e]/g, "_")),
);
const path = fc
  .oneof(
    fc.constantFrom(
      ...[
        "/api/frames",
        "/api/frames/tides",
        "/api/frames/tides/edits",
        "/api/frames/tides/edits/tried",
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
    arbitrary: fc.tuple(json, fc.nat(), anyText({ maxLength: 3 })).map(([text, at, put]) => {
      const place = at % (text.length + 1);
      return text.slice(0, place) + put + text.slice(place + 1);
    }),
  },
);
/** Any of them, about a frame that is called tides. */
export const hostile: fc.Arbitrary<Hostile> = fc.record({
  method: fc.constantFrom("GET", "POST", "POST", "POST", "PUT", "DELETE", "PATCH", "HEAD", "OPTIONS"),
  path,
  headers,
  body,
});
