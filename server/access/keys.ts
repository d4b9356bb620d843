import { createHash, createHmac, randomBytes, timingSafeEqual } from "node:crypto";
import { chmod, mkdir, readFile, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { codeOf } from "../errors.js";

/** What a key is for: all there is, or to look at one frame. */
export type Right = { to: "all" } | { to: "look"; frame: string };

const hash = (text: string): Buffer => createHash("sha256").update(text).digest();
/** Whether two texts are the same, in a time that does not tell how much of them is. */
const isSame = (a: string, b: string): boolean => timingSafeEqual(hash(a), hash(b));

/** The key of a server, and those made from it by which one frame may be looked at (RFC 2104): none of these is kept, and a new key ends them all. */
export class Keys {
  /** What cookies with its keys are called: those of another server at the same host have another name. */
  readonly cookie: string;

  constructor(readonly whole: string) {
    this.cookie = `handy-frame-${hash(`cookie ${whole}`).toString("hex").slice(0, 8)}`;
  }

  /** The key by which a frame may be looked at. */
  toLookAt(frame: string): string {
    return `${frame}.${createHmac("sha256", this.whole).update(`look at ${frame}`).digest("base64url").slice(0, 24)}`;
  }

  /** What a key opens; null for none. */
  rightOf(key: string): Right | null {
    if (isSame(key, this.whole)) return { to: "all" };
    const frame = key.slice(0, Math.max(0, key.lastIndexOf(".")));
    return frame !== "" && isSame(key, this.toLookAt(frame)) ? { to: "look", frame } : null;
  }
}

/** A key that was chosen by a person. Throws where it could be guessed. */
export const chosenKey = (key: string): string => {
  if (/^[\w-]{16,200}$/.test(key)) return key;
  throw new Error("HANDY_FRAME_KEY: expected 16 to 200 letters, digits, - or _.");
};

/** The key of a data folder, made where there is none: 144 bits that nobody guesses, for the folder's owner alone to read. */
export const keyIn = async (folder: string): Promise<string> => {
  const path = join(folder, ".key");
  try {
    const key = (await readFile(path, "utf8")).trim();
    if (/^[\w-]{24}$/.test(key)) return key;
    throw new Error(`${path} holds no key. Take it away, and a new one is made.`);
  } catch (error) {
    if (codeOf(error) !== "ENOENT") throw error;
  }
  const key = randomBytes(18).toString("base64url");
  await mkdir(folder, { recursive: true });
  await writeFile(path, `${key}\n`, { mode: 0o600, flag: "wx" });
  await chmod(path, 0o600);
  return key;
};
