import { Button } from "../parts/button.js";

export interface OutsideProps {
  onReturn: () => void;
  onRelaunch: () => void;
}

/** What the person sees when Back has left the app. */
export function Outside({ onReturn, onRelaunch }: OutsideProps) {
  return (
    <div className="flex size-full flex-col items-center justify-center gap-3 bg-plate-0 p-6 text-center">
      <p className="text-[15px] font-semibold">The app was left.</p>
      <p className="text-ink-2">Its screens are kept as they were, until the system ends it.</p>
      <Button tone="strong" onClick={onReturn}>
        Come back to it
      </Button>
      <Button onClick={onRelaunch}>Launch it anew</Button>
    </div>
  );
}
