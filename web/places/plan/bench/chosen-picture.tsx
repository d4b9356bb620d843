import { type Frame, type Id, isAttached, plainName, type View } from "../../../../core/index.js";
import { usePoints } from "../../../app/use-points.js";
import { useDark } from "../../../app/theme.js";
import { Picture } from "../../../device/picture.js";
import { useSize } from "../../../parts/use-size.js";

/** How wide it is for an upright view and for a wide one, px. */
const widths = { upright: 112, wide: 176 };
/** Around it, px. */
const around = 8;
/** Lower than this it shows nothing, px. */
const least = 48;

export const pictureWidth = (view: View): number => (view.height > view.width ? widths.upright : widths.wide);

interface ChosenPictureProps {
  frame: Frame;
  view: View;
  id: Id;
}

/** The screen that is chosen as one comes to it, where the plan shows titles alone. */
export function ChosenPicture({ frame, view, id }: ChosenPictureProps) {
  const dark = useDark();
  const [measured, room] = useSize();
  const width = pictureWidth(view);
  const points = usePoints(frame, view);
  const state = isAttached(frame, id) ? points.at(id).state : null;
  const inner = width - 2 * around;
  const height = Math.min((room?.height ?? 0) - 2 * around, Math.round((inner * view.height) / view.width));
  return (
    <div ref={measured} className="min-h-0 shrink-0" style={{ width }}>
      {state && height >= least && (
        <figure
          aria-label={`${plainName(frame, id)} as one comes to it`}
          className="overflow-hidden rounded-sm border border-ink"
          style={{ margin: around - 1, height: height + 2 }}
        >
          <Picture {...{ frame, state, view, dark, height }} width={inner} />
        </figure>
      )}
    </div>
  );
}
