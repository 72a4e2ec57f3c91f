import { BufferTarget, CanvasSource, Mp4OutputFormat, Output } from "mediabunny";
import type { Hand } from "@/api/types";
import { cameraOf, type View } from "@/features/golfer/camera";
import { LOOKS } from "@/features/golfer/looks";
import type { Motion } from "@/features/golfer/motion";
import { pictureOf } from "@/features/golfer/scene";
import { Stage } from "@/features/golfer/stage";

/** What is filmed; times in seconds. */
export type Shot = {
  motion: Motion;
  hand: Hand;
  look: string;
  view: View;
  rate: number;
  before: number;
  after: number;
  width: number;
  height: number;
  bitrate: number;
  /** How bright the hall is, 1 for well lit; and how soft the camera, pixels. */
  light?: number;
  soft?: number;
};

/** Films a movement of the simulated golfer, as a phone on a tripod would; the file's bytes. */
export async function film(shot: Shot): Promise<Uint8Array> {
  const look = LOOKS.find((l) => l.id === shot.look) ?? LOOKS[0]!;
  const drawnOn = document.createElement("canvas");
  const stage = new Stage(drawnOn, look, { lead: "#8a8272", trail: "#8a8272", outline: "#2b2723" });
  stage.resize(shot.width, shot.height, 1);
  const canvas = new OffscreenCanvas(shot.width, shot.height);
  const paper = canvas.getContext("2d")!;
  const output = new Output({ format: new Mp4OutputFormat(), target: new BufferTarget() });
  const source = new CanvasSource(canvas, { codec: "avc", bitrate: shot.bitrate, keyFrameInterval: 0.5 });
  output.addVideoTrack(source, { frameRate: shot.rate });
  await output.start();
  const pictures = Math.round((shot.before + shot.motion.seconds + shot.after) * shot.rate);
  for (let i = 0; i < pictures; i++) {
    const at = Math.min(shot.motion.seconds, Math.max(0, i / shot.rate - shot.before));
    const picture = pictureOf({ motion: shot.motion, seconds: at }, shot.hand, look.build);
    stage.draw({ figures: [picture], glows: [] }, cameraOf(shot.view, shot.hand));
    paper.filter = `brightness(${shot.light ?? 1}) blur(${shot.soft ?? 0}px)`;
    backdrop(paper, shot.width, shot.height);
    paper.drawImage(drawnOn, 0, 0);
    await source.add(i / shot.rate, 1 / shot.rate);
  }
  await output.finalize();
  stage.dispose();
  return new Uint8Array(output.target.buffer!);
}

/** A hall's wall and its mat. */
function backdrop(paper: OffscreenCanvasRenderingContext2D, width: number, height: number) {
  const floor = height * 0.8;
  const wall = paper.createLinearGradient(0, 0, 0, floor);
  wall.addColorStop(0, "#e9e6df");
  wall.addColorStop(1, "#d5d0c4");
  paper.fillStyle = wall;
  paper.fillRect(0, 0, width, floor);
  paper.fillStyle = "#8fa381";
  paper.fillRect(0, floor, width, height - floor);
}

Object.assign(window, { film });
