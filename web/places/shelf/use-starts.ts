import { useNavigate } from "react-router";
import type { Frame } from "../../../core/index.js";
import { createFrame, createFromFile } from "../../data/shelf.js";
import { readPasted } from "./pasted.js";
import type { Attempt, Trouble } from "./use-attempt.js";

const mostBytes = 4 * 1024 * 1024;

/** The ways in which a frame comes onto the shelf; it is opened at once. */
export interface Starts {
  start: (frame: Frame, how?: string) => void;
  takeFile: (file: File) => void;
  takeText: (text: string) => void;
}

export const useStarts = (attempt: Attempt, tell: (trouble: Trouble) => void): Starts => {
  const navigate = useNavigate();
  const open = async (made: Promise<{ id: string }>, how = "") => navigate(`/f/${(await made).id}/plan${how}`);
  const start: Starts["start"] = (frame, how) =>
    void attempt("The new frame was not made", () => open(createFrame(frame), how));
  return {
    start,
    takeFile: (file) => {
      const what = `${file.name} was not put on the shelf; nothing was changed`;
      if (file.size <= mostBytes) return void attempt(what, () => open(createFromFile(file)));
      const size = (file.size / 1024 / 1024).toFixed(1);
      tell({ what, detail: `It has ${size} MB; a frame file has 4 MB at most.`, faults: [] });
    },
    takeText: (text) => {
      const read = readPasted(text);
      if (read.is === "file")
        void attempt("What was pasted is no frame file; nothing was changed", () => open(createFromFile(text)));
      else if (read.is === "frame") start(read.frame);
      else if (read.is === "wrong") tell({ what: "The pasted list made nothing", detail: "", faults: read.faults });
    },
  };
};
