import { writeOutline } from "../core/index.js";
import { blank, chooseRoot, chosen, listed, node, open } from "./listed.js";
import { eachIn, type Person, shelve, type World } from "./world.js";
import { Served } from "./served.js";

let world: World;
let me: Person;
eachIn(
  (person, its) => {
    me = person;
    world = its;
  },
  { own: new Served() },
);

test("two windows take 200 changes at once, the server killed between, and neither loses any", async () => {
  const id = await listed(world, me, "Two windows");
  const other = await world.person();
  await open(other, id);
  const start = (await me.frame(id)).nodes;
  await me.page.bringToFront();
  await me.click(node("templates"));
  await other.page.bringToFront();
  await other.click(node("photos"));
  /** Fifty copies and fifty moves among them; in turns, as frames stop in a page that is not in front. */
  const work = async (person: Person, turns: number) => {
    await person.page.bringToFront();
    for (let i = 0; i < turns; i += 1) await person.keys("Control+d", "Alt+ArrowUp");
  };
  for (let round = 0; round < 2; round += 1) {
    await work(me, 10);
    await work(other, 10);
  }
  const { port } = world.served;
  await world.served.end("SIGKILL");
  await work(me, 15);
  await other.page.waitForSelector('[data-sync="away"]');
  await work(other, 15);
  await world.served.start(port);
  await work(me, 15);
  await work(other, 15);
  for (const person of [me, other]) await person.page.waitForSelector('[data-sync="saved"]');
  const { revision } = (await (await fetch(new URL(`/api/frames/${id}`, world.served.url))).json()) as {
    revision: number;
  };
  expect(revision).toBe(2 + 200);
  const frame = await me.frame(id);
  expect(Object.keys(frame.nodes).length).toBe(Object.keys(start).length + 100);
  // both windows have the very frame that is kept
  const parts = [{ id: frame.root, parent: null }];
  for (const person of [me, other]) {
    await person.page.bringToFront();
    await chooseRoot(person);
    expect((await person.copy())["text/plain"]).toBe(writeOutline(frame, parts));
  }
  expect(other.errors).toEqual([]);
  await other.page.close();
}, 180_000);

test("parts go from one frame to another with all they say, and as text into any", async () => {
  const from = await listed(world, me, "From here");
  const to = await shelve(world, blank("To there"));
  await me.click(node("packingTab"));
  const held = await me.copy();
  expect(held["text/plain"]).toMatch("Packing *list-checks /packing\n");
  await open(me, to);
  await chooseRoot(me);
  await me.paste(held);
  await me.see(chosen("packingTab"));
  const nodes = (await me.frame(to)).nodes;
  expect(nodes.packing).toEqual((await me.frame(from)).nodes.packing);
  // cut takes it out here
  await me.click(node("templates"));
  await me.page.evaluate(() =>
    document.activeElement!.dispatchEvent(
      new ClipboardEvent("cut", { clipboardData: new DataTransfer(), bubbles: true, cancelable: true }),
    ),
  );
  await me.page.waitForSelector(node("templates"), { hidden: true });
});

test("a change is compared with what was before it and what came after, in plain words", async () => {
  await listed(world, me, "Compared");
  await me.click(node("templates"));
  await me.keys("Alt+ArrowUp");
  await me.keys("Delete");
  await me.see('[role="dialog"]');
  await me.keys("Enter");
  await me.saved();
  await me.click('[data-sync="saved"]');
  await me.read('[role="dialog"]', "Move Templates beside");
  await me.clickAt('[role="dialog"] li [aria-expanded]', 1);
  await me.read('[aria-label="This change"]', "reordered Packing");
  await me.read('[aria-label="From here until now"]', "took Templates out of Packing");
});

test("the shelf is searched, takes a list that is pasted, and starts with sign-in first", async () => {
  await me.go("/");
  await me.see('a[aria-label="Open Night Sky Log"]');
  await me.click('input[aria-label="Search the shelf"]');
  await me.type("night");
  await me.page.waitForSelector('a[aria-label="Open Allotment Diary"]', { hidden: true });
  expect(await me.count('[aria-label="Frames"] li')).toBe(1);
  await me.page.$eval("h1", (element) => element.closest("main")!.focus());
  await me.page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await me.paste("One ^popup");
  await me.read('[role="alert"]', "line 1, column 5");
  await me.paste("One\n  Two ^\n");
  await me.waitTop("one");
  await me.go("/");
  await me.press("button", "Sign-in first");
  await me.waitTop("welcome");
  await me.click('[data-device] [data-action="signIn"]');
  await me.waitTop("signIn");
});

test("of one name written in two windows at once both texts are shown, and one is chosen", async () => {
  const id = await listed(world, me, "Clashing");
  const other = await world.person();
  await open(other, id);
  await other.page.setOfflineMode(true);
  const rename = async (person: Person, title: string) => {
    await person.page.bringToFront();
    await person.click(node("templates"));
    await person.keys("Enter", "Control+a");
    await person.type(title);
    await person.keys("Enter");
  };
  await rename(other, "Theirs while away");
  await rename(me, "Mine meanwhile");
  await me.saved();
  await other.page.bringToFront();
  await other.page.setOfflineMode(false);
  const bar = '[aria-label="Written in two windows at once"]';
  await other.page.waitForSelector(bar);
  expect((await other.texts(bar))[0]).toMatch(/“Mine meanwhile”.*“Theirs while away”/);
  expect((await me.frame(id)).nodes.templates!.title).toBe("Mine meanwhile");
  await other.clickAt(`${bar} button`, -1);
  await other.page.waitForSelector(bar, { hidden: true });
  expect((await other.frame(id)).nodes.templates!.title).toBe("Theirs while away");
  await other.page.close();
});

test("a window that went from page to page many times goes on, and gone back it hears what others did", async () => {
  const id = await listed(world, me, "Many pages");
  const places = ["plan", "links", "sizes", "state"];
  for (let i = 0; i < 9; i += 1) {
    await me.go(`/f/${id}/${places[i % places.length]}`);
    await me.see('[data-sync="saved"]');
  }
  await me.page.goBack();
  await me.see('[data-sync="saved"]');
  const other = await world.person();
  await open(other, id);
  await other.page.bringToFront();
  await other.click('[data-return="frame-name"]');
  await other.keys("Control+a");
  await other.type("Named elsewhere");
  await other.keys("Enter");
  await other.saved();
  await me.page.bringToFront();
  await me.read('[data-return="frame-name"]', "Named elsewhere");
  await other.page.close();
});
