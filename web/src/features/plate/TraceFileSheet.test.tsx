import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { serve, show } from "@/test/fixtures";
import { TraceFileSheet } from "./TraceFileSheet";

const TEXT = [
  "Bay 2, morning",
  "ms;Left (N);Right (N)",
  ...Array.from({ length: 60 }, (_, i) => `${i * 5};${i === 7 ? "off" : "400,5"};390`),
].join("\n");

const COLUMNS = { time: 0, perSecond: 1000, unit: "newton", channels: { left: 1, right: 2 } };
const found = (number: number) => ({ number, seconds: 2.9, spark: [50, 80, 10], warnings: number });

function open(text: string, part: Record<string, unknown> = {}) {
  const calls = serve({
    "POST /api/trace-shapes": { columns: COLUMNS, remembered: false },
    "POST /api/lessons/l1/trace-imports": { id: "i1", channels: ["right", "left"] },
    "POST /api/trace-imports/i1/rows": [found(0), found(1)],
    "POST /api/trace-imports/i1/take": {},
    "DELETE /api/trace-imports/i1": {},
    ...part,
  });
  const onTaken = vi.fn();
  const onClose = vi.fn();
  show(
    <TraceFileSheet
      lessonId="l1"
      stage="before"
      file={new File([text], "morning.csv")}
      onTaken={onTaken}
      onClose={onClose}
    />,
    { path: "/", at: "/" },
  );
  const of = (request: string) => calls.filter((c) => c.request === request).map((c) => c.body);
  return { of, onTaken, onClose };
}

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("a file with loads", () => {
  it("is read by its columns, names the rows that are wrong, and takes the swings that are wanted", async () => {
    const { of, onTaken } = open(TEXT);
    await screen.findByText("200 samples a second, by the times in it.");
    expect(of("POST /api/trace-shapes")).toEqual([{ heading: ["ms", "Left (N)", "Right (N)"] }]);
    fireEvent.click(screen.getByRole("button", { name: "Look for swings" }));
    await screen.findByText("2 swings in 59 rows.");
    expect(screen.getByText(/1 row was left out/).textContent).toContain("line 10 says “off” for left");
    const begun = of("POST /api/lessons/l1/trace-imports")[0] as { rate: number; stage: string };
    expect(begun.rate).toBeCloseTo(200);
    expect(begun.stage).toBe("before");
    const rows = (of("POST /api/trace-imports/i1/rows")[0] as { rows: number[][] }).rows;
    expect(rows[1]).toEqual([1, 390, 400.5]);
    expect(rows[7]).toEqual([8, 390, 400.5]);

    fireEvent.click(screen.getByRole("checkbox", { name: /^2/ }));
    fireEvent.click(screen.getByRole("button", { name: "Take 1 swing" }));
    await waitFor(() => expect(onTaken).toHaveBeenCalled());
    expect(of("POST /api/trace-imports/i1/take")).toEqual([{ leaveOut: [1] }]);
  });

  it("asks for the rate where there are no times", async () => {
    open(TEXT, {
      "POST /api/trace-shapes": { columns: { ...COLUMNS, time: null }, remembered: true },
    });
    const rate = await screen.findByLabelText("Samples a second");
    const look = screen.getByRole("button", { name: "Look for swings" }) as HTMLButtonElement;
    expect(look.disabled).toBe(true);
    fireEvent.change(rate, { target: { value: "20" } });
    expect(look.disabled).toBe(true);
    fireEvent.change(rate, { target: { value: "200" } });
    expect(look.disabled).toBe(false);
  });

  it("waits until every channel of the shape has its column", async () => {
    const { of } = open(TEXT);
    const look = (await screen.findByRole("button", { name: "Look for swings" })) as HTMLButtonElement;
    fireEvent.change(screen.getByLabelText("Loads"), { target: { value: "forces" } });
    expect(look.disabled).toBe(true);
    expect(screen.getByLabelText("left outward")).toBeTruthy();
    fireEvent.change(screen.getByLabelText("Loads"), { target: { value: "feet" } });
    fireEvent.change(screen.getByLabelText("left"), { target: { value: "2" } });
    fireEvent.change(screen.getByLabelText("right"), { target: { value: "1" } });
    fireEvent.change(screen.getByLabelText("Unit"), { target: { value: "pound" } });
    fireEvent.click(look);
    await screen.findByText("2 swings in 59 rows.");
    const begun = of("POST /api/lessons/l1/trace-imports")[0] as { columns: typeof COLUMNS };
    expect(begun.columns.channels).toEqual({ left: 2, right: 1 });
    expect(begun.columns.unit).toBe("pound");
  });

  it("is left as it was when it is closed", async () => {
    const { of, onClose } = open(TEXT, { "POST /api/trace-imports/i1/rows": [] });
    fireEvent.click(await screen.findByRole("button", { name: "Look for swings" }));
    await screen.findByText(/No swing was found/);
    fireEvent.click(screen.getByRole("button", { name: "Cancel" }));
    expect(onClose).toHaveBeenCalled();
    await waitFor(() => expect(of("DELETE /api/trace-imports/i1")).toHaveLength(1));
  });

  it("says what is wrong with a file without numbers", async () => {
    open("hello\nworld");
    await screen.findByText("No table of numbers under a line of names is in this file.");
  });

  it("says what the server refuses", async () => {
    open(TEXT, {
      "POST /api/lessons/l1/trace-imports": () => {
        throw new TypeError("gone");
      },
    });
    fireEvent.click(await screen.findByRole("button", { name: "Look for swings" }));
    await screen.findByText(/No connection/);
  });
});
