import { useMemo } from "react";
import { isSetHere, plainName, settings, valueOf, valueSays } from "../../../../core/index.js";
import { type Command, useCommands } from "../../../app/commands.js";
import type { BenchGroup } from "../bench/bench-groups.js";
import { type About, groupWithMark } from "../bench/group-table.js";
import { goToGroup } from "./go-to-group.js";

/** Each group and each property on the bench can be found by its name: it comes into sight and takes the focus. */
export const useBenchCommands = (about: About, groups: readonly BenchGroup[]): void => {
  const commands = useMemo<Command[]>(() => {
    const { frame, id, node } = about;
    const name = plainName(frame, id);
    const ofGroups = groups.map((group) => ({
      id: `group ${group.id}`,
      label: `${group.name ?? group.label} of ${name}`,
      says: group.value,
      run: () => goToGroup(group.id),
    }));
    const ofSettings = settings
      .filter(({ kinds }) => kinds.includes(node.kind))
      .map((setting) => ({
        id: `setting ${setting.key}`,
        label: `${setting.label} of ${name}`,
        says: `${valueSays(frame, setting, valueOf(frame, id, setting))}, ${isSetHere(node, setting.key) ? "set here" : "by default"}`,
        run: () => {
          const group = groupWithMark(about, setting.key);
          if (group) goToGroup(group, `[data-set-mark="${setting.key}"]`);
        },
      }));
    return [...ofSettings, ...ofGroups];
  }, [about, groups]);
  useCommands("bench", commands);
};
