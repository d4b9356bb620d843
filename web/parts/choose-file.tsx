import { useRef } from "react";
import { Button } from "./button.js";

export interface ChooseFileProps {
  /** What the file holds. */
  label: string;
  /** The kinds of files, as an input has them. */
  accept: string;
  onFile: (file: File) => void;
  /** What the button says. */
  says?: string;
}

/** A button that asks for a file. */
export function ChooseFile({ label, accept, onFile, says = "Choose a file" }: ChooseFileProps) {
  const file = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={file}
        type="file"
        accept={accept}
        className="hidden"
        aria-label={label}
        onChange={(event) => {
          const given = event.target.files?.[0];
          if (given) onFile(given);
          // the same file may be chosen again once it was changed
          event.target.value = "";
        }}
      />
      <Button icon="file-arrow-up" onClick={() => file.current?.click()}>
        {says}
      </Button>
    </>
  );
}
