import Sequencer from "@jest/test-sequencer";

/** ms for each kB of a test file, by its project: what is taken for how long it runs where it never ran. */
const usual = { e2e: 1500, elsewhere: 600, unit: 300 };

/** The longest file first, so that the workers end together: by how long each took last, else by what is usual for its size. */
export default class LongestFirst extends (Sequencer.default ?? Sequencer) {
  time(test) {
    const { hasteFS, config } = test.context;
    return super.time(test) ?? ((hasteFS.getSize(test.path) ?? 0) / 1024) * usual[config.displayName.name];
  }
}
