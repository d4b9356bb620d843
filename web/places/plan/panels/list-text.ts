import type { OpenFrame } from "../../../data/open-frame.js";
import { External } from "../../../data/external.js";
import { keepStored, readStored, readText } from "../../../data/storage.js";

const keyOf = (frame: string): string => `handy-frame:list:${frame}`;

/** A list that is being written; `before` is one that another was pasted in place of. */
export interface ListText {
  text: string;
  before: string | null;
}

const texts = new Map<string, External<ListText>>();

/** The list that is being written for a frame: kept while it is not made, over a reload too. */
export const listText = (frame: string): External<ListText> => {
  let text = texts.get(frame);
  if (!text) {
    text = new External({ text: readStored("session", keyOf(frame), readText) ?? "", before: null });
    texts.set(frame, text);
  }
  return text;
};

export const keepListText = (frame: string, text: string): void => {
  listText(frame).set({ text });
  keepStored("session", keyOf(frame), text || null);
};

/** Begins a list: empty, whatever was being written before; that can be taken up again. */
export const beginList = ({ editing, selection }: Pick<OpenFrame, "editing" | "selection">): void => {
  replaceListText(editing.get().id, "");
  selection.showPanel("list");
};

/** Another list in place of the one being written, which can be brought back. */
export const replaceListText = (frame: string, text: string): void => {
  const { text: written } = listText(frame).get();
  if (written.trim() !== "" && written !== text) listText(frame).set({ before: written });
  keepListText(frame, text);
};
