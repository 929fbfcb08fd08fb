import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync, constants } from "node:zlib";

const texts = /\.(js|css|svg|html|json|webmanifest|txt)$/;

/** Every text of the built files a second time, compressed as well as Brotli can: done once here, and never while somebody waits. */
export function compressFiles(folder: string): void {
  for (const entry of readdirSync(folder, { withFileTypes: true, recursive: true })) {
    if (!entry.isFile() || !texts.test(entry.name)) continue;
    const file = join(entry.parentPath, entry.name);
    const content = readFileSync(file);
    writeFileSync(
      `${file}.br`,
      brotliCompressSync(content, { params: { [constants.BROTLI_PARAM_SIZE_HINT]: content.length } }),
    );
  }
}
