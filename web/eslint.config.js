import hooks from "eslint-plugin-react-hooks";
import { defineConfig } from "eslint/config";
import ts from "typescript-eslint";

export default defineConfig(
  {
    ignores: [
      "dist",
      "dist-sounds",
      "target",
      "node_modules",
      "src/shared/api/schema.d.ts",
      "public",
      "build.mjs",
    ],
  },
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
        {
          selector:
            "BinaryExpression[operator=/^[!=]==$/] > Literal[value=/^(STRIP|PRINT|MONOCHROME|COLOUR|grade .*)$/]",
          message:
            "What a kind of sheet or paper decides comes from the server; no word of it is compared here.",
        },
      ],
    },
  },
  {
    files: ["src/features/**/*.{ts,tsx}"],
    rules: {
      "no-restricted-imports": [
        "error",
        {
          patterns: [
            {
              regex: "^\\.\\./(?!\\.\\.)",
              message: "A station knows no other: what two need lies in shared.",
            },
          ],
        },
      ],
    },
  },
  {
    files: ["src/shared/**/*.{ts,tsx}"],
    rules: {
      "no-restricted-imports": [
        "error",
        { patterns: [{ regex: "/(app|features)/", message: "Shared is below the frame and its stations." }] },
      ],
    },
  },
);
