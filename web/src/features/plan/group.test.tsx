import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { rememberGroup } from "@/api/lastGroup";
import { LESSON, serve, show, SIGNED_IN } from "@/test/fixtures";
import { GroupTools } from "./GroupTools";

const student = (id: string, name: string) => ({
  id,
  name,
  complaint: "",
  handedness: "right",
  level: "improver",
  hurt: false,
  today: "2026-12-01",
});

const laid = (id: string, part = {}) => ({
  student: id,
  lesson: `lesson-${id}`,
  plan: `plan-${id}`,
  kept: 4,
  of: 4,
  otherwise: [],
  ...part,
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  localStorage.clear();
});

describe("a plan for a group", () => {
  const begin = async () => {
    const calls = serve({
      "GET /api/session": SIGNED_IN,
      "GET /api/students": [
        student("a", "Ferris Dunmore"),
        student("b", "Ina Holt"),
        student("c", "Odo Marl"),
      ],
      "POST /api/lessons/l1/plan/also/a": laid("a"),
      "POST /api/lessons/l1/plan/also/b": laid("b", {
        kept: 3,
        otherwise: ["Short ball: Disc turn, not half ball: not with a flagged knee"],
      }),
      "POST /api/lessons/l1/plan/also/c": new Response(
        '{"detail":"Works on something else today: slicing."}',
        { status: 409 },
      ),
      "POST /api/plans/plan-a/assignment": {},
      "POST /api/plans/plan-b/assignment": {},
    });
    show(<GroupTools lesson={LESSON} />, { known: [[["session"], SIGNED_IN]] });
    fireEvent.click(await screen.findByRole("button", { name: "For a group" }));
    await screen.findByLabelText("Ina Holt");
    return calls;
  };

  it("is drafted for each, says what is otherwise and who is left alone, and is handed over at once", async () => {
    const calls = await begin();
    expect(screen.getByRole("button", { name: "Draft it" })).toHaveProperty("disabled", true);
    for (const name of ["Ferris Dunmore", "Ina Holt", "Odo Marl"])
      fireEvent.click(screen.getByLabelText(name));
    fireEvent.click(screen.getByLabelText(/On this plan’s weekdays/));
    fireEvent.click(screen.getByRole("button", { name: "Draft it for 3" }));
    await screen.findByText("all drills as here");
    await screen.findByText("Short ball: Disc turn, not half ball: not with a flagged knee");
    expect((await screen.findByRole("alert")).textContent).toBe("Works on something else today: slicing.");
    expect(calls.find((c) => c.request.endsWith("/also/b"))?.body).toEqual({ sameDays: false });
    fireEvent.click(await screen.findByRole("button", { name: "Hand all 2 drafts over" }));
    await waitFor(() => expect(screen.getAllByText("has it")).toHaveLength(2));
    expect(calls.some((c) => c.request.includes("plan-c"))).toBe(false);
    expect(screen.queryByRole("button", { name: /Hand/ })).toBeNull();
  });

  it("takes up the last group with one press", async () => {
    rememberGroup(SIGNED_IN.account!.email, ["b", "c", "gone"]);
    await begin();
    fireEvent.click(screen.getByRole("button", { name: "The last group: Ina, Odo" }));
    const checked = within(screen.getByRole("dialog"))
      .getAllByRole("checkbox")
      .filter((box) => (box as HTMLInputElement).checked);
    expect(checked.map((box) => box.closest("label")?.textContent)).toEqual([
      "Ina Holt",
      "Odo Marl",
      "On this plan’s weekdays; else on each one’s own",
    ]);
  });
});
