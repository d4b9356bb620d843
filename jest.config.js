const shared = {
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

export default {
  testTimeout: 180_000,
  projects: [
    { ...shared, displayName: "unit", testMatch: ["<rootDir>/{core,shape,server,web,cli,scripts}/**/*.test.ts"] },
    { ...shared, displayName: "e2e", testMatch: ["<rootDir>/e2e/**/*.test.ts"] },
  ],
};
