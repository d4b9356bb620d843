import { randomBytes, randomUUID } from "node:crypto";

/** A frame of which nothing matters but that it can be changed. */
const frame = (name: string) => ({
  format: "handy-frame/2",
  name,
  root: "app",
  nodes: {
    app: { kind: "stack", children: ["home"] },
    home: { kind: "screen", title: "Home" },
  },
});

interface Answer {
  status: number;
  body: Record<string, unknown>;
}

const ask = async (url: string, path: string, body?: unknown, match?: number): Promise<Answer> => {
  const response = await fetch(new URL(path, url), {
    signal: AbortSignal.timeout(60_000),
    ...(body !== undefined && { method: "POST", body: JSON.stringify(body) }),
    headers: { "content-type": "application/json", ...(match !== undefined && { "if-match": `"${match}"` }) },
  });
  return { status: response.status, body: (await response.json()) as Record<string, unknown> };
};

/** Somebody who makes changes one after another, and remembers each that was acknowledged. */
export class FaultPerson {
  /** What was acknowledged: the titles given to the screen, in order. */
  readonly acknowledged: string[] = [];
  /** Answers that were no success, by status. */
  readonly refused = new Map<number, number>();
  private constructor(
    private readonly id: string,
    private readonly node = "home",
  ) {}

  /** Somebody who changes a node of a frame that is there. */
  static on(id: string, node: string): FaultPerson {
    return new FaultPerson(id, node);
  }

  static async begin(url: string, name: string): Promise<FaultPerson> {
    const { status, body } = await ask(url, "/api/frames", { frame: frame(name) });
    if (status !== 201) throw new Error(`a frame was not made: ${status} ${JSON.stringify(body)}`);
    return new FaultPerson(String(body.id));
  }

  /** Where the server has the frame. */
  get path(): string {
    return `/api/frames/${this.id}`;
  }

  /** Makes a change, with so many long notes in it; answers whether it was acknowledged. Throws where there was no answer. */
  async change(url: string, notes = 0): Promise<boolean> {
    const head = await ask(url, this.path);
    if (head.status !== 200) return this.wasRefused(head.status);
    const title = randomUUID();
    const set = (key: string, value: string) => ({ kind: "set", node: this.node, key, value });
    const long = Array.from({ length: notes }, () => set("note", randomBytes(2000).toString("hex")));
    const edit = { kind: "batch", edits: [set("title", title), ...long] };
    const saved = await ask(
      url,
      `/api/frames/${this.id}/edits`,
      { edits: [{ key: title, label: title, edit }] },
      Number(head.body.revision),
    );
    if (saved.status !== 200) return this.wasRefused(saved.status);
    this.acknowledged.push(title);
    return true;
  }

  private wasRefused(status: number): false {
    this.refused.set(status, (this.refused.get(status) ?? 0) + 1);
    return false;
  }

  /** How many of the acknowledged changes are not in the history, or not in the order they were made. */
  async lost(url: string): Promise<number> {
    const there: string[] = [];
    for (let before: number | null = null; before === null || before > 1;) {
      const query: string = before === null ? "most=5000" : `most=5000&before=${before}`;
      const { status, body } = await ask(url, `/api/frames/${this.id}/revisions?${query}`);
      if (status !== 200) return this.acknowledged.length;
      const revisions = body.revisions as { number: number; label: string }[];
      if (revisions.length === 0) break;
      there.push(...revisions.map(({ label }) => label));
      before = revisions.at(-1)!.number;
    }
    const place = new Map(there.reverse().map((label, i) => [label, i]));
    let last = -1;
    return this.acknowledged.filter((title) => {
      const at = place.get(title) ?? -1;
      const isThere = at > last;
      if (isThere) last = at;
      return !isThere;
    }).length;
  }
}
