/*
 * Films golfers of many builds, clothes, faults, lights, cameras and rates, small, and finds the points in each:
 * `node films/learn.mjs http://localhost:8080 [films]`, with the demo running there. What was found is written, with what
 * was put in, to the core's test resources: from it the errors of found points are learnt, and what is said of readings is
 * held against the truth on films that were left out (docs/measuring-learnt.md). Takes a minute or two a film, and goes on
 * where it was stopped.
 */
import { appendFileSync, existsSync, readFileSync, writeFileSync } from "node:fs";
import { gzipSync } from "node:zlib";
import { chromium } from "playwright-core";
import { createServer } from "vite";

const OUT = new URL("found.jsonl", import.meta.url);
const PACKED = new URL("../../core/src/test/resources/app/hodegon/core/track/found.jsonl.gz", import.meta.url);
const SCHOOLS = ["early-return", "full-load", "centred", "ankle-to-ankle"];
const FAULTS = [
  "sway",
  "reverse-pivot",
  "frozen-feet",
  "hanging-back",
  "early-extension",
  "early-spin",
  "arms-first",
  "closed-slide",
];
const LOOKS = ["sand", "sea", "moss", "plum"];
const RATES = [30, 60, 60];
const SIZE = { width: 270, height: 360, bitrate: 500_000, before: 0.6, after: 0.4 };

/** The same numbers every time: a linear congruential generator, 0 to 1. */
function chance(seed) {
  let state = seed * 7919 + 17;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

function shotOf(number) {
  const next = chance(number);
  for (let i = 0; i < 5; i++) next();
  const pick = (list) => list[Math.floor(next() * list.length)];
  const down = number % 3 === 2;
  return {
    number,
    school: pick(SCHOOLS),
    fault: pick(FAULTS),
    strength: Math.round(10 * next()) / 10,
    hand: next() < 0.3 ? "left" : "right",
    height: Math.round(156 + 38 * next()),
    look: pick(LOOKS),
    view: down ? "down-the-line" : "face-on",
    turn: Math.round(12 * next() - 6),
    rise: Math.round(1 + 11 * next()),
    rate: pick(RATES),
    light: Math.round(100 * (0.55 + 0.6 * next())) / 100,
    soft: Math.round(10 * next()) / 10,
  };
}

const server = process.argv[2] ?? "http://localhost:8080";
const films = Number(process.argv[3] ?? 36);
const done = existsSync(OUT)
  ? readFileSync(OUT, "utf8")
      .split("\n")
      .filter(Boolean)
      .map((line) => JSON.parse(line).number)
  : [];
if (done.length === 0) writeFileSync(OUT, "");
const vite = await createServer({ root: new URL("..", import.meta.url).pathname, logLevel: "error", server: { hmr: false, watch: null } });
await vite.listen(0);
const browser = await chromium.launch({
  executablePath: "/usr/bin/chromium",
  args: ["--no-sandbox", "--use-angle=swiftshader", "--enable-unsafe-swiftshader"],
});
const context = await browser.newContext();
context.setDefaultTimeout(0);
const coach = await context.newPage();
await coach.goto(`${server}/sign-in`);
await coach.getByLabel("E-mail").fill("coach@demo.example");
await coach.getByLabel("Password").fill("demo-coach");
await coach.keyboard.press("Enter");
await coach.waitForURL("**/day");
const maker = await context.newPage();
await maker.goto(`${vite.resolvedUrls.local[0]}films/index.html`);
await maker.waitForFunction(() => "film" in window);

for (let number = 0; number < films; number++) {
  if (done.includes(number)) continue;
  const shot = shotOf(number);
  const motion = await coach.evaluate(
    (address) => fetch(address).then((r) => r.json()),
    `/api/motions/swing?school=${shot.school}&fault=${shot.fault}:${shot.strength}&hand=${shot.hand}&height=${shot.height}`,
  );
  const begun = Date.now();
  const found = await maker.evaluate(filmAndFind, {
    ...SIZE,
    motion,
    hand: shot.hand,
    look: shot.look,
    view: { turn: (shot.view === "face-on" ? 0 : 90) + shot.turn, rise: shot.rise },
    rate: shot.rate,
    light: shot.light,
    soft: shot.soft,
  });
  appendFileSync(OUT, `${JSON.stringify({ ...shot, before: SIZE.before, ...found })}\n`);
  console.log(
    number,
    shot.view,
    shot.fault,
    shot.strength,
    found.seen,
    found.times?.length,
    Math.round((Date.now() - begun) / 1000),
  );
}
writeFileSync(PACKED, gzipSync(readFileSync(OUT), { level: 9 }));
await browser.close();
await vite.close();

async function filmAndFind(shot) {
  const { findSwing } = await import("/src/features/clip/finding.ts");
  const { POINTS } = await import("/src/features/clip/points.ts");
  const { framesToSend, viewOf } = await import("/src/features/clip/seen.ts");
  const bytes = await window.film(shot);
  const nothing = () => {};
  try {
    const found = await findSwing(
      new File([bytes], "found.mp4", { type: "video/mp4" }),
      1,
      undefined,
      nothing,
      nothing,
      new AbortController().signal,
    );
    const short = (v) => Math.round(10 * v) / 10;
    return {
      seen: viewOf(found.frames),
      points: [...POINTS],
      times: found.times.map((t) => Math.round(10_000 * t) / 10_000),
      frames: framesToSend(found.frames).map((frame) =>
        frame.map((p) => (p ? [short(p[0]), short(p[1]), Math.round(100 * p[2]) / 100] : null)),
      ),
    };
  } catch (failure) {
    return { failed: String(failure) };
  }
}
