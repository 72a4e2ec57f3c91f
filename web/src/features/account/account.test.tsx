import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "@/api/client";
import { forget } from "@/api/keeping";
import { signIn } from "@/api/signedOut";
import type { Session } from "@/api/types";
import { serve, show, showRoutes } from "@/test/fixtures";
import { FirstCoachPage } from "./FirstCoachPage";
import { Home, OnlyFor } from "./OnlyFor";
import { SignInPage } from "./SignInPage";
import WelcomePage from "./WelcomePage";

const nobody: Session = { firstRun: false, demo: [], daysAhead: 0 };
const as = (role: string): Session => ({
  ...nobody,
  account: { id: "me", name: "X", email: "x@x.example", role, owner: false, units: "metric" },
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  signIn.done();
});

describe("signing in", () => {
  it("says that it did not work, then goes in", async () => {
    const refused = new Response('{"detail":"E-mail and password do not match."}', {
      status: 401,
    });
    serve({ "GET /api/session": nobody, "POST /api/session": refused });
    show(<SignInPage />, { path: "/sign-in", others: ["/"] });
    fireEvent.change(await screen.findByLabelText("E-mail"), { target: { value: "x@x.example" } });
    fireEvent.change(screen.getByLabelText("Password"), { target: { value: "wrong" } });
    fireEvent.submit(screen.getByRole("form", { name: "Sign in" }));
    expect(await screen.findByText(/do not match/)).toBeTruthy();
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

describe("a machine that two share", () => {
  const other = { ...as("student"), account: { ...as("student").account!, id: "other", name: "Other" } };

  it("does nothing under the session of whoever signed in in another tab, and says so", async () => {
    let now = as("student");
    const headers: (string | null)[] = [];
    serve({
      "GET /api/session": () => now,
      "PUT /api/me/rounds/r1": () =>
        Response.json(
          { detail: "Somebody else is signed in here now.", otherAccount: true },
          { status: 403 },
        ),
    });
    const serving = globalThis.fetch;
    vi.stubGlobal("fetch", (path: string, init: RequestInit = {}) => {
      headers.push(new Headers(init.headers).get("For-Account"));
      return serving(path, init);
    });
    showRoutes(
      [{ element: <OnlyFor role="student" />, children: [{ path: "/today", element: <p>My practice</p> }] }],
      "/today",
    );
    await screen.findByText("My practice");
    now = other;
    await expect(api.put("/api/me/rounds/r1", {})).rejects.toThrow("Somebody else");
    expect(headers.at(-1)).toBe("me");
    expect(await screen.findByText(/Somebody else signed in here/)).toBeTruthy();
    expect(screen.getByRole("button", { name: "Sign in as X" })).toBeTruthy();
  });

  it("leaves nothing on it that the server has", () => {
    localStorage.setItem(
      "hodegon-outbox:x@x.example",
      JSON.stringify([
        { id: "a", state: "sent" },
        { id: "b", state: "unsent" },
      ]),
    );
    localStorage.setItem("hodegon-outbox:y@x.example", JSON.stringify([{ id: "c", state: "sent" }]));
    forget();
    expect(JSON.parse(localStorage.getItem("hodegon-outbox:x@x.example")!)).toEqual([
      { id: "b", state: "unsent" },
    ]);
    expect(localStorage.getItem("hodegon-outbox:y@x.example")).toBeNull();
  });
});

describe("a session that ends in the middle", () => {
  const ended = new Response('{"detail":"Sign in first."}', { status: 401 });
  function Page() {
    const client = useQueryClient();
    const [stored, setStored] = useState("");
    const put = () =>
      api.put<{ word: string }>("/api/thing", { word: "x" }).then(
        (a) => setStored(a.word),
        () => setStored("refused"),
      );
    return (
      <>
        <button onClick={() => void put()}>Put</button>
        <button onClick={() => void client.invalidateQueries()}>Renew</button>
        <p>{stored}</p>
      </>
    );
  }
  const open = async (answers: Record<string, unknown>) => {
    const calls = serve({ "GET /api/session": as("coach"), ...answers });
    const pages = { element: <OnlyFor role="coach" />, children: [{ path: "/page", element: <Page /> }] };
    showRoutes(
      [pages, { path: "/sign-in", element: <SignInPage /> }, { path: "/", element: <p>Home</p> }],
      "/page",
    );
    await screen.findByText("Put");
    return calls;
  };

  it("asks on the spot, and what was sent goes through", async () => {
    const answers: unknown[] = [ended, { word: "arrived" }];
    const calls = await open({
      "PUT /api/thing": () => answers.shift(),
      "POST /api/session": as("coach"),
    });
    fireEvent.click(screen.getByText("Put"));
    fireEvent.change(await screen.findByLabelText("Password"), { target: { value: "pw" } });
    fireEvent.submit(screen.getByRole("form", { name: "Sign in again" }));
    expect(await screen.findByText("arrived")).toBeTruthy();
    expect(calls.find((c) => c.request === "POST /api/session")?.body).toEqual({
      email: "x@x.example",
      password: "pw",
    });
    expect(screen.queryByRole("dialog")).toBeNull();
  });

  it("brings a fresh token where the page has an old one, and not for ever", async () => {
    const refused = new Response('{"detail":"Out of date."}', { status: 403 });
    let answers: unknown[] = [refused, { word: "arrived" }];
    const calls = await open({
      "PUT /api/thing": () => answers.shift(),
      "GET /api/session": () => {
        document.cookie = `XSRF-TOKEN=${answers.length}`;
        return as("coach");
      },
    });
    document.cookie = "XSRF-TOKEN=old";
    fireEvent.click(screen.getByText("Put"));
    expect(await screen.findByText("arrived")).toBeTruthy();
    answers = Array.from({ length: 9 }, () => refused);
    const before = calls.length;
    fireEvent.click(screen.getByText("Put"));
    expect(await screen.findByText("refused")).toBeTruthy();
    expect(calls.slice(before).filter((c) => c.request.startsWith("PUT"))).toHaveLength(4);
  });

  it("can be put off, and says so until then", async () => {
    await open({ "PUT /api/thing": ended });
    fireEvent.click(screen.getByText("Put"));
    fireEvent.click(await screen.findByRole("button", { name: "Later" }));
    expect(await screen.findByText(/You are signed out/)).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Sign in" }));
    expect(await screen.findByRole("dialog")).toBeTruthy();
  });

  it("keeps the page when the session is found ended by looking", async () => {
    const answers: unknown[] = [as("coach"), nobody];
    await open({ "GET /api/session": () => answers.shift() });
    fireEvent.click(screen.getByText("Renew"));
    expect(await screen.findByRole("dialog")).toBeTruthy();
    expect(screen.getByText("Put")).toBeTruthy();
  });

  it("leads back to where one wanted to go, and only within", async () => {
    for (const [to, there] of [
      ["%2Fpage%3Fx%3D1", "/page?x=1"],
      ["https%3A%2F%2Fevil.example", "/"],
      ["%2F%2Fevil.example%2F", "/"],
    ]) {
      serve({ "GET /api/session": nobody, "POST /api/session": as("coach") });
      const router = showRoutes(
        [
          { path: "/sign-in", element: <SignInPage /> },
          { path: "*", element: <p>There</p> },
        ],
        `/sign-in?to=${to}`,
      );
      fireEvent.submit(await screen.findByRole("form", { name: "Sign in" }));
      await screen.findByText("There");
      expect(router.state.location.pathname + router.state.location.search).toBe(there);
      cleanup();
    }
    serve({ "GET /api/session": nobody });
    const router = showRoutes(
      [
        { element: <OnlyFor role="coach" />, children: [{ path: "/page", element: <Page /> }] },
        { path: "*", element: <p>Way in</p> },
      ],
      "/page?x=1",
    );
    await screen.findByText("Way in");
    expect(router.state.location.search).toBe("?to=%2Fpage%3Fx%3D1");
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
