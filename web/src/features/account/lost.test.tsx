import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { serve, show, SIGNED_IN } from "@/test/fixtures";
import { AccountPanel } from "./AccountPanel";
import ForgottenPage from "./ForgottenPage";
import PasswordLinkPage from "./PasswordLinkPage";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const HERE = {
  id: "a",
  browser: "A computer",
  address: "",
  since: "2026-11-20T10:00:00Z",
  last: "2026-11-20T11:00:00Z",
  here: true,
};
const THERE = { ...HERE, id: "b", browser: "A phone", address: "10.0.0.7", here: false };

describe("one's own account", () => {
  it("shows where one is signed in, and ends what one does not know", async () => {
    const calls = serve({
      "GET /api/account": { signedIn: [HERE, THERE], codesLeft: 0 },
      "DELETE /api/account/sessions/b": {},
      "DELETE /api/account/sessions": {},
    });
    show(<AccountPanel codes />);
    expect(await screen.findByText(/from 10.0.0.7/)).toBeTruthy();
    expect(screen.getAllByRole("button", { name: "Sign out" })).toHaveLength(1);
    fireEvent.click(screen.getByRole("button", { name: "Sign out" }));
    await waitFor(() => expect(calls.some((c) => c.request === "DELETE /api/account/sessions/b")).toBe(true));
    fireEvent.click(screen.getByRole("button", { name: "Sign out everywhere else" }));
    await waitFor(() => expect(calls.some((c) => c.request === "DELETE /api/account/sessions")).toBe(true));
  });

  it("names the field that was wrong when the password is changed", async () => {
    const refusal = { detail: "x", fields: [{ field: "current", message: "This is not your password." }] };
    serve({
      "GET /api/account": { signedIn: [HERE], codesLeft: 3 },
      "PUT /api/account/password": Response.json(refusal, { status: 422 }),
    });
    show(<AccountPanel codes={false} />);
    fireEvent.change(await screen.findByLabelText("Present password"), { target: { value: "wrong" } });
    fireEvent.change(screen.getByLabelText("New password"), { target: { value: "a-long-word" } });
    fireEvent.click(screen.getByRole("button", { name: "Change it" }));
    expect(await screen.findByText("This is not your password.")).toBeTruthy();
    expect(screen.queryByText("If the password is lost")).toBeNull();
  });

  it("makes codes that are shown once", async () => {
    serve({
      "GET /api/account": { signedIn: [HERE], codesLeft: 3 },
      "POST /api/account/codes": { codes: ["AAAAA-BBBBB", "CCCCC-DDDDD"] },
    });
    show(<AccountPanel codes />);
    expect(await screen.findByText(/3 printed codes are left/)).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Make new codes" }));
    const sheet = await screen.findByRole("dialog");
    fireEvent.change(sheet.querySelector("input")!, { target: { value: "right" } });
    fireEvent.click(screen.getByRole("button", { name: "Make eight codes" }));
    expect(await screen.findByText("CCCCC-DDDDD")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Close" }));
    await waitFor(() => expect(screen.queryByText("CCCCC-DDDDD")).toBeNull());
  });
});

describe("a lost password", () => {
  it("is set anew by a code, and a wrong one is told", async () => {
    const answers: Record<string, unknown> = {
      "GET /api/session": SIGNED_IN,
      "POST /api/forgotten-password": Response.json(
        { detail: "They do not belong together." },
        { status: 401 },
      ),
    };
    const calls = serve(answers);
    show(<ForgottenPage />, { path: "/forgotten", others: ["/"] });
    fireEvent.change(screen.getByLabelText("E-mail"), { target: { value: "x@x.example" } });
    fireEvent.change(screen.getByLabelText("Code"), { target: { value: "aaaaa-bbbbb" } });
    fireEvent.change(screen.getByLabelText("New password"), { target: { value: "a-long-word" } });
    fireEvent.click(screen.getByRole("button", { name: "Set it and sign in" }));
    expect(await screen.findByText("They do not belong together.")).toBeTruthy();
    answers["POST /api/forgotten-password"] = SIGNED_IN;
    fireEvent.click(screen.getByRole("button", { name: "Set it and sign in" }));
    expect(await screen.findByText("Now at /")).toBeTruthy();
    expect(calls.at(-1)?.body).toEqual({
      email: "x@x.example",
      code: "aaaaa-bbbbb",
      password: "a-long-word",
    });
  });

  it("is set by a link that works once", async () => {
    serve({
      "GET /api/session": SIGNED_IN,
      "GET /api/password-links/t1": { name: "Sela Moor", email: "s@x.example" },
      "POST /api/password-links/t1": SIGNED_IN,
    });
    show(<PasswordLinkPage />, { path: "/password/:token", at: "/password/t1", others: ["/"] });
    expect(await screen.findByText("Hello Sela Moor")).toBeTruthy();
    fireEvent.change(screen.getByLabelText("New password"), { target: { value: "a-long-word" } });
    fireEvent.click(screen.getByRole("button", { name: "Set it and sign in" }));
    expect(await screen.findByText("Now at /")).toBeTruthy();
  });
});
