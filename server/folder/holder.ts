import { codeOf } from "../errors.js";
import { readFileSync, readlinkSync } from "node:fs";
import { hostname } from "node:os";

/** The process that holds a data folder, and where it runs: by that another one tells whether it can still be there. */
export interface Holder {
  pid: number;
  started: string;
  host: string;
  /** The run of the system it belongs to; "" where the system does not tell. */
  boot: string;
  /** The space in which its process id and its sockets are known, as containers each have one; "" as above. */
  space: string;
  /** Known to this process alone. */
  token: string;
}

const told = (read: () => string): string => {
  try {
    return read().trim();
  } catch {
    return "";
  }
};

export const ownHolder = (token: string): Holder => ({
  pid: process.pid,
  started: new Date(Date.now() - process.uptime() * 1000).toISOString(),
  host: hostname(),
  boot: told(() => readFileSync("/proc/sys/kernel/random/boot_id", "utf8")),
  space: told(() => `${readlinkSync("/proc/self/ns/net")} ${readlinkSync("/proc/self/ns/pid")}`),
  token,
});

/** A holder from what it wrote of itself; null for what nobody wrote. */
export const readHolder = (text: string): Holder | null => {
  try {
    const holder: Holder | null = JSON.parse(text);
    return typeof holder === "object" && typeof holder?.token === "string" ? holder : null;
  } catch {
    return null;
  }
};

export const holderSays = ({ pid, started, host }: Holder): string =>
  `process ${pid}${host === hostname() ? "" : ` on ${host}`}, started ${started}`;

const isAlive = (pid: number): boolean => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return codeOf(error) === "EPERM";
  }
};

/** Whether a holder cannot be there any more; false also where that cannot be told from here. */
export const isGone = (holder: Holder, own: Holder): boolean => {
  if (holder.host !== own.host) return false;
  if (holder.boot !== own.boot) return true;
  return holder.space === own.space && !isAlive(holder.pid);
};
