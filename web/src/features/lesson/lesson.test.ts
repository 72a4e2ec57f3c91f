import { describe, expect, it } from "vitest";
import type { LessonEntry } from "@/api/types";
import {
  answered,
  counted,
  countedInLast,
  read,
  triesOf,
  tryChanged,
  unread,
  withoutTry,
  withTry,
} from "./changes";
import { total } from "../progress/tally";
import { beginHistory, historyReducer } from "./history";
import { belongsElsewhere, keyFor, TALLY_KEYS } from "./keys";

const moment = () => ({ readings: [], shots: { flight: {}, strike: {}, divot: {} } });
const EMPTY: LessonEntry = { approach: {}, signs: {}, before: moment(), after: moment(), note: "" };

describe("changes to a lesson", () => {
  it("counts balls up and down, never below none", () => {
    const two = counted(counted(EMPTY, "before", "flight", "slice", 1), "before", "flight", "slice", 1);
    expect(two.before.shots.flight).toEqual({ slice: 2 });
    expect(total(two.before.shots.flight)).toBe(2);
    expect(EMPTY.before.shots.flight).toEqual({});
    const none = counted(counted(EMPTY, "after", "strike", "fat", 1), "after", "strike", "fat", -1);
    expect(none.after.shots.strike).toEqual({});
    expect(counted(EMPTY, "before", "flight", "hook", -1).before.shots.flight).toEqual({});
  });

  it("answers signs; not looked at leaves no trace", () => {
    const yes = answered(EMPTY, "feet-frozen", "yes");
    expect(yes.signs).toEqual({ "feet-frozen": "yes" });
    expect(answered(yes, "feet-frozen", "yes")).toBe(yes);
    expect(answered(yes, "feet-frozen", "unseen").signs).toEqual({});
  });

  it("keeps one reading per measure, checkpoint and source", () => {
    const reading = { id: "trail-share", at: "top", value: 70, source: "seen", swings: 3 };
    const twice = read(read(EMPTY, "before", reading), "before", { ...reading, value: 60 });
    expect(twice.before.readings).toEqual([{ ...reading, value: 60 }]);
    const plate = read(twice, "before", { ...reading, source: "plate" });
    expect(plate.before.readings).toHaveLength(2);
    expect(unread(plate, "before", 0).before.readings).toHaveLength(1);
  });
});

describe("history", () => {
  const add = (note: string) => ({ type: "change" as const, change: (e: LessonEntry) => ({ ...e, note }) });

  it("goes back and forward through every state", () => {
    let history = historyReducer(historyReducer(beginHistory(EMPTY), add("a")), add("b"));
    history = historyReducer(history, { type: "undo" });
    expect(history.now.note).toBe("a");
    history = historyReducer(history, { type: "redo" });
    expect(history.now.note).toBe("b");
    history = historyReducer(historyReducer(history, { type: "undo" }), add("c"));
    expect(historyReducer(history, { type: "redo" }).now.note).toBe("c");
  });

  it("does nothing at either end or for no change", () => {
    const begun = beginHistory(EMPTY);
    expect(historyReducer(begun, { type: "undo" })).toEqual(begun);
    expect(historyReducer(begun, { type: "change", change: (e) => e })).toEqual(begun);
  });
});

describe("keys", () => {
  it("gives every result of a ball its own key and leaves the others alone", () => {
    expect(Object.keys(TALLY_KEYS)).toHaveLength(18);
    expect(Object.keys(TALLY_KEYS).filter((k) => "ynxz/?12345678".includes(k))).toEqual([]);
    expect(keyFor("strike", "thin")).not.toBe(keyFor("divot", "thin"));
  });

  it("stays out of fields and of the browser's own shortcuts", () => {
    const input = document.createElement("input");
    document.body.append(input);
    const heard: boolean[] = [];
    window.addEventListener("keydown", (e) => heard.push(belongsElsewhere(e)));
    input.dispatchEvent(new KeyboardEvent("keydown", { key: "s", bubbles: true }));
    document.body.dispatchEvent(new KeyboardEvent("keydown", { key: "s", ctrlKey: true, bubbles: true }));
    document.body.dispatchEvent(new KeyboardEvent("keydown", { key: "s", bubbles: true }));
    expect(heard).toEqual([true, true, false]);
  });

  it("keeps stages in order, counts in the last and takes one out", () => {
    const two = withTry(withTry(EMPTY, "a", "disc-turn"), "b");
    const clubbed = withTry(tryChanged(two, "b", { club: "wedge" }), "c");
    expect(triesOf(clubbed).map((t) => t.name)).toEqual(["a", "b", "c"]);
    expect(triesOf(clubbed).at(-1)!.tried.club, "as the one before").toBe("wedge");
    const counting = countedInLast(countedInLast(clubbed, "flight", "slice"), "flight", "slice");
    expect(counting.tries!.c!.shots.flight).toEqual({ slice: 2 });
    expect(counting.before.shots.flight, "the first balls stay").toEqual({});
    expect(triesOf(withoutTry(counting, "b")).map((t) => t.name)).toEqual(["a", "c"]);
    expect(countedInLast(EMPTY, "flight", "slice")).toBe(EMPTY);
  });
});
