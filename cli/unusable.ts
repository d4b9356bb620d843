/** What could not be used, with the lines that say why: printed to standard error, exit 2. */
export class Unusable extends Error {
  constructor(readonly lines: readonly string[]) {
    super(lines.join("\n"));
  }
}
