import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { CATALOGUE, serve, show } from "@/test/fixtures";
import { type FirstChoice, putFirst, putLast, raised } from "./firstChoices";
import { MyDrills } from "./MyDrills";

const drill = CATALOGUE.drills["disc-turn"]!;
const catalogue = {
  ...CATALOGUE,
  drills: {
    "disc-turn": drill,
    "edge-walk": { ...drill, id: "edge-walk", name: "Edge walk", main: [], helps: ["sway"] },
    elsewhere: { ...drill, id: "elsewhere", name: "Elsewhere", main: ["over-the-top"] },
  },
};

let calls: ReturnType<typeof serve>;
let stored: FirstChoice[];
const put = (rung: string) => (body: unknown) => {
  const { drills } = body as { drills: string[] };
  stored = [
    ...stored.filter((c) => c.rung !== rung),
    ...(drills.length > 0 ? [{ fault: "sway", rung, drills }] : []),
  ];
  return stored;
};
beforeEach(() => {
  stored = [{ fault: "sway", rung: "feel", drills: ["disc-turn"] }];
  calls = serve({
    "GET /api/first-choices": () => stored,
    "PUT /api/first-choices/sway/feel": put("feel"),
    "PUT /api/first-choices/sway/short": put("short"),
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const sent = () => calls.filter((c) => c.request.startsWith("PUT")).map((c) => [c.request, c.body]);

describe("an order", () => {
  it("takes a drill in front, behind or one further to the front, and never twice", () => {
    expect(putFirst(["a", "b"], "b")).toEqual(["b", "a"]);
    expect(putFirst(["a", "b", "c", "d", "e"], "f")).toEqual(["f", "a", "b", "c", "d"]);
    expect(putLast(["a"], "b")).toEqual(["a", "b"]);
    expect(putLast(["a", "b"], "a")).toEqual(["a", "b"]);
    expect(raised(["a", "b", "c"], "c")).toEqual(["a", "c", "b"]);
    expect(raised(["a", "b"], "a")).toEqual(["a", "b"]);
  });
});

describe("my drills", () => {
  it("begins with the fault that has an order, and offers only what is done for it there", async () => {
    show(<MyDrills catalogue={catalogue} />);
    expect(await screen.findByText("1. " + drill.name)).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Add a drill, feel" }));
    expect(
      screen.getAllByRole("button", { name: /^Add / }).map((b) => b.getAttribute("aria-label")),
    ).toContain("Add Edge walk");
    expect(screen.queryByRole("button", { name: "Add Elsewhere" })).toBeNull();
    expect(screen.queryByRole("button", { name: "Add " + drill.name })).toBeNull();
  });

  it("adds on every rung the drill is done on, orders, and takes back", async () => {
    show(<MyDrills catalogue={catalogue} />);
    fireEvent.click(await screen.findByRole("button", { name: "Add a drill, feel" }));
    fireEvent.click(screen.getByRole("checkbox", { name: /On every rung/ }));
    fireEvent.click(screen.getByRole("button", { name: "Add Edge walk" }));
    fireEvent.click(await screen.findByRole("button", { name: "Edge walk earlier, feel" }));
    await screen.findByText("1. Edge walk", { selector: "li:first-child span" });
    await waitFor(() => expect(sent()).toHaveLength(3));
    fireEvent.click(screen.getByRole("button", { name: /^Undo/ }));
    await screen.findByText("1. " + drill.name);
    fireEvent.click(await screen.findByRole("button", { name: /^Undo/ }));
    await waitFor(() =>
      expect(sent()).toEqual([
        ["PUT /api/first-choices/sway/feel", { drills: ["disc-turn", "edge-walk"] }],
        ["PUT /api/first-choices/sway/short", { drills: ["edge-walk"] }],
        ["PUT /api/first-choices/sway/feel", { drills: ["edge-walk", "disc-turn"] }],
        ["PUT /api/first-choices/sway/feel", { drills: ["disc-turn", "edge-walk"] }],
        ["PUT /api/first-choices/sway/feel", { drills: ["disc-turn"] }],
        ["PUT /api/first-choices/sway/short", { drills: [] }],
      ]),
    );
  });

  it("names a drill that is no longer there, so that it can be taken out", async () => {
    stored = [{ fault: "sway", rung: "feel", drills: ["gone"] }];
    show(<MyDrills catalogue={catalogue} />);
    expect(await screen.findByText(/gone \(no longer in your drills\)/)).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Without gone, feel" }));
    await waitFor(() => expect(sent()).toEqual([["PUT /api/first-choices/sway/feel", { drills: [] }]]));
  });
});
