import type { Database } from "../database/database.js";
import type { Express } from "express";
import fc from "fast-check";
import request from "supertest";
import { type Edit, editBetween, type Frame, plainFrame } from "../../core/index.js";
import { anyEdit, anyFrame } from "../../core/testing/arbitrary.js";
import { applyChecked } from "../../shape/edits.js";
import { memoryApp } from "../testing/server.js";

let app: Express;
let database: Database;
let broken: unknown[];

beforeAll(async () => {
  ({ app, database, broken } = await memoryApp());
}, 60_000);
afterAll(() => database.close());
afterEach(() => expect(broken).toEqual([]));

/** What one of several windows does: a save on the revision it knows or an older one, an older frame put back, a look. */
type Deed =
  | { kind: "save"; edits: Edit[]; behind: number }
  | { kind: "restore"; back: number }
  | { kind: "delete" }
  | { kind: "read"; back: number };

const anyDeed = (): fc.Arbitrary<Deed> =>
  fc.oneof(
    {
      weight: 6,
      arbitrary: fc.record({
        kind: fc.constant("save" as const),
        edits: fc.array(anyEdit(), { minLength: 1, maxLength: 3 }),
        behind: fc.constantFrom(0, 0, 0, 1, 3),
      }),
    },
    { weight: 2, arbitrary: fc.record({ kind: fc.constant("restore" as const), back: fc.nat(6) }) },
    { weight: 1, arbitrary: fc.constant({ kind: "delete" as const }) },
    { weight: 3, arbitrary: fc.record({ kind: fc.constant("read" as const), back: fc.nat(9) }) },
  );

let count = 0;
const post = (path: string, body: unknown, revision?: number) => {
  const made = request(app).post(path).set("content-type", "application/json");
  return (revision === undefined ? made : made.set("if-match", `"${revision}"`)).send(body as object);
};
const saving = (edits: readonly Edit[]) => ({
  edits: edits.map((edit) => ({ key: `law${(count += 1)}`, label: `Edit ${count}`, edit })),
});

/** The frame after some edits, or null where one of them cannot be made. */
const after = (frame: Frame, edits: readonly Edit[]): Frame[] | null => {
  const all: Frame[] = [];
  for (const edit of edits) {
    const result = applyChecked(all.at(-1) ?? frame, edit);
    if (!result.ok) return null;
    all.push(plainFrame(result.frame));
  }
  return all;
};

test("whatever windows send, and in what order, the server holds what a list of frames would, and every revision stays", async () => {
  const answers = new Map<number, number>();
  await fc.assert(
    fc.asyncProperty(anyFrame(), fc.array(anyDeed(), { minLength: 6, maxLength: 16 }), async (frame, deeds) => {
      const { id } = (await post("/api/frames", { frame }).expect(201)).body as { id: string };
      const path = `/api/frames/${id}`;
      const revisions: Frame[] = [plainFrame(frame)];
      const at = (back: number): number => Math.max(1, revisions.length - back);
      const save = async (edits: readonly Edit[], revision: number) => {
        const made = after(revisions.at(-1)!, edits);
        const expected = revision < revisions.length ? 412 : made ? 200 : 422;
        const { status, body } = await post(`${path}/edits`, saving(edits), revision);
        // an edit that is none in its form is refused before anything else is asked
        expect(status === 400 ? [made, 400] : [made, expected]).toEqual([made, status]);
        answers.set(status, (answers.get(status) ?? 0) + 1);
        if (status === 412) expect(body.missed).toHaveLength(revisions.length - revision);
        if (status !== 200) return;
        revisions.push(...made!);
        expect(body.revision).toBe(revisions.length);
      };
      for (const deed of deeds) {
        if (deed.kind === "save") await save(deed.edits, at(deed.behind));
        if (deed.kind === "restore")
          await save([editBetween(revisions.at(-1)!, revisions[at(deed.back) - 1]!)], revisions.length);
        if (deed.kind === "delete") {
          await request(app).delete(path).expect(204);
          const edit: Edit = { kind: "setFrame", key: "name", value: "Late" };
          await post(`${path}/edits`, saving([edit]), revisions.length).expect(404);
          await post(`${path}/bring-back`, {}).expect(204);
        }
        if (deed.kind === "read") {
          const { body } = await request(app)
            .get(`${path}/revisions/${at(deed.back)}`)
            .expect(200);
          expect(body.frame).toEqual(revisions[at(deed.back) - 1]);
        }
      }
      const { body } = await request(app).get(path).expect(200);
      expect([body.revision, body.frame]).toEqual([revisions.length, revisions.at(-1)]);
      const file = await request(app).get(`${path}/file`).expect(200);
      expect(plainFrame(JSON.parse(file.text) as Frame)).toEqual(revisions.at(-1));
    }),
    { numRuns: 12 },
  );
  for (const status of [200, 412, 422]) expect(answers.get(status) ?? 0).toBeGreaterThan(5);
}, 120_000);

test("of saves that come at once on one revision one is made, and the others are told what they missed", async () => {
  await fc.assert(
    fc.asyncProperty(anyFrame(), fc.integer({ min: 2, max: 6 }), async (frame, windows) => {
      const { id } = (await post("/api/frames", { frame }).expect(201)).body as { id: string };
      const title = (i: number): Edit => ({ kind: "setFrame", key: "name", value: `By window ${i}` });
      const all = await Promise.all(
        Array.from({ length: windows }, (_, i) => post(`/api/frames/${id}/edits`, saving([title(i)]), 1)),
      );
      expect(all.map(({ status }) => status).sort()).toEqual([200, ...Array.from({ length: windows - 1 }, () => 412)]);
      const winner = all.findIndex(({ status }) => status === 200);
      const { body } = await request(app).get(`/api/frames/${id}`);
      expect([body.revision, body.frame.name]).toEqual([2, `By window ${winner}`]);
      for (const { status, body: told } of all)
        if (status === 412) expect(told.missed).toMatchObject([{ number: 2, edit: title(winner) }]);
    }),
    { numRuns: 15 },
  );
}, 120_000);
