import { act, renderHook } from "@testing-library/react";
import { expect, test } from "vitest";
import { useSaver } from "./useSaver";

/** A server that answers when it is told to. */
function slow() {
  const open: { value: string; answer: () => void; fail: () => void }[] = [];
  const send = (value: string) =>
    new Promise<void>((answer, fail) => open.push({ value, answer, fail: () => fail(new Error("gone")) }));
  return { open, send };
}

test("what was saved once is not saved while something else is on its way", async () => {
  const { open, send } = slow();
  const { result, rerender } = renderHook(({ value }) => useSaver(value, send), {
    initialProps: { value: "before" },
  });
  expect(result.current.state).toBe("saved");
  rerender({ value: "changed" });
  rerender({ value: "before" });
  expect(result.current.state).toBe("saving");
  await act(async () => open[0]?.answer());
  expect(result.current.state).toBe("saving");
  await act(async () => open[1]?.answer());
  expect(result.current.state).toBe("saved");
  expect(open.map((one) => one.value)).toEqual(["changed", "before"]);
});

test("what failed may have arrived: going back to what was saved is sent again", async () => {
  const { open, send } = slow();
  const { result, rerender } = renderHook(({ value }) => useSaver(value, send), {
    initialProps: { value: "before" },
  });
  rerender({ value: "changed" });
  await act(async () => open[0]?.fail());
  expect(result.current.state).toBe("unsaved");
  rerender({ value: "before" });
  expect(result.current.state).toBe("unsaved");
  await act(async () => open[1]?.answer());
  expect(open.at(-1)?.value).toBe("before");
  expect(result.current.state).toBe("saved");
});
