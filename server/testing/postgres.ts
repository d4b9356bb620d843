import { execFileSync, spawn } from "node:child_process";
import { once } from "node:events";
import { chownSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { delimiter, join } from "node:path";
import { setTimeout as pause } from "node:timers/promises";

/** Where the programs of a PostgreSQL server may be: on the path, or where Debian's package puts them. */
const places = (): string[] => {
  const debian = "/usr/lib/postgresql";
  const versions = existsSync(debian) ? readdirSync(debian).sort().reverse() : [];
  return [...(process.env.PATH ?? "").split(delimiter), ...versions.map((version) => join(debian, version, "bin"))];
};

const programAt = (name: string): string => {
  const found = places()
    .map((place) => join(place, name))
    .find((path) => existsSync(path));
  if (!found) throw new Error(`There is no ${name}: install PostgreSQL's server.`);
  return found;
};

/** Its server refuses to run as root: then it runs as the user that its package made. */
const asItsUser = (program: string, args: readonly string[]): [string, string[]] =>
  process.getuid?.() === 0
    ? ["setpriv", ["--reuid=postgres", "--regid=postgres", "--init-groups", program, ...args]]
    : [program, [...args]];

export interface PostgresServer {
  /** The address of its first database; another one's differs by the path alone. */
  url: string;
  /** Ends it as a power cut of its machine would end it, without what is on the disk already being touched. */
  kill(): Promise<void>;
  /** Starts it again after that. */
  again(): Promise<void>;
  /** Whether it still runs: it ends by itself where it cannot come back from something. */
  readonly runs: boolean;
  /** Ends it, and takes its files away. */
  stop(): Promise<void>;
}

/** What its server writes once it takes connections (PostgreSQL, `miscadmin.h`, LOCK_FILE_LINE_PM_STATUS). */
const isReady = (file: string): boolean => existsSync(file) && /^ready\s*$/m.test(readFileSync(file, "utf8"));

/** A PostgreSQL of its own, reached by a socket in its folder; `settings` are given to it as they are. */
export const startPostgres = async (
  settings: readonly string[] = [],
  // the path of a socket has at most 107 bytes
  parent = process.env.HANDY_FRAME_SOCKETS ?? tmpdir(),
): Promise<PostgresServer> => {
  const folder = mkdtempSync(join(parent, "pg-"));
  if (process.getuid?.() === 0) {
    const idOf = (flag: string) => Number(execFileSync("id", [flag, "postgres"], { encoding: "utf8" }));
    chownSync(folder, idOf("-u"), idOf("-g"));
  }
  const data = join(folder, "data");
  const initial = ["-D", data, "-U", "postgres", "-A", "trust", "-E", "UTF8", "--locale=C", "--no-sync"];
  execFileSync(...asItsUser(programAt("initdb"), initial), { stdio: "ignore", cwd: folder });
  const begin = async () => {
    const given = ["-D", data, "-k", folder, "-c", "listen_addresses=", ...settings.flatMap((each) => ["-c", each])];
    const child = spawn(...asItsUser(programAt("postgres"), given), { stdio: "ignore", cwd: folder });
    while (!isReady(join(data, "postmaster.pid"))) {
      if (child.exitCode !== null) throw new Error(`PostgreSQL ended with ${child.exitCode}`);
      await pause(20);
    }
    return child;
  };
  let child = await begin();
  const end = async (signal: NodeJS.Signals) => {
    if (child.exitCode !== null || child.signalCode !== null) return;
    child.kill(signal);
    await once(child, "exit");
  };
  return {
    url: `postgresql:///postgres?host=${encodeURIComponent(folder)}&user=postgres`,
    async kill() {
      // at once and without writing anything more: the processes of its sessions are ended by it as well
      await end("SIGQUIT");
      rmSync(join(data, "postmaster.pid"), { force: true });
    },
    async again() {
      child = await begin();
    },
    get runs() {
      return child.exitCode === null && child.signalCode === null;
    },
    async stop() {
      await end("SIGINT");
      rmSync(folder, { recursive: true, force: true });
    },
  };
};
