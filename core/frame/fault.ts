/** One thing wrong with a file or a request, with where it is and what to do. */
export interface Fault {
  /** What it is in one word, where it is a fault of meaning. */
  code?: string;
  /** JSON Pointer (RFC 6901) of the place; "" is the whole. */
  pointer: string;
  received: string;
  expected: string;
  remedy: string;
}

/** A short, printable form of any value, for a message. */
export const shown = (value: unknown, most = 60): string => {
  let text: string;
  try {
    text = value === undefined ? "nothing" : (JSON.stringify(value) ?? String(value));
  } catch {
    text = String(value);
  }
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
};

/** A fault in one line: where, what was received, what was expected, and the remedy. */
export const faultLine = (fault: Fault): string =>
  `${fault.pointer || "/"}: received ${fault.received}; expected ${fault.expected}. ${fault.remedy}`;
