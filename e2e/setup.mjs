import { register } from "tsx/esm/api";

// what is set up runs outside the tests, where nothing turns TypeScript into what Node reads
const unregister = register();
const { begin } = await import("./begin.ts");

export default async () => {
  globalThis.endOfTests = await begin();
  await unregister();
};
