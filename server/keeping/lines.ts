import { createReadStream } from "node:fs";
import { pipeline } from "node:stream/promises";
import { StringDecoder } from "node:string_decoder";
import { createGunzip } from "node:zlib";

/** No line of a backup is longer: a frame has 4 MB at most, and stands in a revision three times at most. */
const longest = 32 * 1024 * 1024;

/** The lines of a text that is compressed by gzip (RFC 1952). Throws where the file cannot be read, is no such file, or has a line without an end. */
export async function* gunzippedLines(file: string): AsyncGenerator<string> {
  const plain = createGunzip();
  // what goes wrong with either is met by who reads
  void pipeline(createReadStream(file), plain).catch(() => undefined);
  const decoder = new StringDecoder("utf8");
  let begun = "";
  for await (const chunk of plain) {
    const [first = "", ...rest] = decoder.write(chunk).split("\n");
    begun += first;
    for (const next of rest) {
      yield begun;
      begun = next;
    }
    if (begun.length > longest) throw new Error(`a line is longer than ${longest / 1024 / 1024} MB`);
  }
  if (begun !== "") yield begun;
}
