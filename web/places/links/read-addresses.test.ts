import { readAddresses } from "./read-addresses.js";

const given = (text: string) => {
  const read = readAddresses(text);
  if (!read.ok) throw new Error(read.why);
  return [read.kind, read.given.map(({ address, title, line }) => [line, address, ...(title ? [title] : [])])];
};

test("a list has an address to a line, and what stands behind it is its title", () => {
  expect(given("/plots\n\n  - /plots/3   Plot three \n2. https://a.example/x\r\n")).toEqual([
    "a list",
    [
      [1, "/plots"],
      [3, "/plots/3", "Plot three"],
      [4, "https://a.example/x"],
    ],
  ]);
  expect(given("  \n ")).toEqual(["", []]);
});

describe("a table", () => {
  test("has its columns named in the first row, in any order, with quotes, commas and lines in its cells", () => {
    expect(given('\uFEFFtitle,Path\n"Plots, all of\nthem",/plots\n"He said ""3""",/plots/3\n')).toEqual([
      "a table",
      [
        [2, "/plots", "Plots, all of\nthem"],
        [3, "/plots/3", 'He said "3"'],
      ],
    ]);
  });
  test("without names is read by the column that holds addresses; semicolons and tabs part cells too", () => {
    expect(given("7;/plots;x\n8;/plots/3;y")).toEqual([
      "a table",
      [
        [1, "/plots"],
        [2, "/plots/3"],
      ],
    ]);
    expect(given("url\tname\n/plots\tPlots")[1]).toEqual([[2, "/plots", "Plots"]]);
    expect(given("loc\n/plots")[1]).toEqual([[2, "/plots"]]);
  });
  test("that is broken says where", () => {
    expect(readAddresses('path,title\n/a,"open\n/b,c')).toMatchObject({
      ok: false,
      why: expect.stringContaining("quote"),
    });
  });
});
