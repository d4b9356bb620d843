/** What a command reads from and prints to, and what it ends with. */
export interface Terminal {
  /** Standard input. */
  input: AsyncIterable<Uint8Array>;
  /** Prints a text to standard output, as it is. */
  print: (text: string) => void;
  /** Prints a text to standard error, as it is. */
  complain: (text: string) => void;
  /** The exit code: 0 fine, 1 something was found, 2 the input cannot be used. */
  code: number;
}

/** The terminal of this process. */
export const terminalOfProcess = (): Terminal => ({
  input: process.stdin,
  print: (text) => void process.stdout.write(text),
  complain: (text) => void process.stderr.write(text),
  code: 0,
});
