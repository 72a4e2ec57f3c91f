import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { serve, show } from "@/test/fixtures";
import AcademyPage from "./AcademyPage";
import { bytes } from "./HealthPanel";
import { OtherCoaches } from "./OtherCoaches";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const ME = { id: "me", name: "Ilka Brand", owner: true, you: true, students: 4 };
const OTHER = { id: "other", name: "Odo Fenn", owner: false, you: false, students: 2 };
const OFFER = {
  studentId: "s1",
  student: "Sela Moor",
  fromId: "other",
  from: "Odo Fenn",
  toId: "me",
  to: "Ilka Brand",
  words: "Loves drills.",
  offeredAt: "2026-11-20T10:00:00Z",
};
const HEALTH = {
  version: "1.0",
  schema: "12",
  startedAt: "2026-11-20T10:00:00Z",
  freeBytes: 84_000_000_000,
  diskBytes: 271_000_000_000,
  full: false,
  lastBackup: null,
  lastBackupBytes: null,
  slow: [{ at: "2026-11-20T10:00:00Z", what: "GET /api/day", milliseconds: 612 }],
  refusedSignIns: 3,
};

const house = (part: object = {}) => ({ coaches: [ME, OTHER], handovers: [], ...part });

describe("the academy", () => {
  it("shows its owner how the installation is, and warns of a full disk", async () => {
    const answers: Record<string, unknown> = { "GET /api/academy": house(), "GET /api/health": HEALTH };
    serve(answers);
    show(<AcademyPage />);
    expect(await screen.findByText("none yet")).toBeTruthy();
    expect(screen.getByText("84 GB of 271 GB")).toBeTruthy();
    expect(screen.getByText("612 ms")).toBeTruthy();
    expect(screen.queryByText(/disk is full/)).toBeNull();
    cleanup();
    answers["GET /api/health"] = { ...HEALTH, full: true };
    show(<AcademyPage />);
    expect(await screen.findByText(/disk is full/)).toBeTruthy();
  });

  it("shows no more than the coaches to who does not own it", async () => {
    const calls = serve({
      "GET /api/academy": house({
        coaches: [
          { ...ME, owner: false },
          { ...OTHER, owner: true },
        ],
      }),
    });
    show(<AcademyPage />);
    expect(await screen.findByText("Odo Fenn")).toBeTruthy();
    expect(screen.queryByRole("button", { name: "Invite a coach" })).toBeNull();
    expect(calls.some((c) => c.request === "GET /api/health")).toBe(false);
  });

  it("lets a student be taken over or declined", async () => {
    const calls = serve({
      "GET /api/academy": house({ handovers: [OFFER] }),
      "GET /api/health": HEALTH,
      "POST /api/students/s1/handover/acceptance": {},
    });
    show(<AcademyPage />);
    expect(await screen.findByText(/is offered to you by Odo Fenn/)).toBeTruthy();
    expect(screen.getByText("“Loves drills.”")).toBeTruthy();
    expect(screen.getByRole("button", { name: "Decline" })).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Take over" }));
    await waitFor(() =>
      expect(calls.some((c) => c.request === "POST /api/students/s1/handover/acceptance")).toBe(true),
    );
  });

  it("asks that students go into other hands before a coach goes", async () => {
    const calls = serve({
      "GET /api/academy": house(),
      "GET /api/health": HEALTH,
      "POST /api/academy/coaches/other/handovers": { students: 2 },
    });
    show(<AcademyPage />);
    fireEvent.click(await screen.findByRole("button", { name: "Change" }));
    expect(screen.queryByRole("button", { name: "End the account" })).toBeNull();
    fireEvent.change(screen.getByLabelText("Offer them all to"), { target: { value: "me" } });
    fireEvent.click(screen.getByRole("button", { name: "Offer" }));
    expect(await screen.findByText("2 offered.")).toBeTruthy();
    expect(calls.find((c) => c.request.endsWith("/handovers"))?.body).toEqual({ coachId: "me" });
  });
});

describe("a student and other coaches", () => {
  it("has a stand-in until a day, and what was done on record", async () => {
    const accesses = [
      {
        coach: "Odo Fenn",
        on: "2026-11-20",
        what: "changed",
        place: "lesson",
        times: 3,
        firstAt: "2026-11-20T10:00:00Z",
        lastAt: "2026-11-20T11:00:00Z",
      },
    ];
    const calls = serve({
      "GET /api/academy": house(),
      "GET /api/students/s1/stand-ins": [],
      "GET /api/students/s1/accesses": accesses,
      "POST /api/students/s1/stand-ins": [],
    });
    show(<OtherCoaches studentId="s1" />);
    expect(await screen.findByText(/Odo Fenn changed a lesson, 3 times that day/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText("Coach"), { target: { value: "other" } });
    fireEvent.change(screen.getByLabelText("Until"), { target: { value: "2026-12-24" } });
    fireEvent.click(screen.getByRole("button", { name: "Let stand in" }));
    await waitFor(() => expect(calls.some((c) => c.request.startsWith("POST"))).toBe(true));
    expect(calls.find((c) => c.request.startsWith("POST"))?.body).toEqual({
      coachId: "other",
      until: "2026-12-24",
    });
  });

  it("is not spoken of where a coach is alone", async () => {
    const calls = serve({ "GET /api/academy": house({ coaches: [ME] }) });
    show(<OtherCoaches studentId="s1" />);
    await waitFor(() => expect(calls).toHaveLength(1));
    expect(document.body.textContent).not.toContain("Other coaches");
  });
});

describe("bytes", () => {
  it("are said as people say them", () => {
    expect([0, 999, 1400, 84_000_000_000].map(bytes)).toEqual(["0 bytes", "999 bytes", "1.4 kB", "84 GB"]);
  });
});
