import { afterEach, expect, it } from "vitest";
import type { Query } from "@tanstack/react-query";
import { client, keeping } from "./keeping";
import { queries } from "./queries";

const DAY = 86_400_000;
const kept = (key: string, age = 0) =>
  keeping.dehydrateOptions!.shouldDehydrateQuery!({
    queryKey: [key, "x"],
    state: { data: {}, dataUpdatedAt: Date.now() - age * DAY },
  } as unknown as Query);
const signedIn = (role: string) =>
  client.setQueryData(queries.session().queryKey, { account: { role } } as never);

afterEach(() => client.clear());

it("keeps for a student what works without a signal, and movements for two weeks", () => {
  signedIn("student");
  expect(kept("me", 30)).toBe(true);
  expect(kept("motions", 13)).toBe(true);
  expect(kept("motions", 15)).toBe(false);
  expect(kept("students")).toBe(false);
});

it("keeps nothing of a coach's students", () => {
  signedIn("coach");
  expect(kept("catalogue")).toBe(false);
  expect(kept("motions")).toBe(false);
});
