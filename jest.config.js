const shared = {
  // what Jest makes of the sources, and how long each file took, stays for the next run
  cacheDirectory: "<rootDir>/.cache/jest",
  setupFilesAfterEnv: ["<rootDir>/test/expect.ts"],
  transform: {
    "^.+\\.tsx?$": [
      "@swc/jest",
      { jsc: { parser: { syntax: "typescript", tsx: true }, target: "es2023" }, module: { type: "es6" } },
    ],
  },
  extensionsToTreatAsEsm: [".ts", ".tsx"],
  moduleNameMapper: { "^(\\.{1,2}/.*)\\.js$": "$1" },
  testEnvironment: "node",
};
// laws are tried with the same examples each time; npm run laws draws others
const lawful = { ...shared, setupFiles: ["<rootDir>/test/seed.ts"] };

export default {
  testTimeout: 180_000,
  testSequencer: "<rootDir>/test/longest-first.mjs",
  projects: [
    {
      ...lawful,
      displayName: "unit",
      testMatch: ["<rootDir>/{core,shape,server,web,cli,scripts,faults,test}/**/*.test.ts"],
      testPathIgnorePatterns: ["/node_modules/", "<rootDir>/server/elsewhere/"],
    },
    // what the server does on a database, on the other kind of them
    {
      ...lawful,
      displayName: "elsewhere",
      globals: { onPostgres: true },
      testMatch: ["<rootDir>/server/{,access/,elsewhere/,files/,frames/,keeping/}*.test.ts"],
      testPathIgnorePatterns: ["/node_modules/", "<rootDir>/server/(page|svg-icon)[.]test"],
      globalSetup: "<rootDir>/server/testing/begin-postgres.mjs",
      globalTeardown: "<rootDir>/server/testing/end-postgres.mjs",
    },
    {
      ...shared,
      displayName: "e2e",
      testMatch: ["<rootDir>/e2e/**/*.test.ts"],
      globalSetup: "<rootDir>/e2e/setup.mjs",
      globalTeardown: "<rootDir>/e2e/teardown.mjs",
    },
  ],
};
