import { spawn } from "node:child_process";
import { once } from "node:events";
import { join } from "node:path";

const root = join(import.meta.dirname, "..");

export interface Started {
  url: string;
  /** From the start to the first answer. */
  ms: number;
  stop: () => Promise<void>;
}

/** A server in a process of its own, once it has answered. */
export const started = async (
  data: string,
  more: readonly string[] = [],
  variables: Readonly<Record<string, string>> = {},
): Promise<Started> => {
  const began = performance.now();
  const command = [join(root, "bin", "handy-frame"), "start", "--port", "0", "--data", data, ...more];
  const child = spawn(process.execPath, command, {
    stdio: ["ignore", "pipe", "inherit"],
    env: { ...process.env, ...variables },
  });
  let said = "";
  const url = await new Promise<string>((resolve, reject) => {
    child.once("exit", () => reject(new Error(said)));
    child.stdout.on("data", (chunk: Buffer) => {
      said += chunk.toString();
      const found = /is at (http\S+)/.exec(said)?.[1];
      if (found) resolve(found);
    });
  });
  await (await fetch(`${url}api/frames`)).text();
  const ms = performance.now() - began;
  const stop = async () => {
    child.kill("SIGTERM");
    await once(child, "exit");
  };
  return { url, ms, stop };
};

const headers = { "content-type": "application/json" };

/** Puts a frame on the shelf and answers its id. */
export const put = async (url: string, frame: unknown): Promise<string> => {
  const response = await fetch(`${url}api/frames`, { method: "POST", headers, body: JSON.stringify({ frame }) });
  return (await response.json()).id;
};

/** A title for a node, so many times in one request. */
export const save = async (url: string, id: string, node: string, revision: number, times = 1): Promise<void> => {
  const edits = Array.from({ length: times }, (_, i) => ({
    key: `${revision + i}`,
    label: "Title",
    edit: { kind: "set", node, key: "title", value: `Title ${revision + i}` },
  }));
  const response = await fetch(`${url}api/frames/${id}/edits`, {
    method: "POST",
    headers: { ...headers, "if-match": `"${revision}"` },
    body: JSON.stringify({ edits }),
  });
  await response.text();
  if (response.status !== 200) throw new Error(`a save answered ${response.status}`);
};

/** How long each of so many saves took, ms; the first ones are not told. */
export const savesOn = async (url: string, frame: unknown, node: string, times: number): Promise<number[]> => {
  const id = await put(url, frame);
  const took: number[] = [];
  for (let revision = 1; revision <= times; revision += 1) {
    const began = performance.now();
    await save(url, id, node, revision);
    if (revision > 20) took.push(performance.now() - began);
  }
  return took;
};
