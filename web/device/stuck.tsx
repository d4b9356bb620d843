/** What the device shows when nothing of the app may be shown. */
export function Stuck() {
  return (
    <div className="flex size-full flex-col items-center justify-center gap-3 bg-plate-0 p-6 text-center">
      <p className="text-[15px] font-semibold">Nothing may be shown now.</p>
      <p className="text-ink-2">
        Every way this app starts needs something that is not so. Give what it needs a screen to open instead, or set
        the facts above.
      </p>
    </div>
  );
}
