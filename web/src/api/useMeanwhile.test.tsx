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
    await result.current.save(send, (a) => a, none);
    await result.current.save(send, (a) => a, none);
    expect(versions).toEqual([3, 4]);
  });

  it("puts what others changed together with mine, tells it, and names their version next", async () => {
    const { result } = renderHook(() => useMeanwhile(stored));
    const theirs: Kept<Sheet> = { value: { note: "Theirs", signs: {} }, version: 7 };
    let mine: Sheet = { note: "", signs: { sway: "yes" } };
    await act(async () => {
      const answer = await result.current.save<Kept<Sheet>>(
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

  it("leaves every other failure to who asked", async () => {
    const { result } = renderHook(() => useMeanwhile(stored));
    const failing = result.current.save(
      () => Promise.reject(new Problem(507, "full")),
      () => stored,
      () => undefined,
    );
    await expect(failing).rejects.toThrow("full");
  });
});
