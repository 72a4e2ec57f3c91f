import { cleanup, render, screen } from "@testing-library/react";
import { afterEach, expect, it } from "vitest";
import type { Thread } from "@/api/types";
import { CATALOGUE } from "@/test/fixtures";
import { FeltSoles } from "./FeltSoles";

afterEach(cleanup);

const point = (value: number) => ({ value, low: value, high: value, of: 1 });
const felt = (at: string, ...shares: number[]) => ({
  id: `felt:${at}`,
  label: at,
  unit: "%",
  tries: "",
  points: shares.map((value, i) => ({ ...point(value), day: `2026-12-0${i + 1}` })),
});
const knot = (heldOn: string, before: Thread["knots"][number]["before"]) => ({
  lessonId: heldOn,
  heldOn,
  focus: [],
  before,
  after: {},
});
const thread: Thread = {
  all: 2,
  series: [],
  knots: [
    knot("2026-11-01", { "trail-share@top/seen": point(90) }),
    knot("2026-11-08", { "trail-share@top/felt": point(85), "trail-share@top/plate": point(70) }),
  ],
  between: [felt("address", 50), felt("top", 60, 80)],
};

it("lays what was felt last over what the plate of the latest lesson told", () => {
  render(<FeltSoles thread={thread} catalogue={CATALOGUE} hand="right" />);
  expect(screen.getByRole("img", { name: /^Load: 20 % on the left foot, 80 % on the right/ })).toBeTruthy();
  expect(screen.getByText(/70 % in the lesson of .*8 Nov/)).toBeTruthy();
  expect(screen.getAllByText(/in the lesson of/)).toHaveLength(1);
});

it("is nothing where nothing was felt", () => {
  render(<FeltSoles thread={{ ...thread, between: [] }} catalogue={CATALOGUE} hand="left" />);
  expect(screen.queryByRole("img")).toBeNull();
});
