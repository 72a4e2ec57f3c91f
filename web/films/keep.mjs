/*
 * Keeps films of the demo as a coach would, and writes down what the page sends: `node films/keep.mjs http://localhost:8080`,
 * with the demo running there and the films made. The demo's lessons have these clips from then on; looked at before they
 * are committed.
 */
import { mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { chromium } from "playwright-core";

const STUDENT = "Petra Lund";
const KEPT = ["extension-before", "extension-after"];
const FILMS = new URL("../../server/src/main/resources/demo-films/", import.meta.url);
const truths = JSON.parse(readFileSync(new URL("films.json", FILMS)));

const server = process.argv[2] ?? "http://localhost:8080";
const browser = await chromium.launch({
  executablePath: "/usr/bin/chromium",
  args: ["--no-sandbox", "--use-angle=swiftshader", "--enable-unsafe-swiftshader"],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 900 } });
page.setDefaultTimeout(300_000);
await page.goto(`${server}/sign-in`);
await page.getByLabel("E-mail").fill("coach@demo.example");
await page.getByLabel("Password").fill("demo-coach");
await page.keyboard.press("Enter");
await page.waitForURL("**/day");
await page.goto(`${server}/students`);
await page.getByRole("link", { name: STUDENT }).first().click();
await page.getByRole("button", { name: "Begin a lesson" }).click();
await page.getByRole("button", { name: "Clip" }).click();

for (const name of KEPT) {
  const folder = new URL(`kept/${name}/`, FILMS);
  mkdirSync(folder, { recursive: true });
  const write = (request) => {
    const path = new URL(request.url()).pathname;
    if (request.method() === "POST" && path.endsWith("/clips"))
      writeFileSync(new URL("clip.json", folder), JSON.stringify(lean(request.postDataJSON())));
    const still = /\/pictures\/([a-z-]+)$/.exec(path);
    if (still)
      writeFileSync(new URL(`${still[1]}.jpg`, folder), Buffer.from(request.postDataJSON().jpeg, "base64"));
    if (request.method() === "PUT" && path.endsWith("/film"))
      writeFileSync(new URL("film.mp4", folder), Buffer.from(request.postDataJSON().mp4, "base64"));
  };
  page.on("request", write);
  await page.getByLabel("Or a demo film").selectOption(name);
  await page.getByRole("button", { name: "Keep", exact: true }).waitFor();
  await page.getByLabel("Height").fill(String(truths.find((t) => t.name === name).height));
  await page.keyboard.press("Tab");
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await page.getByRole("heading", { name: `${KEPT.indexOf(name) + 1} kept` }).waitFor();
  if ((await page.getByLabel("Who agrees").count()) > 0) {
    await page.getByLabel("Who agrees").fill(STUDENT);
    await page.getByRole("button", { name: "Keep stills" }).click();
  }
  await page.getByRole("button", { name: /^Keep the film/ }).click();
  await page.getByText("Film kept").waitFor();
  page.off("request", write);
}
await browser.close();

/** Of the points a hundredth of a pixel is enough, of times a tenth of a millisecond. */
function lean(clip) {
  const { track } = clip;
  const to = (steps) => (v) => Math.round(v * steps) / steps;
  const frames = track.frames.map((f) => f.map(([x, y, sure]) => [to(10)(x), to(10)(y), to(100)(sure)]));
  return { ...clip, track: { ...track, frames, times: track.times?.map(to(10_000)) } };
}
