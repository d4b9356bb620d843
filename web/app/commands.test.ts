import { isPressed, runByKey } from "./commands.js";

const press = (key: string, ...held: ("ctrlKey" | "metaKey" | "shiftKey" | "altKey")[]) => ({
  key,
  ctrlKey: false,
  metaKey: false,
  shiftKey: false,
  altKey: false,
  ...Object.fromEntries(held.map((name) => [name, true])),
});

test("a key is known with what is held with it, and a sign however the keyboard makes it", () => {
  expect(isPressed("Shift N", press("N", "shiftKey"))).toBe(true);
  expect(isPressed("N", press("N", "shiftKey"))).toBe(false);
  expect(isPressed("Ctrl D", press("d", "metaKey"))).toBe(true);
  expect(isPressed("+", press("+", "shiftKey"))).toBe(true);
  expect(isPressed("Alt ArrowUp", press("ArrowUp"))).toBe(false);
});
test("the first command with the key is done, and what has none is left to the page", () => {
  const done: string[] = [];
  const commands = ["one", "two"].map((id) => ({ id, label: id, keys: ["X"], run: () => void done.push(id) }));
  expect(runByKey(commands, press("x"))).toBe(true);
  expect(runByKey(commands, press("y"))).toBe(false);
  expect(done).toEqual(["one"]);
});
