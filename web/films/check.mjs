/*
 * Finds the points in all of the demo's films and holds what is read against the truth: `node films/check.mjs
 * http://localhost:8080`, with the demo running there. Writes docs/measuring-found.md.
 */
import { readFileSync, writeFileSync } from "node:fs";
import { chromium } from "playwright-core";
import { createServer } from "vite";

const FILMS = new URL("../../server/src/main/resources/demo-films/", import.meta.url);
const OUT = new URL("../../docs/measuring-found.md", import.meta.url);

const server = process.argv[2] ?? "http://localhost:8080";
const vite = await createServer({ root: new URL("..", import.meta.url).pathname, logLevel: "error" });
await vite.listen(0);
const browser = await chromium.launch({
  executablePath: "/usr/bin/chromium",
  args: ["--no-sandbox", "--use-angle=swiftshader", "--enable-unsafe-swiftshader"],
});
const coach = await browser.newPage();
await coach.goto(`${server}/sign-in`);
await coach.getByLabel("E-mail").fill("coach@demo.example");
await coach.getByLabel("Password").fill("demo-coach");
await coach.keyboard.press("Enter");
await coach.waitForURL("**/day");
const finder = await browser.newPage();
await finder.goto(`${vite.resolvedUrls.local[0]}films/index.html`);

const rows = [];
for (const film of JSON.parse(readFileSync(new URL("films.json", FILMS), "utf8"))) {
  const data = readFileSync(new URL(`${film.name}.mp4`, FILMS)).toString("base64");
  const found = await finder.evaluate(find, { data, name: film.name });
  const request = {
    handedness: film.hand,
    view: found.view,
    height: film.height,
    points: found.points,
    frames: found.frames,
    times: found.times,
    found: true,
  };
  const read = await coach.evaluate(post, request);
  const off = (id) => {
    const moment = read.moments.find((m) => m.id === id);
    return moment ? `${Math.round(1000 * (moment.time - film.moments[id]))}` : "open";
  };
  const readings = Object.entries(film.readings).map(([key, truth]) => {
    const [measure, at] = key.split("@");
    const value = read.readings.find((r) => r.measure === measure && r.at === at);
    return `${key} ${value ? `${value.value.toFixed(1)} ± ${(2 * value.uncertainty).toFixed(1)}` : "left out"} (${truth})`;
  });
  rows.push(
    `| ${film.name} | ${found.view} | ${found.times.length} | ${found.seconds.toFixed(0)} | ${["address", "arm-back", "top", "arm-down", "impact"].map(off).join(", ")} | ${readings.join("; ")} | ${read.warnings.map((w) => w.code).join(", ")} |`,
  );
  console.log(rows.at(-1));
}
writeFileSync(
  OUT,
  `# Points found in the demo's films, against the truth

Written by \`node films/check.mjs\` in \`web/\`. The films show the simulated golfer, never a person: how well people are
found was not measured. The view is told from the points, the scale from the height. Moments in ms off (address, arm back,
top, arm down, impact); readings in cm and degrees with twice their uncertainty, the truth in brackets.

| film | seen | pictures | seconds | moments off | readings | said |
|---|---|---|---|---|---|---|
${rows.join("\n")}
`,
);
await browser.close();
await vite.close();

async function find({ data, name }) {
  const { findSwing } = await import("/src/features/clip/finding.ts");
  const { POINTS } = await import("/src/features/clip/points.ts");
  const { framesToSend, viewOf } = await import("/src/features/clip/seen.ts");
  const film = await (await fetch(`data:video/mp4;base64,${data}`)).blob();
  const begun = performance.now();
  const nothing = () => {};
  const found = await findSwing(
    new File([film], name),
    1,
    undefined,
    nothing,
    nothing,
    new AbortController().signal,
  );
  return {
    view: viewOf(found.frames),
    points: [...POINTS],
    frames: framesToSend(found.frames),
    times: found.times,
    seconds: (performance.now() - begun) / 1000,
  };
}

function post(request) {
  const token = decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]);
  return fetch("/api/tracks/read", {
    method: "POST",
    headers: { "Content-Type": "application/json", "X-XSRF-TOKEN": token },
    body: JSON.stringify(request),
  }).then((r) => r.json());
}
