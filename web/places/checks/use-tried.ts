import { useMemo } from "react";
import { type Frame, type MendVerdict, type ToldFinding, verdictOn } from "../../../core/index.js";
import { useAnswer } from "../../app/use-answer.js";
import { useChecks } from "../../app/open-frame.js";

/** What each mend of a finding comes to, in their order, once it was tried on the frame as it is; undefined until then, null where it cannot be made. */
export const useTried = (frame: Frame, finding: ToldFinding): (MendVerdict | null | undefined)[] => {
  const told = useChecks((all) => all.told);
  const edits = finding.quiet === null ? finding.mends.map(({ edit }) => edit) : [];
  // findings are told anew after each edit: the same mends are not tried again
  const text = JSON.stringify(edits);
  const question = useMemo(() => (text === "[]" ? null : { want: "mends" as const, edits: JSON.parse(text) }), [text]);
  const answered = useAnswer(question);
  const isFresh = answered !== null && answered.frame === frame && answered.question === question;
  return finding.mends.map((_, i) => {
    const tried = isFresh ? answered.answer[i] : undefined;
    return tried && verdictOn(finding, told, tried);
  });
};
