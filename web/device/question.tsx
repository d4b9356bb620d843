import { askerOf, type FixedFrame, questionIn, screenAt, type State, type View } from "../../core/index.js";

export interface QuestionProps {
  frame: FixedFrame;
  state: State;
  view: View;
  corner: number;
  onAnswer: (leave: boolean) => void;
}

const button = "min-h-11 grow basis-0 px-3 text-[calc(16px*var(--text,1))] font-semibold";

/** What a screen asks before it is left, as a dialog of the app over all it shows. */
export function Question({ frame, state, view, corner, onAnswer }: QuestionProps) {
  const asker = askerOf(state);
  const ask = asker && screenAt(frame, asker.node).leave?.ask;
  if (!asker || !ask) return null;
  const { room, width } = questionIn(view);
  return (
    <div className="absolute inset-0" style={{ background: "rgb(8 14 18 / .42)", zIndex: 3 }}>
      <div
        className="absolute grid place-items-center"
        style={{ left: room.x, top: room.y, width: room.width, height: room.height }}
      >
        <div
          role="alertdialog"
          aria-label={ask}
          data-question={asker.node}
          tabIndex={-1}
          className="flex flex-col gap-4 p-5 outline-none"
          style={{
            width,
            borderRadius: corner + 4,
            background: "var(--surface)",
            color: "var(--ink)",
            boxShadow: "0 4px 34px rgb(0 0 0 / .3)",
          }}
        >
          <p className="text-[calc(17px*var(--text,1))] leading-snug font-semibold">{ask}</p>
          <div className="flex gap-3">
            <button
              type="button"
              data-answer="stay"
              className={button}
              style={{ background: "var(--accent)", color: "var(--page)", borderRadius: corner }}
              onClick={() => onAnswer(false)}
            >
              Stay
            </button>
            <button
              type="button"
              data-answer="leave"
              className={button}
              style={{ border: "1.5px solid var(--accent)", color: "var(--accent)", borderRadius: corner }}
              onClick={() => onAnswer(true)}
            >
              Leave
            </button>
          </div>
        </div>
      </div>
    </div>
  );
}
