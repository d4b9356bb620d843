import useSWR from "swr";
import { request } from "./request.js";
import { framePath } from "./frame-path.js";

export interface RevisionRow {
  number: number;
  label: string;
  made: string;
}

/** The newest `most` revisions of a frame, the newest first; asked anew whenever the revision is another. */
export const useRevisions = (id: string, revision: number, most: number) =>
  useSWR(
    [`${framePath(id)}/revisions?most=${most}`, revision],
    ([path]) => request<{ revisions: RevisionRow[] }>(path).then(({ revisions }) => revisions),
    { keepPreviousData: true },
  );
