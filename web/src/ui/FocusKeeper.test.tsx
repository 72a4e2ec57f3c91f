import { act, cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { useState } from "react";
import { afterEach, describe, expect, it } from "vitest";
import { FocusKeeper } from "./FocusKeeper";

afterEach(cleanup);

function List() {
  const [names, setNames] = useState(["Ada", "Bea", "Cy"]);
  const [busy, setBusy] = useState(false);
  return (
    <main>
      <FocusKeeper />
      <ul>
        {names.map((name) => (
          <li key={name}>
            <button onClick={() => setNames((all) => all.filter((n) => n !== name))}>{name}</button>
          </li>
        ))}
      </ul>
      <button disabled={busy} onClick={() => setBusy(true)}>
        Save
      </button>
      <button onClick={() => setBusy(false)}>Saved</button>
    </main>
  );
}

const button = (name: string) => screen.getByRole("button", { name });
const press = (name: string) => {
  button(name).focus();
  fireEvent.click(button(name));
};

describe("the focus", () => {
  it("goes to what took the place, at the end to what was before", async () => {
    render(<List />);
    press("Bea");
    await waitFor(() => expect(document.activeElement).toBe(button("Cy")));
    press("Cy");
    await waitFor(() => expect(document.activeElement).toBe(button("Ada")));
    press("Ada");
    await waitFor(() => expect(document.activeElement?.tagName).toBe("UL"));
  });

  it("comes back to what was only disabled for a moment", async () => {
    render(<List />);
    press("Save");
    // As a browser does; this one leaves the focus on what is disabled.
    act(() => (document.activeElement as HTMLElement).blur());
    fireEvent.click(button("Saved"));
    await waitFor(() => expect(document.activeElement).toBe(button("Save")));
  });

  it("stays away where it was taken away on purpose", async () => {
    render(<List />);
    button("Ada").focus();
    await act(async () => button("Ada").blur());
    fireEvent.click(button("Bea"));
    await waitFor(() => expect(screen.queryByText("Bea")).toBeNull());
    expect(document.activeElement).toBe(document.body);
  });
});
