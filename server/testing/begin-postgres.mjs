import { register } from "tsx/esm/api";

// what is set up runs outside the tests, where nothing turns TypeScript into what Node reads
const unregister = register();
const { startPostgres } = await import("./postgres.ts");
const { makeTemplate } = await import("./server.ts");

/** The PostgreSQL of a run of the server tests. */
export default async () => {
  const server = await startPostgres(["fsync=off", "max_connections=200"]);
  process.env.HANDY_FRAME_TEST_POSTGRES = server.url;
  globalThis.testPostgres = server;
  await makeTemplate(server.url);
  await unregister();
};
