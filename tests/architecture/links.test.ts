import { execFileSync } from "node:child_process";
import { existsSync, readFileSync } from "node:fs";
import { dirname, join, resolve } from "node:path";
import { expect, test } from "vitest";

const root = resolve(import.meta.dirname, "../..");
const filesOf = (...patterns: string[]): string[] =>
  execFileSync("git", ["ls-files", "-co", "--exclude-standard", "--", ...patterns], { cwd: root, encoding: "utf8" })
    .split("\n")
    .filter((file) => file !== "" && existsSync(join(root, file)));

/** Links and pictures of a page of documentation to other files of the project, without what they point to inside. */
function linksIn(file: string): string[] {
  const text = readFileSync(join(root, file), "utf8");
  return [...text.matchAll(/\]\(([^)\s]+)\)/g)]
    .map(([, to = ""]) => to.replace(/#.*$/, ""))
    .filter((to) => to !== "" && !/^[a-z]+:/.test(to));
}

test("what a page of documentation points to is there", () => {
  const broken = filesOf("*.md").flatMap((file) =>
    linksIn(file)
      .filter((to) => !existsSync(join(root, dirname(file), to)))
      .map((to) => `${file} -> ${to}`),
  );
  expect(broken).toEqual([]);
});

test("every check against a source outside is linked from the folder that it checks", () => {
  const linked = new Set(
    filesOf("core/*/README.md", "calc/README.md").flatMap((file) =>
      linksIn(file).map((to) => join(dirname(file), to).replaceAll("\\", "/")),
    ),
  );
  expect(filesOf("tests/reference/*.test.ts").filter((file) => !linked.has(file))).toEqual([]);
});
