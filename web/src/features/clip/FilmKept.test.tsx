import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Wire } from "@/api/types";
import { CATALOGUE, serve, show } from "@/test/fixtures";
import { clipPoints, foundSwing, keptClip, picture } from "@/test/filmed";
import { ClipDesk } from "./ClipDesk";
import { FilmKept } from "./FilmKept";
import { holdPictures } from "./kept";
import { NoFilm } from "./noFilm";
import { useStored } from "./useStored";

const coded = vi.hoisted(() => ({ written: vi.fn(), read: vi.fn() }));
vi.mock("./keptFilm", () => coded);

beforeEach(() => {
  URL.createObjectURL = (of) => `blob:${(of as Blob).size}`;
  URL.revokeObjectURL = () => {};
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("whether a film is kept", () => {
  const film = (clip: Wire["ClipView"], agreed: string | undefined = "Ferris") => {
    const onChanged = vi.fn();
    show(<FilmKept clip={clip} agreed={agreed} onChanged={onChanged} />);
    return onChanged;
  };
  const here = () => {
    holdPictures("here", foundSwing());
    return keptClip({ id: "here" });
  };

  it("is asked only where somebody agreed and its pictures are at hand", () => {
    show(<FilmKept clip={here()} onChanged={() => {}} />);
    film(keptClip({ id: "of-another-day" }));
    holdPictures("by-hand", { ...foundSwing(), byHand: true });
    film(keptClip({ id: "by-hand" }));
    expect(screen.queryByRole("button")).toBeNull();
  });

  it("is chosen, and it goes out cut to the swing", async () => {
    coded.written.mockResolvedValue(picture());
    const calls = serve({ "PUT /api/clips/here/film": new Response(null, { status: 204 }) });
    const changed = film(here());
    fireEvent.click(screen.getByRole("button", { name: "Keep the film: Ferris agrees" }));
    await waitFor(() => expect(changed).toHaveBeenCalled());
    expect(calls[0]!.body).toEqual({ mp4: btoa("\xff\xd8\xff"), agreed: "Ferris" });
  });

  it("says why it cannot be", async () => {
    coded.written.mockRejectedValue(new NoFilm("This browser cannot write films."));
    film(here());
    fireEvent.click(screen.getByRole("button", { name: "Keep the film: Ferris agrees" }));
    expect(await screen.findByText("This browser cannot write films.")).toBeTruthy();
  });

  it("is said with its size, and it can be saved and removed", async () => {
    const calls = serve({ "DELETE /api/clips/c1/film": new Response(null, { status: 204 }) });
    const changed = film(keptClip({ film: 245_760 }));
    expect(screen.getByText(/Film kept, 240 kB/)).toBeTruthy();
    expect(screen.getByRole("link", { name: "Save the film as a file" }).getAttribute("download")).toBe(
      "clip-1.mp4",
    );
    fireEvent.click(screen.getByRole("button", { name: "Remove the film" }));
    fireEvent.click(screen.getByRole("button", { name: "Remove" }));
    expect(calls).toEqual([]);
    // Whoever leaves has not taken it back.
    window.dispatchEvent(new Event("pagehide"));
    await waitFor(() => expect(changed).toHaveBeenCalled());
    expect(calls[0]!.request).toBe("DELETE /api/clips/c1/film");
  });
});

describe("a kept film", () => {
  function Desk({ film }: { film: number }) {
    const shown = useStored(keptClip({ id: "kept", film, pictures: ["top"] }));
    return shown ? <ClipDesk shown={shown} hand="right" catalogue={CATALOGUE} /> : null;
  }
  const open = (film: number, answer: Response) => {
    serve({ "GET /api/clips/kept/points": clipPoints, "GET /api/clips/kept/film": answer });
    show(<Desk film={film} />);
  };

  it("brings a picture for every moment that is scrubbed to", async () => {
    coded.read.mockImplementation(async (_: Blob, times: number[]) =>
      times.map((_, i) => new Blob(["x".repeat(i)])),
    );
    open(1, new Response(new Blob(["film"])));
    const slider = await screen.findByLabelText("Picture of the film");
    expect(screen.getByText("The film is being opened …")).toBeTruthy();
    fireEvent.change(slider, { target: { value: "7" } });
    await waitFor(() => expect(document.querySelector("img[src='blob:7']")).toBeTruthy());
    expect(screen.queryByText("The film is being opened …")).toBeNull();
  });

  it("that does not come leaves its stills, and that is said", async () => {
    open(2, new Response(null, { status: 404 }));
    expect(await screen.findByText(/The film cannot be shown here/)).toBeTruthy();
    expect(document.querySelector("img")?.getAttribute("src")).toBe("/api/clips/kept/pictures/top");
  });
});
