// Loaded into a server before anything else: records what of a folder is synced, so that what a power cut would leave can be
// made of it. A file's content is on the disk once the file is synced, and its name once the folder is (POSIX, fsync).
// The record is a file by each inode that was synced, with its content then, and a list by each folder, with its names then.
const fs = require("node:fs");
const { join } = require("node:path");
const { syncBuiltinESMExports } = require("node:module");

const { folder, record } = JSON.parse(process.env.HANDY_FRAME_FAULTS);
const { openSync, writeSync, writevSync, ftruncateSync, truncateSync, fsyncSync, fdatasyncSync, closeSync } = fs;

/** What was written to a file since it was synced: from where to where, by what the file is. */
const dirty = new Map();
/** What a file is, whatever its name: an inode is given to another one once it is free. */
const markOf = ({ ino, birthtimeMs }) => `${ino}-${birthtimeMs}`;

const recordFile = (fd, stat) => {
  const mark = markOf(stat);
  const { size } = stat;
  const ranges = dirty.get(mark) ?? [[0, size]];
  dirty.set(mark, []);
  const path = join(record, `content-${mark}`);
  const kept = openSync(path, fs.existsSync(path) ? "r+" : "w+");
  for (const [from, to] of ranges) {
    const bytes = Buffer.alloc(Math.max(0, Math.min(to, size) - from));
    const read = fs.readSync(fd, bytes, 0, bytes.length, from);
    writeSync(kept, bytes, 0, read, from);
  }
  ftruncateSync(kept, size);
  closeSync(kept);
};

const recordFolder = (path, folderStat) => {
  const names = fs.readdirSync(path).flatMap((name) => {
    const stat = fs.lstatSync(join(path, name), { throwIfNoEntry: false });
    return stat ? [{ name, mark: markOf(stat), isFolder: stat.isDirectory() }] : [];
  });
  // whole or not at all: the process may be killed in the midst of it
  const making = join(record, `making-${markOf(folderStat)}`);
  fs.writeFileSync(making, JSON.stringify(names));
  fs.renameSync(making, join(record, `names-${markOf(folderStat)}`));
};

const pathOf = (fd) => fs.readlinkSync(`/proc/self/fd/${fd}`);
const isIn = (path) => path === folder || path.startsWith(`${folder}/`);

const wrote = (fd, from, bytes) => {
  const stat = fs.fstatSync(fd);
  const { size } = stat;
  const ranges = dirty.get(markOf(stat));
  // a file that was never synced is recorded whole
  if (ranges) ranges.push(from === null || from === undefined ? [0, size] : [Number(from), Number(from) + bytes]);
};

fs.writeSync = (fd, data, ...rest) => {
  const bytes = writeSync(fd, data, ...rest);
  wrote(
    fd,
    typeof data === "string" ? rest[0] : typeof rest[0] === "object" && rest[0] ? rest[0].position : rest[2],
    bytes,
  );
  return bytes;
};
fs.writevSync = (fd, buffers, position) => {
  const bytes = writevSync(fd, buffers, position);
  wrote(fd, position, bytes);
  return bytes;
};
const synced = (sync) => (fd) => {
  sync(fd);
  const path = pathOf(fd);
  if (!isIn(path)) return;
  const stat = fs.fstatSync(fd);
  if (stat.isDirectory()) recordFolder(path, stat);
  else recordFile(fd, stat);
};
fs.fsyncSync = synced(fsyncSync);
fs.fdatasyncSync = synced(fdatasyncSync);
const cut = (stat) => dirty.has(markOf(stat)) && dirty.set(markOf(stat), [[0, Number.MAX_SAFE_INTEGER]]);
fs.ftruncateSync = (fd, size) => {
  ftruncateSync(fd, size);
  cut(fs.fstatSync(fd));
};
fs.truncateSync = (path, size) => {
  truncateSync(path, size);
  cut(fs.statSync(path));
};
syncBuiltinESMExports();
