// Loaded into a server before anything else: a disk with so much room left as a file says, bytes. Whatever makes a file of the
// folder larger takes of it, and fails as on a full disk (POSIX, ENOSPC) where there is not enough. What the system says to
// be free may be told as it is, or as much: then others fill the disk after the server has looked.
const fs = require("node:fs");
const { syncBuiltinESMExports } = require("node:module");

const { folder, room, tells } = JSON.parse(process.env.HANDY_FRAME_FAULTS);
const { writeSync, writeFileSync, readFileSync } = fs;
const { statfs } = fs.promises;

const left = () => Number(readFileSync(room, "utf8"));
const pathOf = (fd) => fs.readlinkSync(`/proc/self/fd/${fd}`);

fs.writeSync = (fd, data, ...rest) => {
  if (typeof data !== "string" && pathOf(fd).startsWith(`${folder}/`)) {
    const [, length = data.byteLength, position] = rest;
    const { size } = fs.fstatSync(fd);
    const grows = Math.max(0, (position ?? size) + length - size);
    if (grows > 0) {
      const free = left();
      if (grows > free)
        throw Object.assign(new Error("ENOSPC: no space left on device, write"), {
          code: "ENOSPC",
          errno: -28,
          syscall: "write",
        });
      writeFileSync(room, String(free - grows));
    }
  }
  return writeSync(fd, data, ...rest);
};
if (tells)
  fs.promises.statfs = async (path, ...rest) => {
    const found = await statfs(path, ...rest);
    return { ...found, bavail: Math.floor(left() / found.bsize) };
  };
syncBuiltinESMExports();
