import { builtInMotions } from "../frame/built-in-motions.js";
import type { Motion } from "../frame/parts.js";
import { motionsAsCss } from "./motion-css.js";

const named = (id: string) => ({ id, motion: builtInMotions[id] as Motion });

describe("motions as CSS", () => {
  test("has keyframes, a class for each layer on each way, and values that are set once", () => {
    const css = motionsAsCss([named("dissolve")], named("blink"));
    expect(css).toContain("--dissolve-time: 210ms;");
    expect(css.match(/--dissolve-ease:/g)).toHaveLength(1);
    for (const name of ["forward-incoming", "forward-outgoing", "back-incoming", "back-outgoing"]) {
      expect(css).toContain(`.dissolve-${name} {`);
      expect(css).toContain(`@keyframes dissolve-${name}-opacity {`);
    }
  });
  test("writes a spring as linear() with points along it, and mirrors x from right to left", () => {
    const css = motionsAsCss([named("fromStart")], named("blink"));
    expect(css).toMatch(/--from-start-ease: linear\(0, 0\.\d+, .*, 1\);/);
    expect(css).toContain("from { translate: calc(-100% * var(--motion-side, 1)) 0%; }");
    expect(css).toContain("--motion-side: -1;");
  });
  test("gives who asks for reduced motion the calm one in place of all", () => {
    const css = motionsAsCss([named("slip"), named("blink")], named("blink"));
    const block = css.slice(css.indexOf("@media (prefers-reduced-motion: reduce)"));
    expect(block).toContain(
      ".slip-forward-incoming { animation: blink-forward-incoming-opacity 70ms linear 0ms both; }",
    );
    expect(block).toContain(".slip-forward-outgoing { animation: none; }");
    expect(css.match(/@keyframes blink-forward-incoming-opacity /g)).toHaveLength(1);
  });
  test("a name can end no comment", () => {
    const motion: Motion = { ...(builtInMotions.blink as Motion), name: "a */ b" };
    expect(motionsAsCss([{ id: "a", motion }], named("blink"))).toContain("/* a * / b */");
  });
});
