import { join } from "node:path";
import { FaultyServer } from "./server.js";
import { onSmallDisk, type SmallDisk } from "./small-disk.js";

const MB = 1024 * 1024;

interface Way {
  name: string;
  /** The folder was made while all was well. */
  isMade: boolean;
  spoil: (disk: SmallDisk) => void;
}

/** Ways in which a start cannot work: each says so in a line, and ends with 2. */
const ways: Way[] = [
  { name: "a new folder without room", isMade: false, spoil: (disk) => disk.fill(60 * MB) },
  { name: "a folder whose disk became full", isMade: true, spoil: (disk) => disk.fill(20 * MB) },
  { name: "a new folder on a read-only disk", isMade: false, spoil: (disk) => disk.readOnly() },
  { name: "a folder whose disk became read-only", isMade: true, spoil: (disk) => disk.readOnly() },
];

export const starts = async (folder: string): Promise<string> => {
  const told: string[] = [];
  for (const { name, isMade, spoil } of ways)
    await onSmallDisk(join(folder, "disk"), 400, async (disk) => {
      const data = join(disk.folder, "data");
      if (isMade) {
        const first = FaultyServer.start({ folder: data });
        await first.url();
        await first.stop();
      }
      spoil(disk);
      const server = FaultyServer.start({ folder: data });
      const code = await server.ended();
      const lines = server.output.trim().split("\n");
      told.push(
        `${name} ends with ${code}, ${lines.length === 1 ? "one line" : `${lines.length} lines`} (${lines.at(-1)})`,
      );
    });
  return told.join("; ");
};
