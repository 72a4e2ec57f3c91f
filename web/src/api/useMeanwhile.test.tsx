import { act, cleanup, renderHook } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";
import { Problem } from "./client";
import { type Kept, useMeanwhile } from "./useMeanwhile";

type Sheet = { note: string; signs: Record<string, string> };

afterEach(cleanup);

const stored: Kept<Sheet> = { value: { note: "", signs: {} }, version: 3 };

describe("saving over the version one has seen", () => {
  it("goes on from the version that was answered", async () => {
    const { result } = renderHook(() => useMeanwhile(stored));
    const versions: number[] = [];
    const send = (version: number) => {
      versions.push(version);
      return Promise.resolve({ value: stored.value, version: version + 1 });
    };
    const none = () => {
      throw new Error("nothing to put together");
    };
    await result.current.save(stored.value, send, (a) => a, none);
    await result.current.save(stored.value, send, (a) => a, none);
    expect(versions).toEqual([3, 4]);
  });

  it("puts what others changed together with mine, tells it, and names their version next", async () => {
    const { result } = renderHook(() => useMeanwhile(stored));
    const theirs: Kept<Sheet> = { value: { note: "Theirs", signs: {} }, version: 7 };
    let mine: Sheet = { note: "", signs: { sway: "yes" } };
    await act(async () => {
      const answer = await result.current.save<Kept<Sheet>>(
        mine,
        () => Promise.reject(new Problem(412, "changed", [], theirs)),
        (a) => a,
        (together) => (mine = together(mine)),
      );
      expect(answer).toBeNull();
    });
    expect(mine).toEqual({ note: "Theirs", signs: { sway: "yes" } });
    expect(result.current.changed).toEqual(["note"]);
    let named = 0;
    await result.current.save(
      mine,
      (version) => {
        named = version;
        return Promise.resolve(theirs);
      },
      (a) => a,
      () => undefined,
    );
    expect(named).toBe(7);
    act(() => result.current.seen());
    expect(result.current.changed).toEqual([]);
  });

  it("knows an attempt of its own that got through without an answer", async () => {
    const { result } = renderHook(() => useMeanwhile(stored, { counts: () => true }));
    const one = { note: "", signs: {}, balls: 1 } as unknown as Sheet;
    const none = () => undefined;
    let name = "";
    const lost = result.current.save(
      one,
      (_, save) => {
        name = save;
        return Promise.reject(new Problem(0, "no signal"));
      },
      () => stored,
      none,
    );
    await expect(lost).rejects.toThrow("no signal");
    let mine = { ...one, balls: 2 } as Sheet;
    await act(async () => {
      await result.current.save(
        mine,
        () => Promise.reject(new Problem(412, "changed", [], { value: one, version: 4, saves: [name] })),
        (a: Kept<Sheet>) => a,
        (together) => (mine = together(mine)),
      );
    });
    expect(mine).toEqual({ ...one, balls: 2 });
    expect(result.current.changed).toEqual([]);
  });

  it("leaves every other failure to who asked", async () => {
    const { result } = renderHook(() => useMeanwhile(stored));
    const failing = result.current.save(
      stored.value,
      () => Promise.reject(new Problem(507, "full")),
      () => stored,
      () => undefined,
    );
    await expect(failing).rejects.toThrow("full");
  });
});
