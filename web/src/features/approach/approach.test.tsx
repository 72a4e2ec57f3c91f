import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Approach } from "@/api/types";
import { CATALOGUE, serve, show } from "@/test/fixtures";
import ApproachPage from "./ApproachPage";
import StudentApproachPage from "./StudentApproachPage";

const APPROACH: Approach = {
  version: 1,
  answers: { pressure: "early-return", "trail-heel": "roll-low" },
  repeatability: [
    { quantity: "share", label: "Shares", unit: "%", source: "seen", sem: 8, assumed: 8 },
    { quantity: "share", label: "Shares", unit: "%", source: "plate", sem: 2.5, assumed: 2.5 },
  ],
};

let calls: ReturnType<typeof serve>;
beforeEach(() => {
  calls = serve({
    "GET /api/approach": APPROACH,
    "PUT /api/approach": APPROACH,
    "GET /api/catalogue?hand=right": CATALOGUE,
    "GET /api/students/s1": { id: "s1", signedUp: false, profile: { name: "Odile", handedness: "right" } },
    "GET /api/students/s1/approach": { coach: APPROACH.answers, exceptions: {} },
    "PUT /api/students/s1/approach": (body: unknown) => ({ coach: APPROACH.answers, ...(body as object) }),
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const sent = (request: string) => calls.filter((c) => c.request === request).at(-1)?.body;

describe("how a coach teaches", () => {
  it("saves an answer as it is given, with its reason beside it", async () => {
    show(<ApproachPage />);
    fireEvent.click(await screen.findByRole("radio", { name: /Let the heel come up/ }));
    expect(screen.getByText("Off the trail foot.")).toBeTruthy();
    await waitFor(() =>
      expect(sent("PUT /api/approach")).toEqual({
        answers: { pressure: "early-return", "trail-heel": "release-up" },
        repeatability: [],
      }),
    );
  });

  it("takes an own repeatability, refuses a wild one, and goes back to the assumed", async () => {
    show(<ApproachPage />);
    const field = await screen.findByLabelText("Shares, seen by the coach");
    fireEvent.change(field, { target: { value: "900" } });
    expect(screen.getByRole("alert").textContent).toBe("From 1.6 to 40 %.");
    fireEvent.change(field, { target: { value: "6" } });
    expect(screen.getByText("assumed 8")).toBeTruthy();
    await waitFor(() =>
      expect(sent("PUT /api/approach")).toMatchObject({
        repeatability: [{ quantity: "share", source: "seen", sem: 6 }],
      }),
    );
    fireEvent.change(field, { target: { value: "" } });
    fireEvent.blur(field);
    await waitFor(() => expect(sent("PUT /api/approach")).toMatchObject({ repeatability: [] }));
  });
});

describe("a student taught otherwise", () => {
  it("begins as the coach teaches, takes an exception and gives it back", async () => {
    show(<StudentApproachPage />, { path: "/students/:id/approach", at: "/students/s1/approach" });
    const usual = await screen.findByRole("radio", { name: "As I teach: roll in and stay low" });
    expect((usual as HTMLInputElement).checked).toBe(true);
    fireEvent.click(screen.getByRole("radio", { name: /Let the heel come up/ }));
    await waitFor(() =>
      expect(sent("PUT /api/students/s1/approach")).toEqual({ exceptions: { "trail-heel": "release-up" } }),
    );
    fireEvent.click(usual);
    await waitFor(() => expect(sent("PUT /api/students/s1/approach")).toEqual({ exceptions: {} }));
  });
});
