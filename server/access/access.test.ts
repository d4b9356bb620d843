import { mkdtemp, readFile, stat } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Express } from "express";
import request from "supertest";
import { plainFrame } from "../../core/index.js";
import { tabbed } from "../../core/testing/frames.js";
import { createApp } from "../app.js";
import type { Database } from "../database/database.js";
import type { FrameStore } from "../frames/store.js";
import { memoryApp } from "../testing/server.js";
import { keysAsked, openTo } from "./asked.js";
import { keyIn, Keys } from "./keys.js";

const whole = "a-key-that-nobody-guesses";
const keys = new Keys(whole);
let app: Express;
let database: Database;
let store: FrameStore;
let tides: string;
let other: string;

beforeAll(async () => {
  ({ store, database } = await memoryApp());
}, 60_000);
afterAll(() => database.close());
beforeEach(async () => {
  app = createApp({ store, database, keys, proxies: ["loopback"] });
  tides = (await store.create(plainFrame({ ...tabbed(), name: "Tides" }))).id;
  other = (await store.create(plainFrame({ ...tabbed(), name: "Other" }))).id;
});

const codeOf = ({ body }: request.Response): string => String(body.type).replace("urn:handy-frame:problem:", "");
const withKey = (key: string) => ({ get: (path: string) => request(app).get(path).auth(key, { type: "bearer" }) });
const give = (key: unknown, from = "10.0.0.1") =>
  request(app).post("/api/key").set("X-Forwarded-For", from).send({ key });
const rename = {
  edits: [{ key: "1", label: "Rename", edit: { kind: "setFrame", key: "name", value: "Mine" } }],
};

describe("a server that others can come to", () => {
  test("answers nothing of a frame without its key, whatever is asked", async () => {
    for (const path of ["/api/frames", `/api/frames/${tides}`, `/api/frames/${tides}/live`, "/api/keeping/backup"])
      expect(codeOf(await request(app).get(path).expect(401))).toBe("key-wanted");
    await request(app).post("/api/frames").send({ frame: {} }).expect(401);
    await request(app).delete(`/api/frames/${tides}`).expect(401);
  });

  test("takes the key for a cookie that no script reads and no other site sends", async () => {
    const { headers } = await give(whole).expect(200, { to: "all" });
    const cookie = headers["set-cookie"]![0]!;
    expect(cookie).toMatch(/; HttpOnly/);
    expect(cookie).toMatch(/; SameSite=Strict/);
    await request(app).get("/api/frames").set("Cookie", cookie.split(";")[0]!).expect(200);
    expect(cookie).not.toMatch(/Secure/);
    const secure = await give(whole).set("X-Forwarded-Proto", "https").expect(200);
    expect(secure.headers["set-cookie"]![0]).toMatch(/; Secure/);
  });

  test("takes the key from programs as a bearer's", async () => {
    await withKey(whole).get("/api/frames").expect(200);
    expect(codeOf(await withKey(`${whole}x`).get("/api/frames").expect(403))).toBe("wrong-key");
  });

  test("hears ten wrong keys a minute from an address, and the right one of who has it still", async () => {
    for (let i = 0; i < 10; i += 1) await give(`guess ${i}`).expect(403);
    const refused = await give(`guess`).expect(429);
    expect(codeOf(refused)).toBe("too-many-tries");
    expect(Number(refused.headers["retry-after"])).toBeGreaterThan(0);
    // nothing is learnt by it any more: not even the right one is heard there
    await give(whole).expect(429);
    await give(whole, "10.0.0.2").expect(200);
    await give(whole).expect(200);
  });

  test("a cookie that was changed since is taken back", async () => {
    const { headers } = await request(app).get("/api/frames").set("Cookie", `${keys.cookie}=of-before`).expect(403);
    expect(headers["set-cookie"]![0]).toMatch(new RegExp(`^${keys.cookie}=;`));
  });

  test("another server's cookie at the same host is not looked at", async () => {
    const theirs = new Keys("another-key-altogether").cookie;
    const answer = await request(app).get("/api/frames").set("Cookie", `${theirs}=another-key-altogether`).expect(401);
    expect(codeOf(answer)).toBe("key-wanted");
  });

  test("a key made for one frame opens that frame to be looked at, and nothing else", async () => {
    const { look, mayChange } = (await withKey(whole).get(`/api/frames/${tides}`).expect(200)).body;
    expect(mayChange).toBe(true);
    const given = await give(look).expect(200, { to: "look", frame: tides });
    const cookie = given.headers["set-cookie"]![0]!.split(";")[0]!;
    const ask = (method: "get" | "post" | "delete" | "put", path: string) =>
      request(app)[method](path).set("Cookie", cookie);
    expect((await ask("get", `/api/frames/${tides}`).expect(200)).body).toMatchObject({ id: tides, mayChange: false });
    await ask("get", `/api/frames/${tides}/revisions?most=10`).expect(200);
    for (const refused of [
      ask("get", "/api/frames"),
      ask("get", `/api/frames/${other}`),
      ask("get", `/api/frames/${tides}x`),
      ask("get", "/api/keeping/backup"),
      ask("delete", `/api/frames/${tides}`),
      ask("put", `/api/frames/${tides}/revisions/1/label`).send({ label: "Mine" }),
      ask("post", `/api/frames/${tides}/edits`).set("If-Match", '"1"').send(rename),
      ask("post", "/api/frames").send({ frame: {} }),
    ])
      expect(codeOf(await refused.expect(403))).toBe("look-only");
  });

  test("a key for a frame cannot be made of one for another frame", async () => {
    const look = keys.toLookAt(tides);
    await give(look.replace(tides, other)).expect(403);
    await give(look.slice(0, -1)).expect(403);
    expect(keys.rightOf(`.${look}`)).toBeNull();
    expect(keys.rightOf("")).toBeNull();
  });

  test("writes of another site's page are refused, by the host that a proxy which is trusted tells", async () => {
    const post = (origin: string) =>
      request(app).delete(`/api/frames/${tides}`).auth(whole, { type: "bearer" }).set("Origin", origin);
    expect(codeOf(await post("https://frames.example").expect(403))).toBe("wrong-origin");
    await post("https://frames.example").set("X-Forwarded-Host", "frames.example").expect(204);
  });

  test("no header of a proxy is believed that it was not told to trust", async () => {
    const plain = createApp({ store, keys });
    for (let i = 0; i < 10; i += 1)
      await request(plain)
        .post("/api/key")
        .set("X-Forwarded-For", `10.0.0.${i}`)
        .send({ key: `guess ${i}` })
        .expect(403);
    await request(plain).post("/api/key").set("X-Forwarded-For", "10.0.0.99").send({ key: "guess" }).expect(429);
  });
});

describe("the key of a data folder", () => {
  test("is made once, for its owner alone to read, and long enough that nobody guesses it", async () => {
    const folder = await mkdtemp(join(tmpdir(), "handy-frame-key-"));
    const key = await keyIn(folder);
    expect(key).toMatch(/^[\w-]{24}$/);
    expect(await keyIn(folder)).toBe(key);
    expect(((await stat(join(folder, ".key"))).mode & 0o777).toString(8)).toBe("600");
    expect((await readFile(join(folder, ".key"), "utf8")).trim()).toBe(key);
    expect(await keyIn(await mkdtemp(join(tmpdir(), "handy-frame-key-")))).not.toBe(key);
  });

  test("is asked for where another machine can come, by itself or by a proxy, and not on this one alone", async () => {
    const data = await mkdtemp(join(tmpdir(), "handy-frame-key-"));
    const asked = async (host: string, proxies: string[] = []) =>
      (await keysAsked({ host, data, proxies })) !== undefined;
    for (const host of ["127.0.0.1", "127.1.2.3", "localhost", "::1"]) expect(await asked(host)).toBe(false);
    for (const host of ["0.0.0.0", "::", "192.168.1.20", "127.example", "build.example"])
      expect(await asked(host)).toBe(true);
    expect(await asked("127.0.0.1", ["loopback"])).toBe(true);
  });

  test("is said at the start with who can come by it", () => {
    const said = openTo("192.168.1.20", 4860, keys).join("\n");
    expect(said).toContain(`http://192.168.1.20:4860/#key=${whole}`);
    expect(said).toMatch(/read and change all frames/);
    expect(said).toMatch(/not encrypted/);
  });
});
