import fc from "fast-check";
import { hostile, sendTo } from "../server/testing/hostile.js";
import { timesOr } from "./kills.js";
import { FaultPerson } from "./person.js";
import { FaultyServer } from "./server.js";

const MB = 1024 * 1024;
/** Sent at once. */
const atOnce = 8;

/** Sends what nobody means well by, again and again: nothing of it is an error of the server, and what it needs for it comes to a level. */
export const requests = async (folder: string, times = timesOr(20_000)): Promise<string> => {
  const server = FaultyServer.start({ folder });
  const url = await server.url();
  await FaultPerson.begin(url, "Tides");
  const port = Number(new URL(url).port);
  const before = server.output.length;
  const [answers, levels] = [new Map<string, number>(), [] as string[]];
  const part = Math.ceil(times / 5);
  for (let n = 0; n < 5; n += 1) {
    const sent = fc.sample(hostile, { numRuns: part, seed: n + 1 });
    await Promise.all(
      Array.from({ length: atOnce }, async (_, first) => {
        for (let i = first; i < sent.length; i += atOnce) {
          const status = await sendTo(port, sent[i]!);
          const kind = status === null ? "hung up on" : `${Math.floor(status / 100)}00`;
          answers.set(kind, (answers.get(kind) ?? 0) + 1);
        }
      }),
    );
    levels.push(String(Math.round(server.memory / MB)));
  }
  const person = await FaultPerson.begin(url, "After");
  const isWell = await person.change(url);
  const said = server.output.slice(before).trim();
  await server.stop();
  const told = [...answers].sort().map(([kind, count]) => `${kind}: ${count}`);
  return `${times} hostile requests (${told.join(", ")}), ${isWell ? "the next one answered" : "the next one NOT answered"}, ${said === "" ? "nothing told as an error" : `told: ${said.slice(0, 2000)}`}; memory after each fifth, MB: ${levels.join(", ")}`;
};
