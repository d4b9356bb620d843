import useSWR, { mutate } from "swr";
import { bringBack, framePath, framesPath, type HeadAnswer } from "./frame-path.js";
import { newKey } from "./key.js";
import { request } from "./request.js";

export interface ShelfRow {
  id: string;
  name: string;
  revision: number;
  changed: string;
  deleted: string | null;
  /** When it is emptied, after it was deleted; null where it is kept. */
  emptied: string | null;
}

const list = framesPath;

export const useShelf = () =>
  useSWR(list, (path: string) => request<{ frames: ShelfRow[] }>(path).then(({ frames }) => frames));

/** A frame as it was at a revision: kept by its number, as it never changes. */
export const useFrameAt = (row: ShelfRow) =>
  useSWR([framePath(row.id), row.revision], ([path]) => request<HeadAnswer>(path).then(({ frame }) => frame), {
    revalidateIfStale: false,
  });

const again = <T>(answer: Promise<T>): Promise<T> => answer.finally(() => void mutate(list));

export const createFrame = (frame: unknown): Promise<HeadAnswer> =>
  again(request(list, { method: "POST", body: { frame } }));
/** A frame file as it is, byte for byte: what is wrong in it is for the server to tell. */
export const createFromFile = (file: string | Blob): Promise<HeadAnswer> =>
  again(request(`${list}/file`, { method: "POST", whole: file }));
export const deleteFrame = (id: string): Promise<void> => again(request(framePath(id), { method: "DELETE" }));
export const takeBack = (id: string): Promise<void> => again(bringBack(id));
export const renameFrame = (row: ShelfRow, name: string): Promise<void> =>
  again(
    request(`${framePath(row.id)}/edits`, {
      method: "POST",
      match: row.revision,
      body: {
        edits: [
          {
            key: newKey(),
            label: `Rename to ${name}`,
            edit: { kind: "setFrame", key: "name", value: name },
          },
        ],
      },
    }),
  );
