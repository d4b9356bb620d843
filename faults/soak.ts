import { readdirSync, statSync } from "node:fs";
import { join } from "node:path";
import { timesOr } from "./kills.js";
import { FaultPerson } from "./person.js";
import { FaultyServer } from "./server.js";

const MB = 1024 * 1024;
const sizeOf = (folder: string): number =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .reduce(
      (sum, { parentPath, name }) => sum + (statSync(join(parentPath, name), { throwIfNoEntry: false })?.size ?? 0),
      0,
    );

/** Opens a frame as a window does: reads it, follows it, and leaves. */
const openAndLeave = async (url: string, path: string): Promise<void> => {
  await (await fetch(new URL(path, url))).text();
  const leaving = new AbortController();
  const live = await fetch(new URL(`${path}/live`, url), { signal: leaving.signal });
  await live.body?.getReader().read();
  leaving.abort();
};

/** Edits and opens without end: memory and folder come to a level. */
export const soak = async (folder: string, edits = timesOr(50_000)): Promise<string> => {
  const server = FaultyServer.start({ folder, variables: { HANDY_FRAME_KEEP_EVERY: "15" } });
  const url = await server.url();
  const people = await Promise.all(Array.from({ length: 8 }, (_, i) => FaultPerson.begin(url, `Soak ${i}`)));
  const levels: string[] = [];
  for (let part = 1; part <= 5; part += 1) {
    const each = Math.ceil(edits / 5 / people.length);
    await Promise.all(
      people.map(async (person) => {
        for (let i = 0; i < each; i += 1) {
          await person.change(url);
          // as many opens to so many edits as a day has
          if (i % 25 === 0) await openAndLeave(url, person.path);
        }
      }),
    );
    // what is old is thinned in between
    await new Promise((resolve) => setTimeout(resolve, 20_000));
    levels.push(`${Math.round(server.memory / MB)} and ${Math.round(sizeOf(folder) / MB)}`);
  }
  await server.stop();
  return `${edits} edits and ${Math.round(edits / 25)} opens by 8 at once; memory and folder after each fifth, MB: ${levels.join(", ")}`;
};
