import { newDatabaseUrl } from "../server/testing/server.js";
import { startPostgres } from "../server/testing/postgres.js";
import { acknowledgedBy, lostOf, pause, timesOr } from "./kills.js";
import { FaultPerson } from "./person.js";
import { FaultyServer } from "./server.js";

const text = async (url: string, path: string): Promise<string> => (await fetch(new URL(path, url))).text();

/** Two servers on one PostgreSQL: so many edits on one frame through each, while one of them is killed again and again. */
export const twoServers = async (folder: string, times = timesOr(200)): Promise<string> => {
  const postgres = await startPostgres();
  const elsewhere = await newDatabaseUrl(postgres.url);
  const start = (name: string) => FaultyServer.start({ folder: `${folder}-${name}`, elsewhere });
  const servers = [start("one"), start("two")];
  try {
    const urls = await Promise.all(servers.map((server) => server.url()));
    const first = await FaultPerson.begin(urls[0]!, "Two Servers");
    const people = [first, FaultPerson.on(first.path.split("/").at(-1)!, "home")];
    let kills = 0;
    const isDone = () => people.every(({ acknowledged }) => acknowledged.length >= times);
    const changing = people.map(async (person, i) => {
      while (person.acknowledged.length < times) await person.change(urls[i]!).catch(() => pause(50));
    });
    const killing = async () => {
      while (!isDone()) {
        const until = acknowledgedBy(people) + times / 4;
        while (acknowledgedBy(people) < until && !isDone()) await pause(5);
        if (isDone()) return;
        kills += 1;
        await servers[1]!.kill();
        servers[1] = start("two");
        urls[1] = await servers[1].url();
      }
    };
    await Promise.all([...changing, killing()]);
    const [one, two] = await Promise.all(urls.map((url) => text(url, first.path)));
    const lost = (await lostOf(urls[0]!, people)) + (await lostOf(urls[1]!, people));
    return `${acknowledgedBy(people)} edits acknowledged on one frame through two servers, one of which was killed ${kills} times, ${lost} lost; ${one === two ? "both have the same frame" : "their frames DIFFER"}`;
  } finally {
    await Promise.all(servers.map((server) => server.stop()));
    await postgres.stop();
  }
};
