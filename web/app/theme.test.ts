import { readFileSync } from "node:fs";
import { join } from "node:path";

const styles = readFileSync(join(import.meta.dirname, "..", "styles.css"), "utf8");

describe("the dark theme", () => {
  const blocks = [...styles.matchAll(/\[data-theme="dark"\]([^{]*)\{([^}]*)\}/g)];
  const declared = (blocks[0]?.[2] ?? "")
    .split(";")
    .map((each) => each.trim())
    .filter((each) => each !== "");

  test("is one block that sets colours and shadows alone", () => {
    expect([styles.split("data-theme").length - 1, blocks.length, blocks[0]?.[1]]).toEqual([1, 1, " "]);
    expect(declared.length).toBeGreaterThan(10);
    const others = declared.filter(
      (each) => !/^--[\w-]+: #[\da-f]{6}$/.test(each) && !/^--lift: 0 /.test(each) && each !== "color-scheme: dark",
    );
    expect(others).toEqual([]);
  });

  test("says again what the light one says, each under the same name", () => {
    const light = /:root \{([^}]*)\}/.exec(styles)?.[1] ?? "";
    const names = (text: string) => [...text.matchAll(/^\s*(--[\w-]+):/gm)].map(([, name]) => name);
    expect(names(blocks[0]?.[2] ?? "")).toEqual(names(light));
  });
});
