import { connect, type AddressInfo } from "node:net";
import type { Server } from "node:http";
import { jest } from "@jest/globals";
import request from "supertest";
import type { Database } from "./database/database.js";
import type { Express } from "express";
import { editBetween, equal, plainFrame, type Edit } from "../core/index.js";
import { frameOf, screen, stack, tabbed } from "../core/testing/frames.js";
import { memoryApp } from "./testing/server.js";
import type { FrameStore } from "./frames/store.js";

let app: Express;
let store: FrameStore;
let database: Database;
let broken: unknown[];

beforeAll(async () => {
  ({ app, store, database, broken } = await memoryApp());
}, 60_000);
afterAll(() => database.close());
afterEach(() => expect(broken).toEqual([]));

const frames = "/api/frames";
const send = (path: string, body: unknown, match?: number) => {
  const made = request(app).post(path).set("content-type", "application/json");
  if (match !== undefined) made.set("if-match", `"${match}"`);
  return made
    .serialize((given) => given as string)
    .send((Buffer.isBuffer(body) || typeof body === "string" ? body : JSON.stringify(body)) as string);
};
const create = async (frame = tabbed(), name = "Test") =>
  (await send(frames, { frame: { ...frame, name } }).expect(201)).body as { id: string; revision: number };
const title = (value: unknown, node = "c"): Edit => ({ kind: "set", node, key: "title", value });
const saving = (...edits: Edit[]) => ({
  edits: edits.map((edit, i) => ({ key: `k${Math.random()}`, label: `Edit ${i}`, edit })),
});
const problem = (response: request.Response) => {
  expect(response.headers["content-type"]).toMatch("application/problem+json");
  return response.body as {
    status: number;
    type: string;
    detail: string;
    faults?: { pointer: string; received: string }[];
    missed?: { label: string }[];
    revision?: number;
  };
};

describe("frames", () => {
  test("a frame is put on the shelf, read again, and listed", async () => {
    const { id, revision } = await create(tabbed(), "My app");
    expect([id, revision]).toEqual(["my-app", 1]);
    const read = await request(app).get(`${frames}/${id}`).expect(200);
    expect(read.headers.etag).toBe('"1"');
    expect(read.body.frame).toEqual(plainFrame({ ...tabbed(), name: "My app" }));
    const list = await request(app).get(frames).expect(200);
    expect(list.body.frames).toContainEqual(
      expect.objectContaining({ id, name: "My app", revision: 1, deleted: null }),
    );
    expect((await create(tabbed(), "My app")).id).toBe("my-app-2");
  });
  test("a deleted frame takes no edits, and comes back with all it had", async () => {
    const { id } = await create(tabbed(), "Gone");
    await request(app).delete(`${frames}/${id}`).expect(204);
    await send(`${frames}/${id}/edits`, saving(title("x")), 1).expect(404);
    await send(`${frames}/${id}/bring-back`, "{}").expect(204);
    await send(`${frames}/${id}/edits`, saving(title("x")), 1).expect(200);
  });
  test("a frame is downloaded in its written form", async () => {
    const { id } = await create(tabbed(), "File");
    const file = await request(app).get(`${frames}/${id}/file`).expect(200);
    expect(file.headers["content-disposition"]).toBe(`attachment; filename=${id}.frame.json`);
    expect(JSON.parse(file.text).nodes.app).toEqual({ kind: "stack", children: ["home", "cover"] });
  });
});

describe("saving", () => {
  test("named edits make a revision each, and any revision can be read", async () => {
    const { id } = await create();
    const answer = await send(`${frames}/${id}/edits`, saving(title("One"), title("Two")), 1).expect(200);
    expect(answer.body).toEqual({ id, revision: 3 });
    expect((await request(app).get(`${frames}/${id}/revisions/2`)).body.frame.nodes.c.title).toBe("One");
    const { body } = await request(app).get(`${frames}/${id}/revisions`).expect(200);
    expect(body.revisions.map((row: { number: number; label: string }) => [row.number, row.label])).toEqual([
      [3, "Edit 1"],
      [2, "Edit 0"],
      [1, "Put on the shelf"],
    ]);
  });
  test("edits made on an older revision change nothing, and what was missed is said", async () => {
    const { id } = await create();
    await send(`${frames}/${id}/edits`, saving(title("One")), 1).expect(200);
    const stale = problem(await send(`${frames}/${id}/edits`, saving(title("Mine")), 1).expect(412));
    expect(stale).toMatchObject({ revision: 2, missed: [{ number: 2, label: "Edit 0", edit: title("One") }] });
    expect((await request(app).get(`${frames}/${id}`)).body.frame.nodes.c.title).toBe("One");
  });
  test("of several edits all are made or none", async () => {
    const { id } = await create();
    const answer = problem(
      await send(`${frames}/${id}/edits`, saving(title("One"), { kind: "remove", id: "app" }), 1).expect(422),
    );
    expect(answer.faults![0]!.pointer).toBe("/root");
    expect((await request(app).get(`${frames}/${id}`)).body).toMatchObject({ revision: 1 });
  });
  test("edits are tried without being made", async () => {
    const { id } = await create();
    const tried = (edit: unknown) => send(`${frames}/${id}/edits/tried`, saving(edit as Edit));
    await tried(title("One")).expect(204);
    const refused = problem(await tried({ kind: "set", node: "c", key: "bars", value: 7 }).expect(422));
    expect(refused.faults![0]!.pointer).toBe("/nodes/c/bars");
    expect((await request(app).get(`${frames}/${id}`)).body.revision).toBe(1);
  });
  test("what an edit touched is checked in form and in meaning", async () => {
    const { id } = await create();
    const pointers = async (edit: unknown) =>
      problem(await send(`${frames}/${id}/edits`, saving(edit as Edit), 1)).faults?.map((fault) => fault.pointer);
    expect(await pointers({ kind: "set", node: "c", key: "titel", value: "x" })).toEqual(["/nodes/c/titel"]);
    expect(await pointers({ kind: "set", node: "c", key: "bars", value: 7 })).toEqual(["/nodes/c/bars"]);
    expect(await pointers({ kind: "set", node: "c", key: "path", value: "/b" })).toEqual(["/nodes/c/path"]);
    expect(await pointers({ kind: "setFrame", key: "name", value: "" })).toEqual(["/name"]);
    expect(await pointers({ kind: "setFrame", key: "zoo", value: 1 })).toEqual(["/zoo"]);
    expect(
      await pointers({ kind: "add", nodes: { x: { kind: "page" } }, top: "x", parent: null, after: null }),
    ).toEqual(["/edits/0/edit/nodes/x/kind"]);
    expect(await pointers({ kind: "replace", frame: tabbed() })).toEqual(["/edits/0/edit/kind"]);
    expect(
      await pointers({ kind: "restore", nodes: { c: { node: { kind: "stack", children: ["nowhere"] } } } }),
    ).toEqual(["/nodes/c/children/0"]);
    expect((await request(app).get(`${frames}/${id}`)).body.revision).toBe(1);
  });
  test("an earlier frame put back is a revision like any other, and the one before is still there", async () => {
    const { id } = await create();
    await send(`${frames}/${id}/edits`, saving(title("One"), { kind: "remove", id: "bTab" }), 1).expect(200);
    const now = (await store.read(id)).frame;
    const { frame: then } = await store.readAt(id, 1);
    const restored = await send(`${frames}/${id}/edits`, saving(editBetween(now, then)), 3).expect(200);
    expect(restored.body.revision).toBe(4);
    expect(equal((await store.read(id)).frame, plainFrame(tabbed()))).toBe(true);
    expect((await request(app).get(`${frames}/${id}/revisions/3`)).body.frame.nodes.bTab).toBeUndefined();
    await request(app).get(`${frames}/${id}/revisions/99`).expect(404);
  });
  test("revisions far back are read through the snapshots kept on the way", async () => {
    const { id } = await create();
    for (let i = 1; i <= 120; i += 30)
      await send(
        `${frames}/${id}/edits`,
        saving(...Array.from({ length: 30 }, (_, n) => title(`T${i + n}`))),
        i,
      ).expect(200);
    for (const revision of [2, 49, 50, 51, 100, 121])
      expect((await store.readAt(id, revision)).frame.nodes.c!.title).toBe(`T${revision - 1}`);
  });
  test("a revision can be named", async () => {
    const { id } = await create();
    await request(app)
      .put(`${frames}/${id}/revisions/1/label`)
      .set("content-type", "application/json")
      .send('{"label":"As agreed"}')
      .expect(204);
    expect((await request(app).get(`${frames}/${id}/revisions`)).body.revisions[0].label).toBe("As agreed");
  });
});

describe("what cannot be answered", () => {
  test("malformed JSON, unknown keys, reserved names and 5 MB each get one clear problem", async () => {
    expect(problem(await send(frames, '{"frame": oops}').expect(400)).faults![0]).toMatchObject({
      received: "a text that is not JSON: invalid symbol at line 1, column 11",
    });
    expect(problem(await send(frames, { frame: { ...tabbed(), zoo: 1 } }).expect(422)).faults![0]!.pointer).toBe(
      "/zoo",
    );
    expect(problem(await send(frames, '{"frame":{"nodes":{"__proto__":{}}}}').expect(400)).faults![0]!.pointer).toBe(
      "/frame/nodes/__proto__",
    );
    expect(problem(await send(frames, `"${"x".repeat(5 * 1024 * 1024)}"`).expect(413)).type).toMatch("too-large");
    const deep = `{"frame":${'{"a":'.repeat(50_000)}1${"}".repeat(50_000)}}`;
    expect(problem(await send(frames, deep).expect(400)).faults![0]!.received).toMatch("over 100 deep");
    expect(problem(await send(frames, "").expect(400)).status).toBe(400);
    expect(problem(await send(frames, '{"frame":{"name":"a","name":"b"}}').expect(400)).faults![0]).toMatchObject({
      pointer: "/frame/name",
      received: 'the key "name" again, at line 1, column 22',
    });
    const latin = Buffer.from('{"frame":{"name":"Caf\xe9"}}', "latin1");
    expect(problem(await send(frames, latin).expect(400)).faults![0]!.pointer).toBe("/frame/name");
    expect(problem(await send(`${frames}/file`, latin).expect(422)).faults![0]!.received).toMatch("no UTF-8");
    const { id } = await create();
    for (const letter of ["\\u0000", "\\u001b", "\\ud800"]) {
      const edit = JSON.stringify(saving(title("LETTER"))).replace("LETTER", letter);
      expect(problem(await send(`${frames}/${id}/edits`, edit, 1).expect(400)).faults![0]!.pointer).toBe(
        "/edits/0/edit/value",
      );
    }
    expect((await request(app).get(`${frames}/${id}`)).body.revision).toBe(1);
  });
  test("unknown frames, revisions and addresses", async () => {
    problem(await request(app).get(`${frames}/nowhere`).expect(404));
    problem(await request(app).get("/api/nothing").expect(404));
    const { id } = await create();
    problem(await request(app).get(`${frames}/${id}/revisions/9`).expect(404));
    problem(await request(app).get(`${frames}/${id}/revisions/x`).expect(400));
    problem(await send(`${frames}/${id}/edits`, saving(title("x"))).expect(428));
    problem(
      await send(`${frames}/${id}/edits`, saving(title("x")))
        .set("if-match", "zoo")
        .expect(400),
    );
  });
  test("another host name, and writes from another page", async () => {
    problem(await request(app).get(frames).set("host", "elsewhere.example").expect(421));
    problem(await send(frames, { frame: tabbed() }).set("origin", "http://elsewhere.example").expect(403));
    problem(await send(frames, { frame: tabbed() }).set("sec-fetch-site", "cross-site").expect(403));
    problem(await request(app).get(frames).set("host", "127.0.0.1.elsewhere.example").expect(421));
    for (const host of ["localhost:4860", "192.0.2.7:4860", "[2001:db8::7]:4860"])
      await request(app).get(frames).set("host", host).expect(200);
  });
});

describe("the live stream", () => {
  let server: Server;
  let url: string;
  beforeAll(() => {
    server = app.listen(0);
    url = `http://127.0.0.1:${(server.address() as AddressInfo).port}${frames}`;
  });
  afterAll(() => {
    server.closeAllConnections();
    server.close();
  });
  /** What a reader hears, until it has heard a text. */
  const following = async (id: string, since: number) => {
    const live = await fetch(`${url}/${id}/live?since=${since}`);
    const reader = live.body!.getReader();
    let heard = "";
    return {
      until: async (text: string) => {
        while (!heard.includes(text)) heard += new TextDecoder().decode((await reader.read()).value);
        return heard;
      },
      end: () => reader.cancel(),
    };
  };

  test("what happens to a frame is told to those who follow it, from the revision they know", async () => {
    const { id } = await create(frameOf({ app: stack(["c"]), c: screen() }), "Live");
    await send(`${frames}/${id}/edits`, saving(title("One")), 1).expect(200);
    const live = await following(id, 1);
    await live.until('"One"');
    await send(`${frames}/${id}/edits`, saving(title("Two")), 2).expect(200);
    expect(await live.until('"Two"')).toMatch(/id: 3/);
    await live.end();
  });
  test("a change made while a reader comes is told once, in its place, to every reader", async () => {
    const { id } = await create(frameOf({ app: stack(["c"]), c: screen() }), "Busy");
    const last = 40;
    const readers = [];
    for (let i = 1; i < last; i += 1) {
      const saved = store.save(id, i, saving(title(`T${i + 1}`)).edits);
      readers.push(following(id, i));
      await saved;
    }
    for (const live of await Promise.all(readers)) {
      const heard = await live.until(`"T${last}"`);
      const numbers = [...heard.matchAll(/"number":(\d+)/g)].map(([, number]) => Number(number));
      expect(numbers).toEqual(numbers.map((_, i) => numbers[0]! + i));
      expect(numbers.at(-1)).toBe(last);
      await live.end();
    }
  });
  test("a reader that does not read is cut when it is a megabyte behind, and the others hear on", async () => {
    const { id } = await create(frameOf({ app: stack(["c"]), c: screen() }), "Deaf");
    const before = store.listening;
    const deaf = connect((server.address() as AddressInfo).port, "127.0.0.1");
    deaf.pause();
    deaf.write(`GET ${frames}/${id}/live HTTP/1.1\r\nHost: localhost\r\n\r\n`);
    const live = await following(id, 1);
    while (store.listening < before + 2) await new Promise((resolve) => setTimeout(resolve, 5));
    const note = (i: number): Edit => ({ kind: "set", node: "c", key: "note", value: `${i}`.padEnd(4000, "x") });
    // what lies in the sockets' own buffers is not counted: some megabytes
    let revision = 1;
    for (; store.listening === before + 2 && revision < 6000; revision += 20) {
      await store.save(id, revision, saving(...Array.from({ length: 20 }, (_, i) => note(revision + i))).edits);
      await live.until(`${revision + 19}xxx`);
    }
    expect(store.listening).toBe(before + 1);
    await send(`${frames}/${id}/edits`, saving(title("After")), revision).expect(200);
    await live.until('"After"');
    await live.end();
    deaf.destroy();
  }, 60_000);
});

describe("the database", () => {
  test("what it says of a value it cannot keep is told, and nothing was changed", async () => {
    const { id } = await create(tabbed(), "Not kept");
    const kept = jest
      .spyOn(store, "save")
      .mockRejectedValueOnce(
        Object.assign(new Error('invalid byte sequence for encoding "UTF8": 0x00'), { code: "22021" }),
      );
    const said = problem(await send(`${frames}/${id}/edits`, saving(title("x")), 1).expect(500));
    kept.mockRestore();
    expect(said).toMatchObject({
      type: "urn:handy-frame:problem:not-kept",
      detail: expect.stringContaining("invalid byte sequence"),
    });
    expect(broken.splice(0)).toHaveLength(1);
  });
});
