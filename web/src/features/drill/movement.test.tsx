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
