import { type ChildProcess, spawn } from "node:child_process";
import { once } from "node:events";
import { cpSync, existsSync, mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const root = join(import.meta.dirname, "..");

/** A server of its own, on a data folder of its own, that can be stopped and started again. */
export class Served {
  url = "";
  private child: ChildProcess | null = null;

  constructor(
    /** Frame files to work on. */
    private readonly files: readonly string[] = [],
    readonly data: string = mkdtempSync(join(tmpdir(), "handy-frame-e2e-")),
    /** What else the server is started with. */
    private readonly more: readonly string[] = [],
    private readonly variables: Readonly<Record<string, string>> = {},
  ) {}

  /** The one that all browser tests share who leave it as it is. */
  static ofAll(): Served {
    const served = new Served();
    served.url = process.env.HANDY_FRAME_SERVED!;
    return served;
  }

  async start(port = 0): Promise<void> {
    // making a data folder takes seconds: a copy of one does as well
    const prepared = process.env.HANDY_FRAME_PREPARED;
    if (prepared && !existsSync(join(this.data, "db"))) cpSync(prepared, this.data, { recursive: true });
    const child = spawn(
      process.execPath,
      [
        join(root, "bin", "handy-frame"),
        "start",
        ...this.files,
        "--port",
        String(port),
        "--data",
        this.data,
        ...this.more,
      ],
      { stdio: ["ignore", "pipe", "inherit"], env: { ...process.env, ...this.variables } },
    );
    this.child = child;
    this.url = await new Promise<string>((resolve, reject) => {
      let said = "";
      child.stdout.on("data", (chunk: Buffer) => {
        said += chunk.toString();
        const url = /is at (http\S+)/.exec(said)?.[1];
        if (url) resolve(url);
      });
      child.once("exit", (code) => reject(new Error(`the server ended with ${code}: ${said}`)));
    });
  }

  get isRunning(): boolean {
    return this.child !== null;
  }

  get port(): number {
    return Number(new URL(this.url).port);
  }

  async end(signal: NodeJS.Signals = "SIGTERM"): Promise<number | null> {
    const child = this.child;
    this.child = null;
    if (!child || child.exitCode !== null) return null;
    child.kill(signal);
    const [code] = (await once(child, "exit")) as [number | null];
    return code;
  }
}
