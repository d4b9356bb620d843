import { entry } from "./entry.js";
import { ProblemError } from "./problem.js";
import { request } from "./request.js";

/** What a key opens. */
type Right = { to: "all" } | { to: "look"; frame: string };

/** Gives the server a key, which the browser sends with everything from then on. Throws a `ProblemError` where it opens nothing. */
export const giveKey = async (key: string): Promise<Right> => {
  const right = await request<Right>("/api/key", { method: "POST", body: { key } });
  entry.set({ refused: null });
  return right;
};

const start = "#key=";

/** Gives the key that an address has behind it, and takes it out of the address: it stays in no history, and is sent to no server as a part of one. */
export const giveKeyOfAddress = async (): Promise<void> => {
  if (!location.hash.startsWith(start)) return;
  const key = decodeURIComponent(location.hash.slice(start.length));
  history.replaceState(history.state, "", location.pathname + location.search);
  try {
    const right = await giveKey(key);
    if (right.to === "look" && location.pathname === "/")
      history.replaceState(history.state, "", `/f/${encodeURIComponent(right.frame)}/plan`);
  } catch (error) {
    // a server that asks for none has nothing at that address
    if (error instanceof ProblemError && error.status !== 404) entry.set({ refused: error });
  }
};

/** The address by which a frame can be looked at. */
export const lookAddress = (frame: string, key: string): string =>
  `${location.origin}/f/${encodeURIComponent(frame)}/plan${start}${key}`;
