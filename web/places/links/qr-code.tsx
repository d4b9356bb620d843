import { create } from "qrcode";
import { useMemo } from "react";
import { PanelDialog } from "../../parts/panel-dialog.js";

interface Drawn {
  size: number;
  path: string;
}

/** The dark squares of a code (ISO/IEC 18004) as one path; null when the text is too long for any. */
const drawn = (text: string): Drawn | null => {
  try {
    const { size, data } = create(text, { errorCorrectionLevel: "M" }).modules;
    const path = Array.from(data, (dark, i) => (dark ? `M${i % size} ${Math.floor(i / size)}h1v1h-1z` : "")).join("");
    return { size, path };
  } catch {
    return null;
  }
};

/** A link as a code that a phone's camera reads. */
export default function QrCode({ text, onClose }: { text: string; onClose: () => void }) {
  const code = useMemo(() => drawn(text), [text]);
  return (
    <PanelDialog title="The link as a code" says="point a phone at it" open onClose={onClose}>
      {code ? (
        <div className="flex items-start gap-5">
          <svg
            role="img"
            aria-label={`QR code of ${text}`}
            viewBox={`-4 -4 ${code.size + 8} ${code.size + 8}`}
            width={300}
            height={300}
            shapeRendering="crispEdges"
            className="shrink-0 border border-ink"
          >
            <rect x={-4} y={-4} width={code.size + 8} height={code.size + 8} fill="#FFFFFF" />
            <path d={code.path} fill="#000000" />
          </svg>
          <p className="mono min-w-0 text-[13px] [overflow-wrap:anywhere]">{text}</p>
        </div>
      ) : (
        <p>
          <b>The link is too long for a code:</b> {text.length.toLocaleString("en")} signs; a code holds about 2,300.
        </p>
      )}
    </PanelDialog>
  );
}
