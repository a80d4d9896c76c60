// Installs the packages when the lock file changed since the last time, else does nothing.
import { createHash } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { execSync } from "node:child_process";

const stamp = "node_modules/.lock-sha256";
const hash = createHash("sha256").update(readFileSync("package-lock.json")).digest("hex");
if (!existsSync(stamp) || readFileSync(stamp, "utf8") !== hash) {
  execSync("npm ci --loglevel=error", { stdio: "inherit" });
  writeFileSync(stamp, hash);
}
