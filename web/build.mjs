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

// npm counts the machine's own binaries as optional and leaves out, without a word or a failure, any that it could not
// fetch; the build would then break far from the cause.
function missingBinaries() {
  const glibc = process.report.getReport().header.glibcVersionRuntime !== undefined;
  const fits = ({ os, cpu, libc }) =>
    cpu?.includes(process.arch) &&
    (os ?? [process.platform]).includes(process.platform) &&
    (process.platform !== "linux" || !libc || libc.includes(glibc ? "glibc" : "musl"));
  return Object.entries(JSON.parse(readFileSync("package-lock.json", "utf8")).packages)
    .filter(([path, entry]) => entry.optional && fits(entry) && !existsSync(join(path, "package.json")))
    .map(([path]) => path);
}

function install(tries) {
  npm("ci", "--no-audit", "--no-fund", "--fetch-retries=5");
  const missing = missingBinaries();
  if (missing.length === 0) return;
  console.error(`npm could not fetch ${missing.join(", ")}${tries > 1 ? "; once more" : ""}`);
  if (tries <= 1) throw new Error("binaries of this machine are missing: is the npm registry reached?");
  install(tries - 1);
}

unlessDone(".build-stamp-modules", ["package-lock.json"], "node_modules", () => install(4));
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
