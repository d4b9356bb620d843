import {
  copyFileSync,
  existsSync,
  lstatSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  type Stats,
  writeFileSync,
} from "node:fs";
import { join } from "node:path";

/** A name in a folder, and what it names. */
interface Name {
  name: string;
  mark: string;
  isFolder: boolean;
}

/** The least that a disk writes whole, bytes. */
const page = 4096;

const markOf = ({ ino, birthtimeMs }: Stats): string => `${ino}-${birthtimeMs}`;

const namesIn = (folder: string): Name[] =>
  readdirSync(folder).map((name) => {
    const stat = lstatSync(join(folder, name));
    return { name, mark: markOf(stat), isFolder: stat.isDirectory() };
  });

/** Records a folder that is all on the disk, before a server is started on it that goes on recording. */
export const recordWhole = (folder: string, record: string): void => {
  mkdirSync(record, { recursive: true });
  const names = namesIn(folder);
  writeFileSync(join(record, `names-${markOf(lstatSync(folder))}`), JSON.stringify(names));
  for (const { name, mark, isFolder } of names)
    if (isFolder) recordWhole(join(folder, name), record);
    else copyFileSync(join(folder, name), join(record, `content-${mark}`));
};

/** Where every file and folder lies by now, by what it is. */
const placesIn = (folder: string, places = new Map<string, string>()): Map<string, string> => {
  places.set(markOf(lstatSync(folder)), folder);
  for (const { name, mark, isFolder } of namesIn(folder))
    if (isFolder) placesIn(join(folder, name), places);
    else places.set(mark, join(folder, name));
  return places;
};

/** What a file may hold after the cut: what was synced, and of what was written since each page or not. */
const contentAfter = (synced: Buffer | null, written: Buffer | null, luck: () => boolean): Buffer => {
  if (!written) return synced ?? Buffer.alloc(0);
  const old = synced ?? Buffer.alloc(0);
  const size = old.length === written.length || !luck() ? old.length : written.length;
  const after = Buffer.alloc(size);
  for (let at = 0; at < size; at += page) {
    const from = luck() ? written : old;
    if (at < from.length) from.copy(after, at, at, Math.min(at + page, size));
  }
  return after;
};

/**
 * Makes what a power cut leaves of a folder: all that was synced, and of what was not as much as `luck` lets through. The
 * names of a folder that were changed since it was synced are there together or not at all, as a journal keeps them.
 */
export const afterCut = (folder: string, record: string, into: string, luck: () => boolean): void => {
  const places = placesIn(folder);
  const recorded = (path: string): Buffer | null => (existsSync(path) ? readFileSync(path) : null);
  const make = (mark: string, target: string): void => {
    mkdirSync(target, { mode: 0o700 });
    const now = places.get(mark);
    const synced = recorded(join(record, `names-${mark}`));
    const names = now && (!synced || luck()) ? namesIn(now) : (JSON.parse(String(synced ?? "[]")) as Name[]);
    for (const { name, mark: of, isFolder } of names) {
      if (isFolder) {
        make(of, join(target, name));
        continue;
      }
      const place = places.get(of);
      const content = contentAfter(recorded(join(record, `content-${of}`)), place ? readFileSync(place) : null, luck);
      writeFileSync(join(target, name), content);
    }
  };
  make(markOf(lstatSync(folder)), into);
};
