import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { useState } from "react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { DrillSource } from "@/api/types";
import { CATALOGUE, serve, show } from "@/test/fixtures";
import { motionOf } from "@/test/motion";
import { NEW_DRILL } from "./drillForm";
import { MovementFields } from "./MovementFields";

const CATALOGUE_MOVING = {
  ...CATALOGUE,
  drills: { ...CATALOGUE.drills, "disc-turn": { ...CATALOGUE.drills["disc-turn"]!, moving: true } },
};
const LIKE = { set: { "trail-flare": 40 }, mistake: { fault: "sway" }, things: { "trail-sole": "disc" } };
let drill: DrillSource;
let asked: string[];

function Form({ first }: { first: DrillSource }) {
  const [source, set] = useState(first);
  return (
    <MovementFields
      drill={source}
      catalogue={CATALOGUE_MOVING}
      change={(part) => {
        drill = { ...source, ...part };
        set(drill);
      }}
    />
  );
}

beforeEach(() => {
  vi.stubGlobal("matchMedia", () => ({ matches: true, addEventListener() {}, removeEventListener() {} }));
  asked = [];
  const preview = (body: unknown) => {
    asked.push(JSON.stringify(body));
    return motionOf(50);
  };
  serve({
    "GET /api/drills/disc-turn/file": [{ ...NEW_DRILL, movement: LIKE }],
    "POST /api/motions/preview?rung=feel&mistake=false": preview,
    "POST /api/motions/preview?rung=feel&mistake=true": preview,
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it("takes the movement of another drill, and is shown as it is set", async () => {
  show(<Form first={NEW_DRILL} />, { path: "/", at: "/" });
  expect(screen.queryByLabelText("Held at the top")).toBeNull();
  fireEvent.change(screen.getByLabelText("Moves like"), { target: { value: "disc-turn" } });
  const held = await screen.findByLabelText("Held at the top");
  await screen.findByLabelText("Time in the movement");
  fireEvent.change(held, { target: { value: "2" } });
  fireEvent.change(screen.getByLabelText("Hands"), { target: { value: "stick" } });
  fireEvent.change(screen.getByLabelText("Where"), { target: { value: "lead-sole" } });
  expect(drill.movement).toEqual({
    ...LIKE,
    pauses: { top: 2 },
    on: { feel: { hands: "stick" } },
    things: { "lead-sole": "disc" },
  });
  await waitFor(() => expect(asked.at(-1)).toBe(JSON.stringify(drill.movement)));
  fireEvent.change(held, { target: { value: "0" } });
  expect(drill.movement?.pauses).toEqual({});
});

it("shows the usual mistake on request, and is given up again", async () => {
  show(<Form first={{ ...NEW_DRILL, movement: LIKE }} />, { path: "/", at: "/" });
  await screen.findByLabelText("Time in the movement");
  const before = asked.length;
  fireEvent.click(screen.getByLabelText("The usual mistake"));
  await waitFor(() => expect(asked.length).toBe(before + 1));
  fireEvent.change(screen.getByLabelText("Begin again from"), { target: { value: "" } });
  expect(drill.movement).toBeUndefined();
});

it("loads the feet otherwise at a moment, and gives a moment back to the swing", async () => {
  show(<Form first={{ ...NEW_DRILL, movement: LIKE }} />, { path: "/", at: "/" });
  const top = screen.getByLabelText("Load under the trail foot, %");
  fireEvent.change(top, { target: { value: "75" } });
  expect(drill.movement?.set).toEqual({ "trail-flare": 40, "trail-share": { top: 75 } });
  await waitFor(() => expect(asked.at(-1)).toContain('"trail-share":{"top":75}'));
  // What was so for the whole movement stays so elsewhere.
  fireEvent.change(screen.getByLabelText("Trail foot turned out, °"), { target: { value: "55" } });
  expect(screen.getByText("Address 40")).toBeTruthy();
  expect(drill.movement?.set?.["trail-flare"]).toEqual({ address: 40, top: 55 });
  fireEvent.change(top, { target: { value: "" } });
  expect(Object.keys(drill.movement!.set!)).toEqual(["trail-flare"]);
});

it("has a foot step, and another usual mistake", () => {
  show(<Form first={{ ...NEW_DRILL, movement: { ...LIKE, mistake: undefined } }} />, { path: "/", at: "/" });
  expect(screen.queryByLabelText("When")).toBeNull();
  fireEvent.change(screen.getByLabelText("Foot that steps"), { target: { value: "trail" } });
  fireEvent.change(screen.getByLabelText("When"), { target: { value: "impact finish" } });
  fireEvent.change(screen.getByLabelText("How far"), { target: { value: "30" } });
  expect(drill.movement?.steps).toEqual([{ foot: "trail", from: "impact", to: "finish", along: 30, in: 0 }]);
  fireEvent.change(screen.getByLabelText("Usual mistake"), { target: { value: "sway" } });
  fireEvent.change(screen.getByLabelText("How far it goes"), { target: { value: "0.7" } });
  expect(drill.movement?.mistake).toEqual({ fault: "sway", strength: 0.7 });
  fireEvent.change(screen.getByLabelText("Usual mistake"), { target: { value: "" } });
  fireEvent.change(screen.getByLabelText("Foot that steps"), { target: { value: "" } });
  expect(drill.movement).toMatchObject({ mistake: undefined, steps: [] });
});
