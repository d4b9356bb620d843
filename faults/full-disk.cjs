// Loaded into a server before anything else: a disk with so much room left as a file says, bytes. Whatever makes a file of the
// folder larger takes of it, and fails as on a full disk (POSIX, ENOSPC) where there is not enough; without a number there
// nothing is written at all (EROFS). What the system says to be free may be told as it is, or as much: then others fill the
// disk after the server has looked.
const fs = require("node:fs");
const { syncBuiltinESMExports } = require("node:module");

const { folder, room, tells } = JSON.parse(process.env.HANDY_FRAME_FAULTS);
const { writeSync, writeFileSync, readFileSync } = fs;
const { statfs } = fs.promises;

const left = () => Number(readFileSync(room, "utf8"));
const pathOf = (fd) => fs.readlinkSync(`/proc/self/fd/${fd}`);
const fail = (code, errno, says) => {
  throw Object.assign(new Error(`${code}: ${says}, write`), { code, errno, syscall: "write" });
};

fs.writeSync = (fd, data, ...rest) => {
  if (typeof data !== "string" && pathOf(fd).startsWith(`${folder}/`)) {
    const [, length = data.byteLength, position] = rest;
    const { size } = fs.fstatSync(fd);
    const grows = Math.max(0, (position ?? size) + length - size);
    const free = left();
    if (Number.isNaN(free)) fail("EROFS", -30, "read-only file system");
    if (grows > 0) {
      if (grows > free) fail("ENOSPC", -28, "no space left on device");
      writeFileSync(room, String(free - grows));
    }
  }
  return writeSync(fd, data, ...rest);
};
const { access } = fs.promises;
fs.promises.access = async (path, mode) => {
  if (mode === fs.constants.W_OK && Number.isNaN(left())) fail("EROFS", -30, `read-only file system, access '${path}'`);
  return access(path, mode);
};
if (tells)
  fs.promises.statfs = async (path, ...rest) => {
    const found = await statfs(path, ...rest);
    return { ...found, bavail: Math.floor((left() || 1e9) / found.bsize) };
  };
syncBuiltinESMExports();
