import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { CATALOGUE, serve, show } from "@/test/fixtures";
import { covered, idFor, NEW_DRILL, pictured, withRungs } from "./drillForm";
import type { DrillSource } from "@/api/types";
import DrillFormPage from "./DrillFormPage";
import { HalfStepFields } from "./HalfStepFields";
import { LibraryFiles } from "./LibraryFiles";

const SOURCE: DrillSource = {
  ...NEW_DRILL,
  id: "disc-turn",
  name: "Disc turn",
  rungs: ["feel", "rehearse"],
  main: ["sway"],
  setUp: "{Trail} foot on the disc.",
  do: "Turn.",
  feel: "It screws in.",
  good: "It turned.",
  mistake: "It slid.",
  easier: "A chair.",
  harder: "Eyes closed.",
  cue: "Turn the disc",
  variations: ["Hands on the chest.", "With a club."],
  diagram: { props: { "trail-sole": "disc" }, press: ["trail-inner"] },
};

describe("a drill being written", () => {
  it("gets an id of its own", () => {
    expect(idFor("Plate Turn – café!", CATALOGUE)).toBe("plate-turn-cafe");
    expect(idFor("Disc turn", CATALOGUE)).toBe("disc-turn-2");
    expect(idFor("123", CATALOGUE)).toBe("own-drill");
  });

  it("keeps what was written for a rung that stays", () => {
    const wider = withRungs(SOURCE, "rehearse", "short", CATALOGUE);
    expect(wider.rungs).toEqual(["rehearse", "short"]);
    expect(wider.variations).toEqual(["With a club.", ""]);
    expect(covered(withRungs(SOURCE, "short", "feel", CATALOGUE), CATALOGUE)).toEqual(["short"]);
  });

  it("is pictured from its choices", () => {
    expect(pictured(SOURCE)).toEqual({
      stance: "normal",
      props: [{ at: "trail-sole", shape: "disc" }],
      press: ["trail-inner"],
      move: "none",
    });
  });
});

describe("half-steps of a rung", () => {
  afterEach(cleanup);

  it("are chosen, or one's own, with a speed, and go with their rung", () => {
    let drill = SOURCE;
    const fields = () => (
      <HalfStepFields
        rung={CATALOGUE.rungs[0]!}
        drill={drill}
        change={(part) => {
          drill = { ...drill, ...part };
          again(fields());
        }}
      />
    );
    const { rerender: again } = render(fields());
    fireEvent.click(screen.getByLabelText("Eyes closed"));
    fireEvent.click(screen.getByText("One of your own"));
    fireEvent.change(screen.getByLabelText("Name"), { target: { value: "On one breath" } });
    fireEvent.change(screen.getByLabelText("What is different"), { target: { value: "Breathe out." } });
    fireEvent.change(screen.getByLabelText("Speed on Feel in percent"), { target: { value: "40" } });
    expect(drill.halfSteps).toEqual({
      feel: ["eyes-closed", { id: "own-feel-1", label: "On one breath", do: "Breathe out." }],
    });
    expect(drill.speeds).toEqual({ feel: 40 });
    const without = withRungs(drill, "rehearse", "rehearse", CATALOGUE);
    expect([without.halfSteps, without.speeds]).toEqual([undefined, undefined]);
    fireEvent.click(screen.getByLabelText("Remove On one breath"));
    fireEvent.click(screen.getByLabelText("Eyes closed"));
    expect(drill.halfSteps).toBeUndefined();
  });
});

describe("the form and the file", () => {
  let calls: ReturnType<typeof serve>;
  const answers = {
    "GET /api/catalogue?hand=right": CATALOGUE,
    "GET /api/drills/disc-turn/file": [SOURCE],
    "POST /api/drills/own": { drills: 1 },
  };
  beforeEach(() => {
    calls = serve(answers);
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });
  const posted = () => calls.find((c) => c.request.startsWith("POST"))?.body as DrillSource[];

  it("copies a drill, changes it and keeps it under a new id", async () => {
    show(<DrillFormPage />, {
      path: "/drills/new",
      at: "/drills/new?copy=disc-turn",
      others: ["/drills/:id"],
    });
    const name = await screen.findByLabelText("Name");
    expect(name).toHaveProperty("value", "Disc turn, my way");
    fireEvent.change(name, { target: { value: "Plate turn" } });
    fireEvent.click(screen.getByLabelText("Range"));
    fireEvent.click(screen.getByLabelText("lead heel"));
    fireEvent.submit(name.closest("form")!);
    await screen.findByText("Now at /drills/:id");
    expect(posted()[0]).toMatchObject({
      id: "plate-turn",
      places: ["home", "range"],
      diagram: { press: ["trail-inner", "lead-heel"] },
      setUp: "{Trail} foot on the disc.",
    });
  });

  it("shows what the server refuses beside the field", async () => {
    calls = serve({
      ...answers,
      "POST /api/drills/own": new Response(
        JSON.stringify({ detail: "[0].cue is empty.", fields: [{ field: "[0].cue", message: "is empty." }] }),
        { status: 422 },
      ),
    });
    show(<DrillFormPage />, { path: "/drills/:id/edit", at: "/drills/disc-turn/edit" });
    fireEvent.submit((await screen.findByLabelText("Name")).closest("form")!);
    await screen.findByText("is empty.");
    expect(posted()[0]!.id).toBe("disc-turn");
  });

  // The test's browser has no File.text().
  const file = (text: string, name: string) =>
    Object.assign(new File([text], name), { text: () => Promise.resolve(text) });

  it("takes a file in whole, or says where it is wrong", async () => {
    show(<LibraryFiles own={0} />);
    const input = screen.getByLabelText("Drill file");
    fireEvent.change(input, { target: { files: [file(JSON.stringify([SOURCE]), "mine.json")] } });
    expect((await screen.findByRole("status")).textContent).toBe("1 taken in.");
    expect(posted()).toEqual([SOURCE]);
    fireEvent.change(input, { target: { files: [file("no", "notes.txt")] } });
    await waitFor(() =>
      expect(screen.getByRole("alert").textContent).toContain("notes.txt is no JSON file."),
    );
  });
});
