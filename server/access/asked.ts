import { isIP } from "node:net";
import { networkInterfaces } from "node:os";
import { chosenKey, keyIn, Keys } from "./keys.js";

/** Whether only this machine can come to an address (RFC 1122, 3.2.1.3; RFC 4291, 2.5.3). */
const isThisMachine = (host: string): boolean =>
  host === "localhost" || host === "::1" || (isIP(host) === 4 && host.startsWith("127."));

export interface AskedOptions {
  host: string;
  /** The data folder, where a key that nobody chose is kept. */
  data: string;
  proxies: readonly string[];
}

/** The keys that a server asks for: where another machine can come to it, or through a proxy, or where one was chosen. */
export const keysAsked = async ({ host, data, proxies }: AskedOptions): Promise<Keys | undefined> => {
  const chosen = process.env.HANDY_FRAME_KEY;
  if (chosen !== undefined) return new Keys(chosenKey(chosen));
  return isThisMachine(host) && proxies.length === 0 ? undefined : new Keys(await keyIn(data));
};

/** The address of a server as a person opens it. */
export const urlOf = (host: string, port: number): string =>
  `http://${host.includes(":") ? `[${host}]` : host}:${port}/`;

/** Where a server that listens everywhere can be reached. */
const addressesOf = (host: string): string[] => {
  if (host !== "0.0.0.0" && host !== "::") return [host];
  const found = Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .filter(({ internal, family, address }) => !internal && family === "IPv4" && address !== "")
    .map(({ address }) => address);
  return ["localhost", ...found];
};

/** What is said at the start of who can come, and by which key. */
export const openTo = (host: string, port: number, { whole }: Keys): string[] => [
  "Who opens one of these addresses once may read and change all frames from then on, in that browser:",
  ...addressesOf(host).map((address) => `  ${urlOf(address, port)}#key=${whole}`),
  "Everything else is answered to who has the key alone. What is sent is not encrypted: put a proxy with TLS before it where others can listen.",
  "One frame can be shown to be looked at alone, by an address of its own: in its menu.",
];
