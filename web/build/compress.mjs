// Compresses what the build made, once: the server hands out the file that a browser takes.
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { extname, join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

const DIST = new URL('../target/dist/', import.meta.url).pathname;
const TEXT = new Set(['.js', '.css', '.html', '.svg', '.json', '.webmanifest', '.txt']);
const LEAST_BYTES = 1024;

const files = readdirSync(DIST, { recursive: true })
  .map((name) => join(DIST, String(name)))
  .filter((path) => statSync(path).isFile() && TEXT.has(extname(path)));
for (const path of files) {
  const bytes = readFileSync(path);
  if (bytes.length < LEAST_BYTES) continue;
  writeFileSync(`${path}.gz`, gzipSync(bytes, { level: 9 }));
  const params = {
    [constants.BROTLI_PARAM_QUALITY]: 11,
    [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length,
  };
  writeFileSync(`${path}.br`, brotliCompressSync(bytes, { params }));
}
