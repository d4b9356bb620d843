import { type Frame } from "../core/index.js";
import { type Person, shelve, type World } from "./world.js";

// a structure of some twenty screens made from a list, to edit in

export const list = `Main =
  Trips *suitcase /trips
    Trip {trip} /trips/:trip
      Day {day} /trips/:trip/days/:day
        Note ^
      Share ^dialog
    New trip > ^fullscreen
      Where
      When
  Map *map-trifold /map
    Place {place} /places/:place
      Photos
  Packing *list-checks /packing
    Bag {bag} /packing/:bag
      Thing ^
    Templates
  Me *user /me
    Settings
      Language
      Units
    Friends
      Friend {friend} /friends/:friend
`;
export const blank = (name: string): Frame => ({
  format: "handy-frame/2",
  name,
  root: "app",
  nodes: { app: { kind: "stack", title: "App", children: ["home"] }, home: { kind: "screen", title: "Home" } },
});
export const node = (id: string, parent?: string) =>
  `[data-node="${id}"]${parent === undefined ? "" : `[data-parent="${parent}"]`}`;
export const chosen = (id: string) => `${node(id)}[aria-selected="true"]`;
export const screensOf = (frame: Frame) => Object.values(frame.nodes).filter(({ kind }) => kind === "screen").length;
export const open = async (person: Person, id: string) => {
  await person.go(`/f/${id}/plan`);
  await person.see("[data-device] [data-screen]");
};
/** Chooses the root: with nothing chosen an arrow goes there. */
export const chooseRoot = async (person: Person) => {
  await person.click('[role="treeitem"]');
  await person.keys("Escape", "ArrowDown");
  await person.see(chosen("app"));
};
/** Makes the list in a blank frame of its own; answers its id. */
export const listed = async (world: World, person: Person, name: string): Promise<string> => {
  const id = await shelve(world, blank(name));
  await open(person, id);
  await chooseRoot(person);
  await person.paste(list);
  await person.read('[role="status"]', "makes");
  await person.keys("Control+Enter");
  await person.see(chosen("main"));
  await person.saved();
  return id;
};
