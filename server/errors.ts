/** The code of an error that the system or the database gave; undefined where it has none. */
export const codeOf = (error: unknown): string | undefined => {
  const code = typeof error === "object" && error !== null && "code" in error ? error.code : undefined;
  return typeof code === "string" ? code : undefined;
};

/** What an error says of itself. */
export const messageOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));
