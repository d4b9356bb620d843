import js from "@eslint/js";
import tseslint from "typescript-eslint";

/** What a folder may not import: imports run one way, from the hosts to the core. */
const closed = (folder, ...patterns) => ({
  files: [`${folder}/**/*.{ts,tsx}`],
  ignores: ["**/*.test.ts"],
  rules: {
    "no-restricted-imports": [
      "error",
      { patterns: patterns.map((group) => ({ group: [group], message: `${folder} does not import from there.` })) },
    ],
  },
});

const hosts = ["**/web/**", "**/server/**", "**/cli/**"];

export default tseslint.config(
  { ignores: ["dist/", "node_modules/", "web/public/", "data/"] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    rules: {
      "@typescript-eslint/no-unused-vars": [
        "error",
        { argsIgnorePattern: "^_", varsIgnorePattern: "^_", destructuredArrayIgnorePattern: "^_" },
      ],
      "@typescript-eslint/consistent-type-imports": ["error", { fixStyle: "inline-type-imports" }],
      "@typescript-eslint/no-unused-expressions": ["error", { allowTernary: true, allowShortCircuit: true }],
      eqeqeq: "error",
      "no-console": "error",
    },
  },
  {
    files: ["**/*.{js,mjs}"],
    languageOptions: { globals: { process: "readonly", console: "readonly", URL: "readonly", globalThis: "readonly" } },
  },
  {
    files: ["**/*.cjs"],
    languageOptions: {
      sourceType: "commonjs",
      globals: {
        process: "readonly",
        require: "readonly",
        Buffer: "readonly",
        module: "writable",
        __dirname: "readonly",
        __filename: "readonly",
      },
    },
    rules: { "@typescript-eslint/no-require-imports": "off" },
  },
  { files: ["scripts/**", "bench/**", "faults/**", "server/app.ts"], rules: { "no-console": "off" } },
  { files: ["**/*.test.ts"], rules: { "@typescript-eslint/no-explicit-any": "off" } },
  {
    files: ["e2e/*.test.ts"],
    rules: {
      "no-restricted-syntax": [
        "error",
        ...[
          "CallExpression[callee.property.name='$$']",
          ":matches(CallExpression[callee.property.name='$$eval'], CallExpression[callee.property.name='evaluate']) CallExpression[callee.property.name='click']",
        ].map((selector) => ({
          selector,
          message: "What is pressed may not be there yet: click, clickAt and press wait for it.",
        })),
      ],
    },
  },
  // the core is pure: no interface, no server, nothing of the machine; which of its folders may import which is held by a test,
  // as an entry here for one of them would replace this one
  closed("core", ...hosts, "**/shape/**", "node:*", "react*", "joi"),
  closed("shape", ...hosts),
  closed("web", "**/server/**", "**/cli/**", "**/shape/**", "joi", "node:*", "express", "@electric-sql/*"),
  closed("server", "**/web/**", "**/cli/**"),
  closed("cli", "**/web/**"),
);
