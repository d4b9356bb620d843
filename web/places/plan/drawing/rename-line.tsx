import { TextLine } from "../../../parts/text-line.js";

export interface RenameLineProps {
  title: string;
  onRename: (title: string) => void;
  /** The person is done, whether the title is another or not. */
  onRenamed: () => void;
  className?: string;
}

/** Where something on the plan is given its title, in its place. */
export function RenameLine({ title, onRename, onRenamed, className }: RenameLineProps) {
  return (
    <TextLine
      autoFocus
      aria-label="Title"
      value={title}
      onFocus={(event) => event.target.select()}
      onDone={onRename}
      onLeave={onRenamed}
      className={className}
    />
  );
}
