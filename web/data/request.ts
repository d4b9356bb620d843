import type { Fault } from "../../core/index.js";
import { entry, isKeyWanted } from "./entry.js";
import { ProblemError } from "./problem.js";

interface RequestOptions {
  method?: "GET" | "POST" | "PUT" | "DELETE";
  body?: unknown;
  /** A body that is sent as it is. */
  whole?: string | Blob;
  /** The revision the request is about. */
  match?: number;
}

/** Asks the server; what is not an answer becomes a `ProblemError`. */
export const request = async <T>(
  path: string,
  { method = "GET", body, whole, match }: RequestOptions = {},
): Promise<T> => {
  const headers: Record<string, string> = {};
  const sent = whole ?? (body === undefined ? undefined : JSON.stringify(body));
  if (sent !== undefined) headers["content-type"] = "application/json";
  if (match !== undefined) headers["if-match"] = `"${match}"`;
  const init: RequestInit = { method, headers, ...(sent !== undefined && { body: sent }) };
  const response = await fetch(path, init).catch(() => null);
  if (!response) throw new ProblemError(0, "The server does not answer", "It may have stopped, or is starting again.");
  const text = await response.text();
  const json = (): Record<string, unknown> => {
    try {
      return JSON.parse(text);
    } catch {
      return {};
    }
  };
  if (!response.ok) {
    const problem: Record<string, unknown> & { title?: string; detail?: string; faults?: Fault[] } = json();
    const { title = response.statusText, detail = "", faults } = problem;
    // what stands between answers 502 to 504 when the server is away
    const error = new ProblemError(
      response.status >= 502 && response.status <= 504 ? 0 : response.status,
      title,
      detail,
      faults,
      problem,
    );
    if (isKeyWanted(error) && !entry.get().refused) entry.set({ refused: error });
    throw error;
  }
  return (text === "" ? undefined : json()) as T;
};
