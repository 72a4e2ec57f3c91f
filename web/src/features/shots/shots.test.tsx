import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Wire } from "@/api/types";
import { serve, show } from "@/test/fixtures";
import { ShotsPanel } from "./ShotsPanel";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const LOOK: Wire["LookView"] = {
  heading: ["Nr", "Carry yd", "Side"],
  rows: [["1", "150", "L 4"]],
  columns: {
    figures: { carry: { index: 1, unit: "yd" }, offline: { index: 2, unit: "m" } },
    plusIsRight: true,
  },
  remembered: false,
  balls: 2,
  broken: 1,
  shownBroken: [{ row: 3, column: "Carry yd", reason: '"far" is no number' }],
  clubs: [
    {
      club: "",
      balls: 2,
      figures: [{ figure: "carry", label: "Carry", unit: "m", mean: 136.24, median: 136.2 }],
    },
  ],
};

describe("a file of measured balls", () => {
  it("is looked at, its columns set right, and taken with the broken rows left out", async () => {
    const calls = serve({
      "GET /api/lessons/l1/shot-files": [],
      "POST /api/lessons/l1/shot-files/look": (body: unknown) => ({
        ...LOOK,
        columns: (body as { columns: Wire["ColumnsEntry"] | null }).columns ?? LOOK.columns,
      }),
      "POST /api/lessons/l1/shot-files": { id: "f1", name: "range.csv", stage: "before", balls: 2 },
    });
    show(<ShotsPanel lessonId="l1" studentId="s1" moment="before" />);
    const text = "Nr;Carry yd;Side\n1;150;L 4\n2;far;3\n3;148;2\n";
    const file = Object.assign(new File([text], "range.csv"), { text: async () => text });
    fireEvent.change(screen.getByLabelText("File of measured balls"), { target: { files: [file] } });
    expect(await screen.findByText('Row 3, Carry yd: "far" is no number')).toBeTruthy();
    expect(screen.getAllByText("136.2 m")).toHaveLength(2);

    fireEvent.change(screen.getByLabelText("Unit of carry"), { target: { value: "m" } });
    await waitFor(() =>
      expect((screen.getByLabelText("Unit of carry") as HTMLSelectElement).value).toBe("m"),
    );
    fireEvent.change(screen.getByLabelText("Column of the club"), { target: { value: "0" } });
    fireEvent.click(screen.getByRole("radio", { name: "left of it" }));
    await waitFor(() => expect(calls.filter((c) => c.request.endsWith("look")).length).toBeGreaterThan(2));
    fireEvent.click(await screen.findByRole("button", { name: "Take 2 balls, leave 1 row out" }));
    await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
    const taken = calls.find((c) => c.request === "POST /api/lessons/l1/shot-files")!
      .body as Wire["TakeEntry"];
    expect(taken).toMatchObject({ name: "range.csv", moment: "before", leaveOut: true });
    expect(taken.file.columns?.figures.carry?.unit).toBe("m");
  });

  it("is taken out again as a whole", async () => {
    const calls = serve({
      "GET /api/lessons/l1/shot-files": [
        { id: "f1", name: "range.csv", stage: "before", balls: 12, takenAt: "2026-12-01T10:00:00Z" },
        { id: "f2", name: "later.csv", stage: "after", balls: 9, takenAt: "2026-12-01T10:00:00Z" },
      ],
      "DELETE /api/shot-files/f1": new Response(null, { status: 200 }),
    });
    show(<ShotsPanel lessonId="l1" studentId="s1" moment="before" />);
    fireEvent.click(await screen.findByRole("button", { name: "Take range.csv out again" }));
    await waitFor(() => expect(calls.some((c) => c.request === "DELETE /api/shot-files/f1")).toBe(true));
    expect(screen.queryByText(/later.csv/)).toBeNull();
  });
});
