import { readdirSync, readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import request from "supertest";
import { memoryApp } from "./testing/server.js";
import { iconFromSvg } from "./svg-icon.js";

const drawing = (inner: string, head = 'viewBox="0 0 24 24"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inner}</svg>`;
const box = '<path d="M0 0h4v4z"/>';

describe("an icon made of a drawing", () => {
  test("keeps its shapes in a square that begins at 0 0, each as a path, moves and turns worked in", () => {
    expect(iconFromSvg(drawing('<path d="M1-9h4v4z"/>', 'viewBox="0 -10 10 10" width="24"'))).toEqual({
      ok: true,
      icon: { box: 10, paths: ["M1 1h4v4z"] },
    });
    const turned =
      '<g transform="translate(2 2)" fill="#c00" fill-rule="evenodd"><path d="M0 0h9v9H0zM2 2h4v4H2z"/></g>';
    expect(iconFromSvg(drawing(`<path d="M0 0h24v24H0z" fill="none"/>${turned}`))).toEqual({
      ok: true,
      icon: { box: 24, paths: ["M2 2h9v9H2zm2 2h4v4H4z"], rule: "evenodd" },
    });
    expect(iconFromSvg(drawing(box, 'width="30px" height="30px"'))).toMatchObject({ ok: true, icon: { box: 30 } });
  });
  test("keeps lines as lines, round corners as arcs, and looks out of a style sheet", () => {
    const lines = 'viewBox="0 0 24 24" fill="none" stroke="currentColor" stroke-width="2" stroke-linecap="round"';
    expect(
      iconFromSvg(
        drawing('<line x1="12" y1="8" x2="12" y2="12"/><rect x="1" y="1" width="6" height="4" rx="1"/>', lines),
      ),
    ).toEqual({
      ok: true,
      icon: {
        box: 24,
        paths: ["M12 8v4", "M2 1h4a1 1 0 0 1 1 1v2a1 1 0 0 1-1 1H2a1 1 0 0 1-1-1V2a1 1 0 0 1 1-1z"],
        line: 2,
        ends: "round",
      },
    });
    const styled = '<style>.a{fill:#123456}</style><path class="a" d="M0 0h4v4z"/><path class="a" d="M0 9h4v4z"/>';
    expect(iconFromSvg(drawing(styled))).toMatchObject({ ok: true, icon: { paths: ["M0 0h4v4z", "M0 9h4v4z"] } });
  });
  test.each([
    ["no size", drawing(box, ""), "It does not say how large it is: give it a viewBox, such as 0 0 24 24."],
    ["no square", drawing(box, 'viewBox="0 0 24 30"'), "It is 24 by 30: an icon is square. Give it a square viewBox."],
    [
      "two colours",
      drawing(`${box}<path fill="red" d="M0 9h4v4z"/>`),
      "It has 2 colours, black, red: an icon has one.",
    ],
    [
      "text",
      drawing('<text x="1" y="9">A</text>'),
      "It holds text: turn it into shapes where it was drawn, and try again.",
    ],
    ["a program", drawing(`<script>run()</script>${box}`), "It holds <script>: an icon is made of shapes alone."],
    [
      "a picture",
      drawing('<image href="x.png" width="9" height="9"/>'),
      "It holds a picture of points: an icon is made of shapes.",
    ],
    [
      "a gradient",
      drawing('<linearGradient id="a"><stop stop-color="red"/></linearGradient><path d="M0 0h4v4z" fill="url(#a)"/>'),
      "It is painted with a gradient: an icon has one colour.",
    ],
    [
      "a clip",
      drawing('<clipPath id="c"><path d="M0 0h2v2z"/></clipPath><path d="M0 0h4v4z" clip-path="url(#c)"/>'),
      "A clip cuts its shapes: cut them where it was drawn, and try again.",
    ],
    [
      "two strengths",
      drawing(`<path d="M0 9h4v4z" opacity=".2"/>${box}`),
      "A shape of it is half seen through: an icon has one colour, as strong everywhere.",
    ],
    [
      "lines and shapes",
      drawing(`${box}<path d="M0 9h4" stroke="#000" fill="none"/>`),
      "Some of it is filled and some drawn as lines: turn the lines into shapes where it was drawn.",
    ],
    [
      "two widths",
      drawing('<g fill="none" stroke="#000"><path d="M0 9h4"/><path d="M0 3h4" stroke-width="2"/></g>'),
      "Its lines have 2 widths, 1, 2: an icon has lines of one.",
    ],
    ["nothing", drawing(""), "There is no shape in it that can be seen."],
    ["another file", "<html><p>no</p></html>", "It is no SVG drawing."],
    ["a broken file", drawing(box).slice(0, 60), "It cannot be read as SVG: line 1, column 60: Unclosed root tag."],
  ])("is refused with the reason: %s", (_, svg, why) => {
    expect(iconFromSvg(svg)).toEqual({ ok: false, why });
  });
  test("all icons that come with the tool can be taken: one in ten is, in both weights", () => {
    const assets = join(
      dirname(createRequire(import.meta.url).resolve("@phosphor-icons/core/assets/regular/plant.svg")),
      "..",
    );
    for (const weight of ["regular", "fill"])
      for (const file of readdirSync(join(assets, weight)).filter((_, i) => i % 10 === 0))
        expect([file, iconFromSvg(readFileSync(join(assets, weight, file), "utf8")).ok]).toEqual([file, true]);
  });
  test("entities that grow without end make no work", () => {
    const grows = Array.from({ length: 12 }, (_, i) => `<!ENTITY e${i + 1} "${`&e${i};`.repeat(10)}">`).join("");
    const svg = `<!DOCTYPE svg [<!ENTITY e0 "aaaaaaaaaa">${grows}]>${drawing(`<title>&e12;</title>${box}`)}`;
    expect(iconFromSvg(svg)).toMatchObject({ ok: false });
  });
  test("is asked of the server, which says why there can be none", async () => {
    const { app, database } = await memoryApp();
    const ask = (svg: string) => request(app).post("/api/icons").send({ svg });
    expect((await ask(drawing(box)).expect(200)).body).toEqual({ box: 24, paths: ["M0 0h4v4z"] });
    expect((await ask(drawing("")).expect(422)).body).toMatchObject({
      title: "That cannot be an icon",
      detail: "There is no shape in it that can be seen.",
    });
    await request(app).post("/api/icons").send({}).expect(400);
    await database.close();
  }, 60_000);
});
