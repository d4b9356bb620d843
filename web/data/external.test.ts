import { External, together } from "./external.js";

describe("a value that is followed", () => {
  const watched = <T extends object>(value: T) => {
    const external = new External(value);
    const seen: T[] = [];
    const stop = external.subscribe(() => seen.push(external.get()));
    return { external, seen, stop };
  };
  test("tells of what is another, and of nothing else", () => {
    const { external, seen, stop } = watched({ a: 1, b: 2 });
    external.set({ a: 1 });
    external.set({ a: 3 });
    stop();
    external.set({ a: 4 });
    expect(seen).toEqual([{ a: 3, b: 2 }]);
  });
  test("tells once of what is done together, when all of it is done, however it is nested", () => {
    const [one, two] = [watched({ n: 0 }), watched({ n: 0 })];
    const both: [number, number][] = [];
    for (const { external } of [one, two])
      external.subscribe(() => both.push([one.external.get().n, two.external.get().n]));
    const answer = together(() => {
      one.external.set({ n: 1 });
      together(() => two.external.set({ n: 1 }));
      one.external.set({ n: 2 });
      expect([one.seen, two.seen]).toEqual([[], []]);
      return "done";
    });
    expect(answer).toBe("done");
    expect([one.seen, two.seen]).toEqual([[{ n: 2 }], [{ n: 1 }]]);
    // whoever looks sees all of it, never a part
    expect(both).toEqual([
      [2, 1],
      [2, 1],
    ]);
  });
  test("tells of what was done before something failed", () => {
    const { external, seen } = watched({ n: 0 });
    const fails = () =>
      together(() => {
        external.set({ n: 1 });
        throw new Error("no further");
      });
    expect(fails).toThrow("no further");
    external.set({ n: 2 });
    expect(seen).toEqual([{ n: 1 }, { n: 2 }]);
  });
});
