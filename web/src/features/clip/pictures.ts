import { api } from "@/api/client";
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

export async function base64(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = "";
  for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192));
  return btoa(text);
}
