import fc from "fast-check";
import { anyText } from "../../core/testing/text.js";
import { viewInAddress } from "./view-in-address.js";

const read = (text: string) => viewInAddress(new URLSearchParams(text));

test("an address names a size in px and a target; without one it is a phone on the first target", () => {
  expect(read("")).toEqual({ width: 390, height: 844 });
  expect(read("view=1100x760&on=swipe")).toEqual({ width: 1100, height: 760, target: "swipe" });
});

test("what is no size is as if it were not said, and nothing that is asked for breaks the page", () => {
  for (const wrong of ["view=9x9", "view=1100", "view=axb", "view=99999x10", "view=-5x400", "view=", "view=390x844x2"])
    expect(read(wrong)).toEqual({ width: 390, height: 844 });
  fc.assert(
    fc.property(anyText(), anyText(), (view, on) => {
      const params = new URLSearchParams();
      params.set("view", view);
      params.set("on", on);
      const { width, height } = viewInAddress(params);
      expect([width, height].every((px) => Number.isInteger(px) && px! >= 10 && px! <= 9999)).toBe(true);
    }),
  );
});
