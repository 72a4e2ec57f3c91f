import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { serve, show } from "@/test/fixtures";
import { RecordTools, TakeRecord } from "./RecordTools";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const chosen = (text: string) => Object.assign(new File([text], "r.json"), { text: async () => text });

describe("a student's record", () => {
  it("is erased only under its typed name", async () => {
    const refusal = { detail: "Type the student's name.", fields: [{ field: "name", message: "no" }] };
    const calls = serve({
      "POST /api/students/s1/erasure": (body: unknown) =>
        (body as { name: string }).name === "Ferris Dunmore" ? {} : refusal,
    });
    show(<RecordTools studentId="s1" name="Ferris Dunmore" />, { others: ["/students"] });
    fireEvent.click(screen.getByRole("button", { name: "Erase the record" }));
    fireEvent.change(screen.getByLabelText(/Type/), { target: { value: "Ferris Dunmore" } });
    fireEvent.click(screen.getByRole("button", { name: "Erase for good" }));
    expect(await screen.findByText("Now at /students")).toBeTruthy();
    expect(calls[0]!.body).toEqual({ name: "Ferris Dunmore" });
  });

  it("says why nothing was erased", async () => {
    const refusal = { detail: "Type the name.", fields: [{ field: "name", message: "Type the name." }] };
    serve({ "POST /api/students/s1/erasure": Response.json(refusal, { status: 422 }) });
    show(<RecordTools studentId="s1" name="Ferris Dunmore" />);
    fireEvent.click(screen.getByRole("button", { name: "Erase the record" }));
    fireEvent.change(screen.getByLabelText(/Type/), { target: { value: "Ferris" } });
    fireEvent.click(screen.getByRole("button", { name: "Erase for good" }));
    expect(await screen.findByText("Type the name.")).toBeTruthy();
  });

  it("is taken in, and a broken one says where", async () => {
    const fields = [{ field: "lesson[0].heldOn", message: "is not a localdate." }];
    const answers: Record<string, unknown> = {
      "GET /api/records/erasures": ["2026-11-01"],
      "POST /api/records": Response.json({ detail: "x", fields }, { status: 422 }),
    };
    serve(answers);
    show(<TakeRecord />, { others: ["/students/:id"] });
    expect(await screen.findByText("One record was erased.")).toBeTruthy();
    fireEvent.change(screen.getByLabelText("Record file"), { target: { files: [chosen("{oops")] } });
    expect(await screen.findByText(/r.json is no JSON file/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText("Record file"), { target: { files: [chosen("{}")] } });
    expect(await screen.findByText("lesson[0].heldOn")).toBeTruthy();
    answers["POST /api/records"] = { id: "s9", name: "Ferris" };
    fireEvent.change(screen.getByLabelText("Record file"), { target: { files: [chosen("{}")] } });
    await waitFor(() => expect(screen.getByText("Now at /students/:id")).toBeTruthy());
  });
});
