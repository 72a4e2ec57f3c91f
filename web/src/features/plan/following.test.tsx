import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Plan } from "@/api/types";
import { serve, show } from "@/test/fixtures";
import { GateSetting } from "./GateSetting";
import { LaidAgain } from "./LaidAgain";

const STEP: Plan["route"][number] = {
  rung: "feel",
  fault: "sway",
  drill: "disc-turn",
  gate: { good: 8, of: 10, days: 2, coachSigns: false },
  why: "",
};
const PATH = "/api/students/s1/gates/sway/feel";
const DONE = new Response(null, { status: 204 });

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("a gate for one student", () => {
  const open = (gates: object[]) => {
    const calls = serve({
      "GET /api/students/s1/gates": gates,
      [`PUT ${PATH}`]: DONE,
      [`POST ${PATH}/signature`]: DONE,
    });
    show(<GateSetting studentId="s1" step={STEP} />);
    return calls;
  };

  it("asks for less, and for the coach's word", async () => {
    const calls = open([]);
    fireEvent.click(await screen.findByText("gate 8 of 10 on 2 days"));
    fireEvent.click(screen.getByRole("radio", { name: "7" }));
    await waitFor(() => expect(calls.at(1)?.body).toEqual({ good: 7, coachSigns: false }));
    fireEvent.click(screen.getByLabelText(/I sign it/));
    await waitFor(() =>
      expect(calls.filter((c) => c.request.startsWith("PUT")).at(-1)?.body).toEqual({
        good: 8,
        coachSigns: true,
      }),
    );
  });

  it("is signed once, and says so", async () => {
    const own = { fault: "sway", rung: "feel", good: 7, coachSigns: true, signed: false };
    const calls = open([own]);
    fireEvent.click(await screen.findByText("gate 7 of 10 on 2 days, you sign"));
    fireEvent.click(screen.getByText("Sign it now"));
    await waitFor(() => expect(calls.map((c) => c.request)).toContain(`POST ${PATH}/signature`));
    cleanup();
    open([{ ...own, signed: true }]);
    fireEvent.click(await screen.findByText("gate 7 of 10 on 2 days, signed"));
    expect(screen.queryByText("Sign it now")).toBeNull();
  });

  it("does not exist where a rung has none", () => {
    open([]);
    cleanup();
    show(<GateSetting studentId="s1" step={{ ...STEP, gate: undefined }} />);
    expect(screen.queryByRole("button")).toBeNull();
  });
});

describe("a plan that followed the practice", () => {
  it("says when, why and what changed", async () => {
    serve({
      "GET /api/plans/p1/laid-again": [
        { on: "2026-12-03", reason: "Feel was passed.", changes: ["Friday 4 December: free now."] },
      ],
    });
    show(<LaidAgain planId="p1" />);
    expect((await screen.findByText("Feel was passed.", { exact: false })).textContent).toContain(
      "3 December",
    );
    expect(screen.getByText("Friday 4 December: free now.")).toBeTruthy();
    cleanup();
    serve({ "GET /api/plans/p1/laid-again": [] });
    show(<LaidAgain planId="p1" />);
    expect(screen.queryByRole("heading")).toBeNull();
  });
});
