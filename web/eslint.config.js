import hooks from "eslint-plugin-react-hooks";
import { defineConfig } from "eslint/config";
import ts from "typescript-eslint";

export default defineConfig(
  { ignores: ["dist", "target", "node_modules", "src/shared/api/schema.d.ts", "public", "build.mjs"] },
  ts.configs.strict,
  hooks.configs.flat["recommended-latest"],
  {
    files: ["src/**/*.{ts,tsx}"],
    ignores: ["src/shared/theme/**"],
    rules: {
      "no-restricted-syntax": [
        "error",
        { selector: "Literal[value=/^#[0-9a-fA-F]{3,8}$/]", message: "Colours live in shared/theme only." },
        { selector: "Literal[value=/^rgba?\\(/]", message: "Colours live in shared/theme only." },
      ],
    },
  },
);
