import { type ChildProcess, spawn } from "node:child_process";
import { once } from "node:events";
import { readFileSync } from "node:fs";
import { join } from "node:path";

const root = join(import.meta.dirname, "..");

export interface ServerOptions {
  folder: string;
  /** A script that is loaded before anything else, and what it is told. */
  shim?: { script: string; told: unknown };
  more?: readonly string[];
  /** Variables it is started with. */
  variables?: Readonly<Record<string, string>>;
  /** What it is started through, as a command. */
  through?: readonly string[];
  /** The address of a PostgreSQL that it works on instead. */
  elsewhere?: string | undefined;
}

/** A server in a process of its own, to be ended in every way. */
export class FaultyServer {
  private text = "";

  private constructor(private readonly child: ChildProcess) {
    for (const stream of [child.stdout, child.stderr])
      stream?.on("data", (chunk: Buffer) => (this.text += chunk.toString()));
  }

  static start({ folder, shim, more = [], elsewhere, variables = {}, through = [] }: ServerOptions): FaultyServer {
    const shimmed = shim && {
      NODE_OPTIONS: `--require ${join(root, "faults", shim.script)}`,
      HANDY_FRAME_FAULTS: JSON.stringify(shim.told),
    };
    const [command = "", ...rest] = [...through, process.execPath, join(root, "bin", "handy-frame"), "start"];
    return new FaultyServer(
      spawn(command, [...rest, "--port", "0", "--data", folder, ...more], {
        env: { ...process.env, ...variables, ...shimmed, ...(elsewhere !== undefined && { DATABASE_URL: elsewhere }) },
        stdio: ["ignore", "pipe", "pipe"],
      }),
    );
  }

  /** The memory it has, bytes (Linux, proc(5)). */
  get memory(): number {
    const status = readFileSync(`/proc/${this.child.pid}/status`, "utf8");
    return Number(/^VmRSS:\s+(\d+) kB$/m.exec(status)?.[1] ?? 0) * 1024;
  }

  /** What it printed so far. */
  get output(): string {
    return this.text;
  }

  /** Its address, once it serves; throws with what it said where it ends before. */
  url(): Promise<string> {
    return this.said(/is at (http\S+)/);
  }

  /** The first group of what it says, once it does; throws with what it said where it ends before. */
  async said(pattern: RegExp): Promise<string> {
    for (;;) {
      const found = pattern.exec(this.text)?.[1];
      if (found) return found;
      if (this.child.exitCode !== null) throw new Error(`the server ended with ${this.child.exitCode}: ${this.text}`);
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
  }

  /** Ends it as a power cut or the system does: at once, in the midst of whatever it does. */
  async kill(): Promise<void> {
    this.child.kill("SIGKILL");
    await this.ended();
  }

  /** Asks it to end; answers what it ended with, or null if it had not ended after so long, ms. */
  async stop(patience = 30_000): Promise<number | null> {
    this.child.kill("SIGTERM");
    const late = new Promise<null>((resolve) => setTimeout(() => resolve(null), patience).unref());
    const code = await Promise.race([this.ended(), late]);
    if (code === null) await this.kill();
    return code;
  }

  /** What it ended with. */
  async ended(): Promise<number> {
    if (this.child.exitCode === null && this.child.signalCode === null) await once(this.child, "exit");
    return this.child.exitCode ?? -1;
  }
}
