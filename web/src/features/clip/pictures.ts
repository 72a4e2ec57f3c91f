import { api, Problem } from "@/api/client";
import type { Wire } from "@/api/types";
import { nearest } from "./shown";
import type { Found } from "./finding";

/** Gives the server the pictures of a clip's moments, which somebody agreed are kept; a student those of the own. */
export async function sendPictures(clip: Wire["ClipView"], found: Found, from: "/api" | "/api/me" = "/api") {
  for (const moment of clip.moments) {
    const picture = found.pictures[nearest(found.times, moment.time)];
    if (!picture) continue;
    await api.put<void>(`${from}/clips/${clip.id}/pictures/${moment.id}`, { jpeg: await base64(picture) });
  }
}

/** And the film of the swing, where it was chosen, and who agrees to it. */
export async function sendFilm(
  clip: Wire["ClipView"],
  found: Found,
  agreed: string,
  from: "/api" | "/api/me" = "/api",
) {
  const { written } = await import("./keptFilm");
  await api.put<void>(`${from}/clips/${clip.id}/film`, {
    mp4: await base64(await written(found)),
    agreed,
  });
}

/** The pictures of a kept film, one for each of the clip's times; told as they come. */
export async function filmPictures(
  clip: string,
  times: number[],
  onSome: (pictures: (Blob | undefined)[]) => void,
): Promise<(Blob | undefined)[]> {
  const [answer, { read }] = await Promise.all([fetch(`/api/clips/${clip}/film`), import("./keptFilm")]);
  if (!answer.ok) throw new Problem(answer.status, "The film did not arrive.");
  return read(await answer.blob(), times, onSome);
}

export async function base64(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = "";
  for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192));
  return btoa(text);
}
