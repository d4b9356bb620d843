import { Away } from "./away.js";
import type { Engine, Statement } from "./engine.js";
import { OneSession } from "./one-session.js";

/** An engine that notes what it is asked, and stands still or breaks where it is told to. */
class NotedEngine implements Engine {
  killed = false;
  ended = false;

  constructor(
    readonly asked: string[],
    private readonly answer: (text: string) => Promise<unknown[]> = async () => [],
  ) {}

  run({ text }: Statement): Promise<unknown[]> {
    this.asked.push(text);
    return this.answer(text);
  }
  async end() {
    this.ended = true;
  }
  kill() {
    this.killed = true;
  }
}

const sqlError = (message: string) => Object.assign(new Error(message), { code: "23505" });
const never = () => new Promise<never>(() => undefined);

describe("a database of one session", () => {
  test("transactions that wait are kept by one commit, and none is answered before it", async () => {
    const asked: string[] = [];
    const session = await new OneSession({ begin: async () => new NotedEngine(asked) }).open();
    const answered: string[] = [];
    await Promise.all(
      ["a", "b", "c", "d"].map(async (name) => {
        await session.transaction((sql) => sql.exec(`write ${name}`));
        answered.push(`${name} after ${asked.filter((text) => text === "commit").length}`);
      }),
    );
    // the first one found nobody else waiting
    expect(asked.filter((text) => text === "commit")).toHaveLength(2);
    expect(answered).toEqual(["a after 1", "b after 2", "c after 2", "d after 2"]);
  });

  test("one that fails takes back what it did itself, and the others that wait with it are kept", async () => {
    const asked: string[] = [];
    const engine = new NotedEngine(asked, async (text) => {
      if (text === "write b") throw sqlError("there is one already");
      return [];
    });
    const session = await new OneSession({ begin: async () => engine }).open();
    const done = await Promise.allSettled(
      ["first", "a", "b", "c"].map((name) => session.transaction((sql) => sql.exec(`write ${name}`))),
    );
    expect(done.map(({ status }) => status)).toEqual(["fulfilled", "fulfilled", "rejected", "fulfilled"]);
    expect(asked.slice(asked.indexOf("write b"))).toEqual([
      ...["write b", "rollback to part; release part"],
      ...["savepoint part", "write c", "release part"],
      "commit",
    ]);
    expect(engine.killed).toBe(false);
  });

  test("where the commit fails, none of those that waited together is acknowledged", async () => {
    const engine = new NotedEngine([], async (text) => {
      if (text === "commit") throw sqlError("it cannot be kept");
      return [];
    });
    const session = await new OneSession({ begin: async () => engine }).open();
    const done = await Promise.allSettled([1, 2, 3].map((n) => session.transaction((sql) => sql.exec(`write ${n}`))));
    expect(done.map(({ status }) => status)).toEqual(["rejected", "rejected", "rejected"]);
  });

  test("an engine that never answers is ended, and another one answers what is asked next", async () => {
    const engines = [new NotedEngine([], never), new NotedEngine([], async () => [{ one: 1 }])];
    let begun = 0;
    const session = new OneSession({ begin: async () => engines[begun++]!, patience: 20 });
    const [lost, next] = await Promise.allSettled([session.query("select 1"), session.query("select 2")]);
    expect(lost).toMatchObject({ status: "rejected", reason: { reason: "no answer" } });
    expect(next).toEqual({ status: "fulfilled", value: { rows: [{ one: 1 }] } });
    expect(engines.map(({ killed }) => killed)).toEqual([true, false]);
  });

  test("an engine that breaks loses the transaction it was in, and no other", async () => {
    const engines = [
      new NotedEngine([], async (text) => {
        if (text === "write a") throw new Error("memory access out of bounds");
        return [];
      }),
      new NotedEngine([]),
    ];
    let begun = 0;
    const session = new OneSession({ begin: async () => engines[begun++]! });
    await expect(session.transaction((sql) => sql.exec("write a"))).rejects.toBeInstanceOf(Away);
    await session.transaction((sql) => sql.exec("write b"));
    expect(engines[1]!.asked).toContain("write b");
    expect(engines[1]!.asked).not.toContain("write a");
  });

  test("a statement that finds the disk full is told as that, and taken back", async () => {
    const engine = new NotedEngine([], async (text) => {
      if (text === "write") throw Object.assign(new Error("could not extend file"), { code: "53100" });
      return [];
    });
    const session = await new OneSession({ begin: async () => engine }).open();
    await expect(session.transaction((sql) => sql.exec("write"))).rejects.toMatchObject({ reason: "no room" });
    await expect(session.exec("write")).rejects.toMatchObject({ reason: "no room" });
    expect([engine.killed, engine.asked.includes("rollback to part; release part")]).toEqual([false, true]);
  });

  test("while none can be begun anew that is told, and it is tried again with the next question", async () => {
    let begun = 0;
    const begin = async () => {
      begun += 1;
      if (begun === 2) throw new Error("it was not there");
      return new NotedEngine([], begun === 1 ? never : undefined);
    };
    const session = new OneSession({ begin, patience: 20 });
    const done = await Promise.allSettled(["lost", "not begun", "answered"].map((text) => session.query(text)));
    expect(done).toMatchObject([
      { reason: { reason: "no answer" } },
      { reason: { reason: "no answer", message: "The database cannot be begun anew: it was not there." } },
      { status: "fulfilled" },
    ]);
  });

  test("where there is no room nothing is begun, and it is tried again with the next one", async () => {
    const asked: string[] = [];
    let isFull = true;
    const session = await new OneSession({
      begin: async () => new NotedEngine(asked),
      needRoom: async () => {
        if (isFull) throw new Away("no room", "1 MB is free.");
      },
    }).open();
    await expect(session.transaction((sql) => sql.exec("write"))).rejects.toMatchObject({ reason: "no room" });
    expect(asked).toEqual([]);
    // what only reads is answered meanwhile
    await session.query("select 1");
    isFull = false;
    await session.transaction((sql) => sql.exec("write"));
    expect(asked).toContain("commit");
  });

  test("it is closed after what was given to it before, and takes nothing afterwards", async () => {
    const engine = new NotedEngine([]);
    const session = await new OneSession({ begin: async () => engine }).open();
    const written = session.transaction((sql) => sql.exec("write"));
    await session.close();
    await written;
    expect(engine.ended).toBe(true);
    await expect(session.query("select 1")).rejects.toBeInstanceOf(Away);
  });
});
