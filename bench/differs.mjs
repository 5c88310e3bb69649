/* Times public pixel differs on two pictures: node differs.mjs FOLDER, where FOLDER holds before.png, after.png and node_modules. */
import { createRequire } from "node:module";
import { readFileSync } from "node:fs";
import { execFileSync } from "node:child_process";
import { performance } from "node:perf_hooks";
import { pathToFileURL } from "node:url";

const folder = process.argv[2];
const require = createRequire(`${folder}/node_modules/x.js`);
const { PNG } = require("pngjs");
const pixelmatch = (await import(pathToFileURL(require.resolve("pixelmatch")))).default;
const read = name => PNG.sync.read(readFileSync(`${folder}/${name}.png`));
const before = read("before");
const after = read("after");
const out = new PNG({ width: before.width, height: before.height });
const median = times => times.sort((a, b) => a - b)[times.length >> 1];
const times = [];
let count = 0;
for (let i = 0; i < 40; i++) {
  const from = performance.now();
  count = pixelmatch(before.data, after.data, out.data, before.width, before.height, { threshold: 0.1 });
  times.push(performance.now() - from);
}
console.log(`pixelmatch ${median(times.slice(20)).toFixed(1)} ${count}`);
const whole = [];
for (let i = 0; i < 9; i++) {
  const from = performance.now();
  try {
    execFileSync(`${folder}/node_modules/.bin/odiff`, [`${folder}/before.png`, `${folder}/after.png`, `${folder}/odiff.png`], { stdio: "ignore" });
  } catch (differs) {
    if (typeof differs.status !== "number") { throw differs; }
  }
  whole.push(performance.now() - from);
}
console.log(`odiff ${median(whole).toFixed(1)} -`);
