import { afterEach, expect, it, vi } from "vitest";
import { api } from "./client";

const sent = vi.fn<typeof fetch>(() => Promise.resolve(new Response("{}")));

afterEach(() => vi.unstubAllGlobals());

it("lets what is confirmed go out when the page is left, and no more than a browser keeps alive", async () => {
  vi.stubGlobal("fetch", sent);
  await api.delete("/api/clips/1");
  await api.put("/api/drafts/plan", { note: "x".repeat(2000) });
  await api.get("/api/students");
  expect(sent.mock.calls.map(([, asked]) => asked?.keepalive)).toEqual([true, false, false]);
});
