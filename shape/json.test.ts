import fc from "fast-check";
import { anyText } from "../core/testing/text.js";
import { parseJson } from "./json.js";

const said = (input: string | Uint8Array): string[] => {
  const read = parseJson(input);
  return read.ok ? [] : read.faults.map(({ pointer, received }) => `${pointer}: ${received}`);
};
const bytes = (...parts: (string | number)[]): Uint8Array =>
  Buffer.concat(parts.map((part) => (typeof part === "string" ? Buffer.from(part) : Buffer.from([part]))));

describe("JSON with nothing mended", () => {
  test("a key that stands twice in an object is told with its place, both in the tree and in the text", () => {
    expect(said('{"nodes":{"a":{"title":"A"},\n"b":{},"a":{"title":"B"}}}')).toEqual([
      '/nodes/a: the key "a" again, at line 2, column 8',
    ]);
    expect(said('[{"x":1},{"x":1,"y":{"x":2},"x":3}]')).toEqual(['/1/x: the key "x" again, at line 1, column 29']);
    // the same key, written otherwise
    expect(said('{"a":1,"\\u0061":2}')).toEqual(['/a: the key "a" again, at line 1, column 8']);
    expect(said('{"a":[{"a":"a"},{"a":"a"}],"b":{"a":1}}')).toEqual([]);
  });
  test("bytes that are no UTF-8 are told by where they stand", () => {
    expect(said(bytes('{"nodes":{"home":{"title":"Caf', 0xe9, '"}}}'))).toEqual([
      "/nodes/home/title: the byte 0xE9 at line 1, column 31, which is no UTF-8",
    ]);
    expect(said(bytes('["ok",\n"', 0xff, '"]'))).toEqual(["/1: the byte 0xFF at line 2, column 2, which is no UTF-8"]);
    // cut off in the midst of a letter
    expect(said(bytes('["', 0xe2, 0x82))[0]).toMatch("which is no UTF-8");
    expect(said(bytes('\ufeff{"a":"Caf\u00e9 \u20ac \u{1f331}"}'))).toEqual([]);
  });
  test("letters that can be neither kept nor sent are told, in keys too", () => {
    expect(said('{"name":"a\\u0000b"}')).toEqual(['/name: "a\\u0000b" with the control character U+0000']);
    expect(said('{"icon":"\\ud800"}')[0]).toMatch("/icon: ");
    expect(said('{"icon":"\\ud800"}')[0]).toMatch("U+D800, one half of a letter");
    expect(said('{"rows":["\\udc00x"]}')[0]).toMatch("/rows/0: ");
    expect(said('{"a\\u0007":1}')[0]).toMatch("the control character U+0007");
    expect(said('{"x":"\u0085"}')[0]).toMatch("U+0085");
    expect(said('{"note":"one\\n\\ttwo","sign":"\\ud83c\\udf31"}')).toEqual([]);
  });
  test("what nests without end is one fault, closed or not", () => {
    for (const text of ["[".repeat(200_000), '{"a":'.repeat(200_000), `${"[".repeat(9000)}${"]".repeat(9000)}`])
      expect(said(text)).toEqual([": lists and objects over 100 deep"]);
    // a hundred are allowed: then it is told where the text ends too early
    expect(said("[".repeat(100))[0]).toMatch("a text that is not JSON");
    expect(said(bytes("[".repeat(200_000), 0xff))[0]).toMatch("which is no UTF-8");
  });
  test("any text and any bytes are read as the language reads them, or refused; never thrown at", () => {
    const pieces = fc.constantFrom("{", "}", "[", "]", ",", ":", '"a"', '"b"', "1", "true", '"\\u0000"', "\n", " ");
    fc.assert(
      fc.property(fc.array(fc.oneof(pieces, anyText({ maxLength: 2 })), { maxLength: 30 }), (all) => {
        const text = all.join("");
        const read = parseJson(text);
        if (read.ok) expect(read.value).toEqual(JSON.parse(text.replace(/^\uFEFF/, "")));
        else for (const { pointer } of read.faults) expect(pointer === "" || pointer.startsWith("/")).toBe(true);
      }),
      { numRuns: 2000 },
    );
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 40 }), (given) => {
        parseJson(given);
      }),
      { numRuns: 500 },
    );
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 5 }), (value) => {
        const read = parseJson(Buffer.from(JSON.stringify(value)));
        if (read.ok) expect(JSON.stringify(read.value)).toBe(JSON.stringify(value));
      }),
      { numRuns: 300 },
    );
  });
});
