import { closeSync, fsyncSync, openSync } from "node:fs";
import { join } from "node:path";
import { NodeFS } from "@electric-sql/pglite/nodefs";
import type { Sync } from "./sync.js";

/** How long at most what is acknowledged may be in memory alone where it is synced by the second, ms. */
const second = 1000;

interface Stream {
  /** The file's descriptor; a folder has none. */
  nfd?: number;
  node: unknown;
}
type Write = (stream: Stream, ...rest: unknown[]) => number;
/** The part of the runtime's file system that is worked on here (emscripten, its NODEFS). */
interface Files {
  realPath: (node: unknown) => string;
  stream_ops: { fsync?: (stream: Stream) => number; write: Write };
}
interface Runtime {
  NODEFS: Files;
}

const syncAt = (path: string): void => {
  const file = openSync(path, "r");
  try {
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
};

/**
 * The folder of a database, in which what PostgreSQL asks to be synced is: as it comes, the runtime does nothing then. By
 * the second, its log waits to be synced for so long, or until anything is written that stands on it: pages may not be on
 * the disk before what was logged of them.
 */
export class SyncedFiles extends NodeFS {
  /** The folder of the log. */
  private readonly log: string;
  private readonly unsynced = new Set<string>();
  private timer: NodeJS.Timeout | null = null;

  constructor(
    folder: string,
    private readonly sync: Sync,
  ) {
    super(folder);
    this.log = join(folder, "pg_wal");
  }

  override async init(...given: Parameters<NodeFS["init"]>): ReturnType<NodeFS["init"]> {
    const { emscriptenOpts } = await super.init(...given);
    const prepare = (runtime: Runtime) => this.hookInto(runtime.NODEFS);
    return { emscriptenOpts: { ...emscriptenOpts, preRun: [emscriptenOpts.preRun ?? [], prepare].flat() } };
  }

  private hookInto(files: Files): void {
    if (this.sync === "never") return;
    files.stream_ops.fsync = (stream) => {
      const path = files.realPath(stream.node);
      if (this.sync === "second" && path.startsWith(this.log)) this.wait(path);
      else if (stream.nfd === undefined) syncAt(path);
      else fsyncSync(stream.nfd);
      return 0;
    };
    if (this.sync === "each") return;
    const { write } = files.stream_ops;
    files.stream_ops.write = (stream, ...rest) => {
      if (this.unsynced.size > 0 && !files.realPath(stream.node).startsWith(this.log)) this.syncLog();
      return write(stream, ...rest);
    };
  }

  private wait(path: string): void {
    this.unsynced.add(path);
    this.timer ??= setTimeout(() => this.syncLog(), second);
  }

  private syncLog(): void {
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    for (const path of this.unsynced) syncAt(path);
    this.unsynced.clear();
  }

  override async closeFs(): Promise<void> {
    this.syncLog();
    await super.closeFs();
  }
}
