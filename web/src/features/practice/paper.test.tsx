import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { StoredPlan } from "@/api/types";
import { block, CATALOGUE, LESSON, serve, show, meWith } from "@/test/fixtures";
import { asPlanned, isBlank, NOTHING, ticked } from "./paper";
import PaperPage from "./PaperPage";

const DAY = {
  date: "2026-12-02",
  place: "home",
  minutes: 12,
  blocks: [block({ sets: 3 }), block({ kind: "check", sets: 2, scored: true })],
};
const STORED = { ...(meWith([block()]).plan as StoredPlan), id: "p1", assigned: true };

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("ticks from paper", () => {
  it("takes the sets as planned and leaves what was scored to the paper", () => {
    expect(asPlanned(DAY, NOTHING).ticks).toEqual({ 0: 3 });
    expect(asPlanned(DAY, ticked(NOTHING, 1, 7)).ticks).toEqual({ 0: 3, 1: 7 });
  });

  it("is no entry once all is taken back", () => {
    expect(isBlank(ticked(NOTHING, 0, 0))).toBe(false);
    expect(isBlank(ticked(ticked(NOTHING, 0, 2), 0, null))).toBe(true);
  });
});

describe("the page for them", () => {
  const open = (paper: object[], stored = STORED) => {
    const calls = serve({
      "GET /api/lessons/l1": LESSON,
      "GET /api/lessons/l1/plan": stored,
      "GET /api/plans/p1/paper": paper,
      "GET /api/catalogue?hand=right": CATALOGUE,
      "PUT /api/plans/p1/paper/2026-12-02": new Response(null, { status: 204 }),
      "DELETE /api/plans/p1/paper/2026-12-02": new Response(null, { status: 204 }),
    });
    show(<PaperPage />, { path: "/lessons/:id/plan/paper", at: "/lessons/l1/plan/paper" });
    return calls;
  };
  const puts = (calls: ReturnType<typeof open>) => calls.filter((c) => c.request.startsWith("PUT"));
  const day = () => screen.findByRole("region", { name: /2 December/ });

  it("saves each tick and takes a day back", async () => {
    const calls = open([{ day: DAY, byPhone: false }]);
    const region = await day();
    fireEvent.click(within(region).getByText("All sets done"));
    fireEvent.change(within(region).getByLabelText(/Good of ten/), { target: { value: "8" } });
    fireEvent.click(within(region).getByText("Clear"));
    await waitFor(() =>
      expect(puts(calls).at(-1)?.body).toMatchObject({
        ticks: { 0: 3, 1: 8 },
        feel: 5,
      }),
    );
    fireEvent.click(within(region).getByText("Nothing done"));
    await waitFor(() => expect(calls.some((c) => c.request.startsWith("DELETE"))).toBe(true));
  });

  it("keeps no pain before it is known where and how much", async () => {
    const calls = open([{ day: DAY, byPhone: false }]);
    const region = await day();
    fireEvent.click(within(region).getByText("Pain ticked"));
    fireEvent.change(within(region).getByLabelText("Where"), { target: { value: "knee" } });
    expect(within(region).getByText("Kept once both are known.")).toBeTruthy();
    expect(puts(calls)).toEqual([]);
    fireEvent.change(within(region).getByLabelText("How much, of 10"), { target: { value: "3" } });
    await waitFor(() =>
      expect(puts(calls).at(-1)?.body).toMatchObject({
        pain: { where: "knee", score: 3, drill: "disc-turn" },
      }),
    );
  });

  it("leaves what came by phone alone, and says when nothing is due", async () => {
    open([{ day: DAY, byPhone: true }]);
    expect(within(await day()).queryByText("All sets done")).toBeNull();
    cleanup();
    open([]);
    expect(await screen.findByText(/No day of this plan has come yet/)).toBeTruthy();
  });
});
