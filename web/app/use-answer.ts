import { useEffect, useState } from "react";
import type { Frame } from "../../core/index.js";
import type { Answers, Ask, Wanted } from "../workers/checking/messages.js";
import { useEditing, useOpenFrame } from "./open-frame.js";

/** What was answered, to what, and of which frame: the last answer stays until there is another one. */
export interface Answered<W extends Wanted> {
  frame: Frame;
  question: Ask<W>;
  answer: Answers[W];
}

/**
 * What the walk of the open frame answers to a question, asked again after each edit; null as long as nothing was. The
 * question is to be the same object as long as it is the same.
 */
export const useAnswer = <W extends Wanted>(question: Ask<W> | null): Answered<W> | null => {
  const { checks } = useOpenFrame();
  const frame = useEditing((edited) => edited.frame);
  const [answered, setAnswered] = useState<Answered<W> | null>(null);
  useEffect(() => {
    if (!question) return;
    let isWanted = true;
    void checks.ask(question).then((answer) => {
      if (isWanted && answer) setAnswered({ frame, question, answer });
    });
    return () => {
      isWanted = false;
    };
  }, [checks, frame, question]);
  return question ? answered : null;
};
