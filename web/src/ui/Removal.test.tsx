import { act, cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { Removal } from "./Removal";

describe("a removal", () => {
  beforeEach(() => {
    vi.useFakeTimers();
  });
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
  });

  const open = () => {
    const removed = vi.fn();
    const shown = render(<Removal label="Remove it" asks="It goes for good." onRemove={removed} />);
    fireEvent.click(screen.getByRole("button", { name: "Remove it" }));
    return { removed, ...shown };
  };
  const confirm = () => fireEvent.click(screen.getByRole("button", { name: "Remove" }));

  it("is asked for first, and can be left", () => {
    const { removed } = open();
    expect(screen.getByText("It goes for good.")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Keep" }));
    act(() => vi.advanceTimersByTime(20_000));
    expect(removed).not.toHaveBeenCalled();
  });

  it("waits ten seconds, in which it is undone by a press", () => {
    const { removed } = open();
    confirm();
    act(() => vi.advanceTimersByTime(9_000));
    expect(removed).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole("button", { name: "Undo" }));
    act(() => vi.advanceTimersByTime(20_000));
    expect(removed).not.toHaveBeenCalled();
  });

  it("happens once after them, or when the page is left", () => {
    const first = open();
    confirm();
    act(() => vi.advanceTimersByTime(11_000));
    act(() => vi.advanceTimersByTime(11_000));
    expect(first.removed).toHaveBeenCalledTimes(1);
    first.unmount();
    expect(first.removed).toHaveBeenCalledTimes(1);
    const second = open();
    confirm();
    second.unmount();
    expect(second.removed).toHaveBeenCalledTimes(1);
  });
});
