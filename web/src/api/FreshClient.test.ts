import { QueryObserver } from "@tanstack/react-query";
import { describe, expect, it, vi } from "vitest";
import { FreshClient } from "./FreshClient";

describe("a change while something is asked for the first time", () => {
  it("does not leave the answer from before it", async () => {
    let stored = "before";
    const answers: (() => void)[] = [];
    const client = new FreshClient();
    const observer = new QueryObserver(client, {
      queryKey: ["students"],
      queryFn: () => {
        const read = stored;
        return new Promise<string>((resolve) => answers.push(() => resolve(read)));
      },
    });
    const stop = observer.subscribe(() => {});
    stored = "after";
    const invalidated = client.invalidateQueries();
    answers[0]?.();
    await vi.waitFor(() => expect(answers).toHaveLength(2));
    answers[1]?.();
    await invalidated;
    expect(observer.getCurrentResult().data).toBe("after");
    stop();
  });
});
