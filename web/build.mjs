// Builds the page, doing only what changed inputs ask for: npm ci on a changed lock file, types, tsc and vite on changed
// sources, and lays the page where the jar is made from. Called by Maven; works alone too.
import { execFileSync } from "node:child_process";
import { createHash } from "node:crypto";
import { cpSync, existsSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";

const here = new URL(".", import.meta.url).pathname;
process.chdir(here);

function files(path) {
  if (!statSync(path).isDirectory()) return [path];
  return readdirSync(path)
    .sort()
    .flatMap((name) => files(join(path, name)));
}

function hash(paths) {
  const sum = createHash("sha256");
  for (const path of paths.flatMap(files)) {
    if (path.endsWith("schema.d.ts")) continue;
    sum.update(path).update(readFileSync(path));
  }
  return sum.digest("hex");
}

function unlessDone(stamp, inputs, outcome, work) {
  const now = hash(inputs);
  const done = existsSync(outcome) && existsSync(stamp) && readFileSync(stamp, "utf8") === now;
  if (done) return;
  work();
  writeFileSync(stamp, now);
}

const npm = (...args) => execFileSync("npm", args, { stdio: "inherit" });

unlessDone(".build-stamp-modules", ["package-lock.json"], "node_modules", () =>
  npm("ci", "--no-audit", "--no-fund"),
);
unlessDone(
  ".build-stamp-page",
  ["index.html", "public", "src", "package.json", "vite.config.ts", "tsconfig.json", "../openapi.json"],
  "dist/index.html",
  () => {
    npm("run", "--silent", "types");
    npm("run", "--silent", "check");
    npm("run", "--silent", "build", "--", "--logLevel", "warn");
  },
);
unlessDone(
  ".build-stamp-sounds",
  ["src/shared/sound", "vite.sounds.config.ts", "package.json"],
  "dist-sounds/sounds.js",
  () => npm("run", "--silent", "build", "--", "--config", "vite.sounds.config.ts", "--logLevel", "warn"),
);
const inJar = "target/classes/static";
rmSync(inJar, { recursive: true, force: true });
cpSync("dist", inJar, { recursive: true });
// The readable reference of the API: the package's own page parts beside ours.
for (const part of ["swagger-ui.css", "swagger-ui-bundle.js"]) {
  cpSync(join("node_modules/swagger-ui-dist", part), join(inJar, "reference", part));
}
cpSync("node_modules/swagger-ui-dist/LICENSE", join(inJar, "reference", "swagger-ui.LICENSE"));
