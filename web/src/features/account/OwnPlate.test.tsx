import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { serve, show } from "@/test/fixtures";
import { OwnPlate } from "./OwnPlate";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("the token of a coach's plate", () => {
  it("is shown once, when it is made", async () => {
    let madeAt: string | null = null;
    serve({
      "GET /api/plate": () => ({ tokenMadeAt: madeAt }),
      "POST /api/plate/token": () => {
        madeAt = "2026-12-01T09:00:00Z";
        return { token: "abc-123" };
      },
    });
    show(<OwnPlate />, { path: "/", at: "/" });
    fireEvent.click(await screen.findByRole("button", { name: "Make a token" }));
    await screen.findByText("abc-123");
    await screen.findByRole("button", { name: "Make a new token; the old one ends" });
  });

  it("is only said to be there later", async () => {
    serve({ "GET /api/plate": { tokenMadeAt: "2026-12-01T09:00:00Z" } });
    show(<OwnPlate />, { path: "/", at: "/" });
    await screen.findByText(/There is a token, made .*1 December/);
    expect(screen.queryByText("Copy the token now: it is not shown again.")).toBeNull();
  });
});
