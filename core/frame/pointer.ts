/** A JSON Pointer (RFC 6901) from its segments. */
export const pointer = (...segments: (string | number)[]): string =>
  segments.map((segment) => `/${String(segment).replaceAll("~", "~0").replaceAll("/", "~1")}`).join("");

/** The segments of a JSON Pointer (RFC 6901). */
export const segmentsOf = (path: string): string[] =>
  path === ""
    ? []
    : path
        .slice(1)
        .split("/")
        .map((segment) => segment.replaceAll("~1", "/").replaceAll("~0", "~"));
