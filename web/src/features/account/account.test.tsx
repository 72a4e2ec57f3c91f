import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Session } from "@/api/types";
import { serve, show } from "@/testing/fixtures";
import { FirstCoachPage } from "./FirstCoachPage";
import { Home } from "./OnlyFor";
import { SignInPage } from "./SignInPage";
import WelcomePage from "./WelcomePage";

const nobody: Session = { firstRun: false, demo: [], daysAhead: 0 };
const as = (role: string): Session => ({
  ...nobody,
  account: { id: "me", name: "X", email: "x@x.example", role, owner: false },
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("signing in", () => {
  it("says that it did not work, then goes in", async () => {
    const refused = new Response('{"detail":"What you typed does not belong together."}', {
      status: 401,
    });
    serve({ "GET /api/session": nobody, "POST /api/session": refused });
    show(<SignInPage />, { path: "/sign-in", others: ["/"] });
    fireEvent.change(await screen.findByLabelText("E-mail"), { target: { value: "x@x.example" } });
    fireEvent.change(screen.getByLabelText("Password"), { target: { value: "wrong" } });
    fireEvent.submit(screen.getByRole("form", { name: "Sign in" }));
    expect(await screen.findByText(/does not belong together/)).toBeTruthy();
    cleanup();
    const calls = serve({
      "GET /api/session": { ...nobody, demo: [{ who: "Coach", email: "c@x.example", password: "pw" }] },
      "POST /api/session": as("coach"),
    });
    show(<SignInPage />, { path: "/sign-in", others: ["/"] });
    fireEvent.click(await screen.findByText("Coach"));
    expect(await screen.findByText("Now at /")).toBeTruthy();
    expect(calls.at(-1)?.body).toEqual({ email: "c@x.example", password: "pw" });
  });

  it.each([
    [as("coach"), "Now at /day"],
    [as("student"), "Now at /today"],
    [nobody, "Now at /sign-in"],
    [{ ...nobody, firstRun: true }, "Now at /start"],
  ])("begins where the account belongs", async (session, expected) => {
    serve({ "GET /api/session": session });
    show(<Home />, { others: ["/day", "/today", "/sign-in", "/start"] });
    expect(await screen.findByText(expected)).toBeTruthy();
  });
});

describe("new accounts", () => {
  const fill = () => {
    fireEvent.change(screen.getByLabelText("E-mail"), { target: { value: "x@x.example" } });
    fireEvent.change(screen.getByLabelText("Password"), { target: { value: "long-enough" } });
  };

  it("shows what is wrong beside the field", async () => {
    const refused = new Response(
      JSON.stringify({
        detail: "x",
        fields: [{ field: "email", message: "There is an account with this e-mail." }],
      }),
      { status: 422 },
    );
    serve({ "GET /api/session": { ...nobody, firstRun: true }, "POST /api/first-coach": refused });
    show(<FirstCoachPage />, { path: "/start" });
    fireEvent.change(await screen.findByLabelText("Your name"), { target: { value: "Ida" } });
    fill();
    fireEvent.click(screen.getByRole("button", { name: "Begin" }));
    expect(await screen.findByText("There is an account with this e-mail.")).toBeTruthy();
    expect(screen.getByLabelText("E-mail").getAttribute("aria-invalid")).toBe("true");
  });

  it("takes an invitation once", async () => {
    const calls = serve({
      "GET /api/session": nobody,
      "GET /api/invitations/t": { student: "Ferris", coach: "Ida" },
      "POST /api/invitations/t": as("student"),
    });
    show(<WelcomePage />, { path: "/welcome/:token", at: "/welcome/t", others: ["/"] });
    expect((await screen.findByText(/has a practice plan/)).textContent).toContain("Ida");
    fill();
    fireEvent.click(screen.getByRole("button", { name: "Make my account" }));
    expect(await screen.findByText("Now at /")).toBeTruthy();
    expect(calls.at(-1)).toEqual({
      request: "POST /api/invitations/t",
      body: { email: "x@x.example", password: "long-enough" },
    });
    cleanup();
    serve({ "GET /api/invitations/t": new Response('{"detail":"used already"}', { status: 404 }) });
    show(<WelcomePage />, { path: "/welcome/:token", at: "/welcome/t" });
    expect((await screen.findByRole("alert")).textContent).toContain("used already");
  });
});
