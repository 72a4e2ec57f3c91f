import { LARGEST_MB, LONGEST_SECONDS } from "./limits";
import {
  ALL_FORMATS,
  AudioBufferSink,
  BlobSource,
  CanvasSink,
  Input,
  type InputVideoTrack,
} from "mediabunny";
import { NoFilm } from "./noFilm";
import type { FilmSound } from "./strike";

/** What is known of a film before anything in it is looked at. */
export type FilmFacts = {
  width: number;
  height: number;
  seconds: number;
  /** Pictures a second as the file's clock has them. */
  rate: number;
};

/** Pictures are looked at so high, pixels: more tells nothing more. */
export const TALL = 480;

/** So far a film is turned with the clock, degrees. */
export type Turned = 0 | 90 | 180 | 270;

/** A film on this machine; nothing of it leaves. */
export class Film {
  private constructor(
    private readonly input: Input,
    private readonly track: InputVideoTrack,
    readonly facts: FilmFacts,
    private readonly turn: Turned = 0,
  ) {}

  /** The same film turned further. */
  turned(by: Turned): Film {
    const { width, height } = this.facts;
    const facts = by % 180 === 0 ? this.facts : { ...this.facts, width: height, height: width };
    return new Film(this.input, this.track, facts, ((this.turn + by) % 360) as Turned);
  }

  static async open(file: Blob): Promise<Film> {
    if (file.size > LARGEST_MB * 1024 * 1024)
      throw new NoFilm(`The file is larger than ${LARGEST_MB} MB: cut it to the swing.`);
    const input = new Input({ source: new BlobSource(file), formats: ALL_FORMATS });
    let track: InputVideoTrack | null;
    try {
      track = await input.getPrimaryVideoTrack();
    } catch {
      throw new NoFilm("This is no film that can be read here. Films are taken as MP4, MOV or WebM.");
    }
    if (!track) throw new NoFilm("There are no pictures in this file.");
    if (!(await track.canDecode()))
      throw new NoFilm(
        track.codec === "hevc"
          ? "This browser cannot show films in HEVC. In the phone's camera settings, set the format to “most compatible” (H.264) and film again."
          : "This browser cannot show what this film is coded in. Set the phone's camera to H.264 and film again.",
      );
    if (await track.canBeTransparent())
      throw new NoFilm("This film has see-through parts, which no camera makes: save it without them.");
    const seconds = await track.computeDuration();
    if (seconds > LONGEST_SECONDS)
      throw new NoFilm(`The film is longer than ${LONGEST_SECONDS} s: cut it to the swing.`);
    const stats = await track.computePacketStats();
    const rate = stats.averagePacketRate;
    return new Film(input, track, { width: track.displayWidth, height: track.displayHeight, seconds, rate });
  }

  /** The size in which pictures are looked at. */
  get size() {
    const { width, height } = this.facts;
    const scale = Math.min(1, TALL / Math.max(1, height));
    return { width: Math.round(width * scale), height: Math.round(height * scale) };
  }

  /** The sound between two moments; undefined for a silent film, or one whose sound cannot be read here. */
  async sound(from: number, to: number): Promise<FilmSound | undefined> {
    const track = await this.input.getPrimaryAudioTrack();
    if (!track || !(await track.canDecode())) return undefined;
    const pieces: Float32Array[] = [];
    let begins: number | undefined;
    for await (const { buffer, timestamp } of new AudioBufferSink(track).buffers(from, to)) {
      begins ??= timestamp;
      pieces.push(buffer.getChannelData(0).slice());
    }
    if (begins === undefined) return undefined;
    const samples = new Float32Array(pieces.reduce((n, p) => n + p.length, 0));
    let at = 0;
    for (const piece of pieces) {
      samples.set(piece, at);
      at += piece.length;
    }
    return { samples, rate: track.sampleRate, from: begins };
  }

  /** Every picture between two moments, smaller; a canvas that is used again for the next. */
  async *pictures(from: number, to: number, tall = TALL) {
    const { width, height } = this.facts;
    const scale = Math.min(1, tall / Math.max(1, height));
    const sink = new CanvasSink(this.track, {
      width: Math.max(2, Math.round(width * scale)),
      height: Math.max(2, Math.round(height * scale)),
      rotation: ((this.track.rotation + this.turn) % 360) as Turned,
      fit: "fill",
      poolSize: 2,
    });
    for await (const { canvas, timestamp } of sink.canvases(from, to))
      yield { canvas: canvas as OffscreenCanvas | HTMLCanvasElement, seconds: timestamp };
  }
}
