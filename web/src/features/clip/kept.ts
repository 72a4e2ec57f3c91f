import type { Found } from "./finding";

/** Pictures of clips that were looked at since the page was opened, by the clip's id: they are nowhere else. */
const pictures = new Map<string, Found>();

/** As many films' pictures are held at once. */
const MOST = 6;

export function holdPictures(clip: string, found: Found) {
  pictures.set(clip, found);
  while (pictures.size > MOST) pictures.delete(pictures.keys().next().value!);
}

export const picturesOf = (clip: string): Found | undefined => pictures.get(clip);
