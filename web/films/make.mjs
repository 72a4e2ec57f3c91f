/*
 * Films the simulated golfer for the demo and the tests: `node films/make.mjs http://localhost:8080`, with the demo
 * running there. Each film and the truth about it are written into the server's resources. Takes three minutes; looked at
 * before they are committed.
 */
import { mkdirSync, writeFileSync } from "node:fs";
import { chromium } from "playwright-core";
import { createServer } from "vite";

const FILMS = [
  { name: "sway-before", fault: "sway:0.9", hand: "right", view: "face-on", look: "sand", height: 178 },
  { name: "sway-after", fault: "sway:0.2", hand: "right", view: "face-on", look: "sand", height: 178 },
  {
    name: "extension-before",
    fault: "early-extension:0.9",
    hand: "right",
    view: "down-the-line",
    look: "plum",
    height: 169,
  },
  {
    name: "extension-after",
    fault: "early-extension:0.2",
    hand: "right",
    view: "down-the-line",
    look: "plum",
    height: 169,
  },
  { name: "left-hander", fault: "hanging-back:0.8", hand: "left", view: "face-on", look: "sea", height: 184 },
];
const TURNS = { "face-on": 0, "down-the-line": 90 };
const SHOT = { rate: 60, before: 1, after: 0.4, width: 540, height: 720, bitrate: 800_000 };
const OUT = new URL("../../server/src/main/resources/demo-films/", import.meta.url);

const server = process.argv[2] ?? "http://localhost:8080";
mkdirSync(OUT, { recursive: true });
const vite = await createServer({ root: new URL("..", import.meta.url).pathname, logLevel: "error" });
await vite.listen(0);
const browser = await chromium.launch({
  executablePath: "/usr/bin/chromium",
  args: ["--no-sandbox", "--use-angle=swiftshader", "--enable-unsafe-swiftshader"],
});
const page = await browser.newPage();
await page.goto(`${server}/sign-in`);
await page.getByLabel("E-mail").fill("coach@demo.example");
await page.getByLabel("Password").fill("demo-coach");
await page.keyboard.press("Enter");
await page.waitForURL("**/day");
const motions = await Promise.all(
  FILMS.map((f) =>
    page.evaluate(
      (address) => fetch(address).then((r) => r.json()),
      `/api/motions/swing?school=centred&fault=${f.fault}&hand=${f.hand}&height=${f.height}`,
    ),
  ),
);
await page.goto(`${vite.resolvedUrls.local[0]}films/index.html`);
await page.waitForFunction(() => "film" in window);
const truths = [];
for (const [i, film] of FILMS.entries()) {
  const motion = motions[i];
  const shot = {
    ...SHOT,
    motion,
    hand: film.hand,
    look: film.look,
    view: { turn: TURNS[film.view], rise: 2 },
  };
  const data = await page.evaluate(async (shot) => {
    const bytes = await window.film(shot);
    let text = "";
    for (let k = 0; k < bytes.length; k += 8192) text += String.fromCharCode(...bytes.subarray(k, k + 8192));
    return btoa(text);
  }, shot);
  writeFileSync(new URL(`${film.name}.mp4`, OUT), Buffer.from(data, "base64"));
  truths.push(truth(film, motion));
}
writeFileSync(new URL("films.json", OUT), `${JSON.stringify(truths, null, 2)}\n`);
await browser.close();
await vite.close();

/** What is true of a film: seconds in it, cm and degrees. */
function truth(film, motion) {
  const at = (id) => motion.moments.find((m) => m.id === id).time;
  const point = (name, seconds) => {
    const { frames } = motion;
    const next = Math.max(
      1,
      frames.findIndex((f) => f.at / 1000 >= seconds),
    );
    const [a, b] = [frames[next - 1], frames[next]];
    const part = Math.min(1, (1000 * seconds - a.at) / (b.at - a.at));
    const k = 3 * motion.points.indexOf(name);
    return [0, 1, 2].map((c) => (a.p[k + c] * (1 - part) + b.p[k + c] * part) / 10);
  };
  const middle = (part, seconds) => {
    const [lead, trail] = [point(`lead-${part}`, seconds), point(`trail-${part}`, seconds)];
    return lead.map((v, c) => (v + trail[c]) / 2);
  };
  const since = (part, axis, id) => middle(part, at(id))[axis] - middle(part, 0)[axis];
  const bend = (seconds) => {
    const [hip, shoulder] = [middle("hip", seconds), middle("shoulder", seconds)];
    return (Math.atan2(shoulder[1] - hip[1], shoulder[2] - hip[2]) * 180) / Math.PI;
  };
  const round = (v) => Math.round(v * 10) / 10;
  const readings =
    film.view === "face-on"
      ? {
          "pelvis-drift@top": round(-since("hip", 0, "top")),
          "pelvis-drift@impact": round(-since("hip", 0, "impact")),
          "head-drift@top": round(-since("ear", 0, "top")),
        }
      : {
          "pelvis-thrust@impact": round(since("hip", 1, "impact")),
          "posture-rise@impact": round(bend(0) - bend(at("impact"))),
        };
  const moments = Object.fromEntries(
    motion.moments.map((m) => [m.id, round(100 * (m.time + SHOT.before)) / 100]),
  );
  return { ...film, moments, readings };
}
