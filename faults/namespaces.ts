import { FaultyServer } from "./server.js";

/** As in a container: processes, mounts, host name, network are its own (Linux, namespaces(7); by root alone). */
const contained = ["unshare", ..."--pid --mount --uts --ipc --net --mount-proc --fork --kill-child".split(" ")];

/** Starts a server on a folder that another one holds, each outside or in namespaces of its own: it is refused, and takes the folder once that one was killed. */
export const namespaces = async (folder: string): Promise<string> => {
  const told: string[] = [];
  for (const [name, first, second] of [
    ["outside, then contained", [], contained],
    ["contained, then outside", contained, []],
    ["both contained", contained, contained],
  ] as const) {
    const holder = FaultyServer.start({ folder, through: first });
    await holder.url();
    const other = FaultyServer.start({ folder, through: second });
    const code = await other.ended();
    await holder.kill();
    const next = FaultyServer.start({ folder, through: second });
    const began = Date.now();
    await next.url();
    told.push(
      `${name}: refused with ${code}, taken ${Math.round((Date.now() - began) / 1000)} s after the holder was killed`,
    );
    await next.kill();
  }
  return told.join("; ");
};
