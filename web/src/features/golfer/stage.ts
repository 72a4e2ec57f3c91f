import {
  AmbientLight,
  BackSide,
  BufferAttribute,
  BufferGeometry,
  CanvasTexture,
  Color,
  DirectionalLight,
  DoubleSide,
  Group,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  PCFShadowMap,
  PerspectiveCamera,
  PlaneGeometry,
  RepeatWrapping,
  Scene,
  ShadowMaterial,
  WebGLRenderer,
} from "three";
import { type Camera, DISTANCE, TALL } from "./camera";
import { type Part } from "./parts";
import { type Glow } from "./glows";
import type { Look, Material } from "./looks";
import { sub, type Vec } from "./vec";

/** What is drawn at one time: figures over each other, and the load on the ground. */
export type Shown = { figures: { parts: Part[]; ghost?: boolean }[]; glows: Glow[] };

const AROUND = 16;
const LINE = 0.42;
/** As much of the colour under a quarter of a sole, % of the weight. */
const FULL = 26;
const CORNERS = 5;

/** A part's surface, made anew from its cross-sections in every picture. */
class Surface {
  readonly geometry = new BufferGeometry();
  private readonly positions: Float32Array;

  constructor(private readonly rings: number) {
    const vertices = rings * AROUND + 2;
    this.positions = new Float32Array(vertices * 3);
    this.geometry.setAttribute("position", new BufferAttribute(this.positions, 3));
    const index: number[] = [];
    for (let r = 0; r + 1 < rings; r++) {
      for (let i = 0; i < AROUND; i++) {
        const a = r * AROUND + i;
        const b = r * AROUND + ((i + 1) % AROUND);
        index.push(a, a + AROUND, b, b, a + AROUND, b + AROUND);
      }
    }
    for (let i = 0; i < AROUND; i++) {
      const next = (i + 1) % AROUND;
      const end = (rings - 1) * AROUND;
      index.push(rings * AROUND, i, next, rings * AROUND + 1, end + next, end + i);
    }
    this.geometry.setIndex(index);
  }

  holds(part: Part): boolean {
    return part.rings.length === this.rings;
  }

  put(part: Part) {
    const { rings } = part;
    const out = this.positions;
    // Which way round depends on how the cross-sections lie to the way from one to the next.
    const way = sub(rings[rings.length - 1]!.c, rings[0]!.c);
    const { u, v } = rings[Math.floor(rings.length / 2)]!;
    const turned =
      way[0] * (u[1] * v[2] - u[2] * v[1]) +
        way[1] * (u[2] * v[0] - u[0] * v[2]) +
        way[2] * (u[0] * v[1] - u[1] * v[0]) >
      0;
    let at = 0;
    for (const ring of rings) {
      for (let i = 0; i < AROUND; i++) {
        const angle = ((turned ? -i : i) * 2 * Math.PI) / AROUND;
        const a = ring.a * Math.cos(angle);
        const b = ring.b * Math.sin(angle);
        for (let k = 0; k < 3; k++) out[at++] = ring.c[k]! + ring.u[k]! * a + ring.v[k]! * b;
      }
    }
    for (const end of [rings[0]!, rings[rings.length - 1]!])
      for (let k = 0; k < 3; k++) out[at++] = end.c[k]!;
    this.geometry.attributes.position!.needsUpdate = true;
    this.geometry.computeVertexNormals();
    this.geometry.computeBoundingSphere();
  }
}

/** One figure's meshes by part. */
class Figure {
  readonly group = new Group();
  private readonly meshes = new Map<string, { surface: Surface; meshes: Mesh[] }>();

  constructor(
    private readonly material: (material: Material) => MeshLambertMaterial,
    private readonly outline: MeshBasicMaterial | undefined,
  ) {}

  put(parts: Part[]) {
    const there = new Set<string>();
    for (const part of parts) {
      there.add(part.id);
      let known = this.meshes.get(part.id);
      if (known && !known.surface.holds(part)) {
        this.remove(part.id);
        known = undefined;
      }
      if (!known) {
        const surface = new Surface(part.rings.length);
        const body = new Mesh(surface.geometry, this.material(part.material));
        body.castShadow = true;
        const meshes: Mesh[] = [body];
        if (this.outline) meshes.push(new Mesh(surface.geometry, this.outline));
        this.group.add(...meshes);
        known = { surface, meshes };
        this.meshes.set(part.id, known);
      }
      known.surface.put(part);
    }
    for (const id of [...this.meshes.keys()]) if (!there.has(id)) this.remove(id);
  }

  private remove(id: string) {
    const known = this.meshes.get(id)!;
    this.group.remove(...known.meshes);
    known.surface.geometry.dispose();
    this.meshes.delete(id);
  }

  dispose() {
    for (const id of [...this.meshes.keys()]) this.remove(id);
  }
}

const SOFTWARE = /swiftshader|llvmpipe|software|basic render/i;
let fast: boolean | undefined;

/** Whether something other than the processor draws: smooth edges cost it half of its pictures. */
function isFast(): boolean {
  if (fast === undefined) {
    const gl = document.createElement("canvas").getContext("webgl2");
    const info = gl?.getExtension("WEBGL_debug_renderer_info");
    fast = !SOFTWARE.test(String(gl && gl.getParameter(info ? info.UNMASKED_RENDERER_WEBGL : gl.RENDERER)));
    gl?.getExtension("WEBGL_lose_context")?.loseContext();
  }
  return fast;
}

/** Draws a golfer in the round on a canvas; only what it is given, and only when it is told to. */
export class Stage {
  private readonly renderer: WebGLRenderer;
  private readonly scene = new Scene();
  private readonly camera = new PerspectiveCamera(
    (360 / Math.PI) * Math.atan(TALL / 2 / DISTANCE),
    1,
    100,
    1400,
  );
  private readonly figures: Figure[] = [];
  private readonly materials = new Map<string, MeshLambertMaterial>();
  private readonly outline: MeshBasicMaterial;
  private readonly patches: Mesh<BufferGeometry, MeshBasicMaterial>[] = [];
  private readonly hatch = hatching();

  /** @throws if there is no WebGL */
  constructor(
    canvas: HTMLCanvasElement,
    private readonly look: Look,
    private readonly colours: { lead: string; trail: string; outline: string },
  ) {
    this.renderer = new WebGLRenderer({ canvas, antialias: isFast(), alpha: true });
    this.outline = inkLine(colours.outline);
    this.renderer.shadowMap.enabled = true;
    this.renderer.shadowMap.type = PCFShadowMap;
    const sun = new DirectionalLight("#fff3dc", 2.1);
    sun.position.set(-180, 420, 260);
    sun.castShadow = true;
    sun.shadow.mapSize.set(512, 512);
    Object.assign(sun.shadow.camera, { left: -160, right: 160, top: 220, bottom: -120, near: 50, far: 900 });
    sun.shadow.radius = 4;
    const ground = new Mesh(
      new PlaneGeometry(900, 900),
      new ShadowMaterial({ color: "#5a4a36", opacity: 0.22 }),
    );
    ground.rotation.x = -Math.PI / 2;
    ground.receiveShadow = true;
    this.scene.add(new AmbientLight("#e9e4da", 1.55), sun, ground);
  }

  resize(width: number, height: number, ratio: number) {
    this.renderer.setPixelRatio(ratio);
    this.renderer.setSize(width, height, false);
    this.camera.aspect = width / Math.max(1, height);
    this.camera.updateProjectionMatrix();
  }

  draw(shown: Shown, camera: Camera) {
    shown.figures.forEach((figure, i) => this.figure(i, !!figure.ghost).put(figure.parts));
    while (this.figures.length > shown.figures.length) {
      const gone = this.figures.pop()!;
      this.scene.remove(gone.group);
      gone.dispose();
    }
    shown.glows.forEach((glow, i) => this.patch(i, glow));
    this.camera.position.set(...camera.eye);
    this.camera.up.set(...camera.up);
    this.camera.lookAt(...camera.centre);
    if (this.camera.zoom !== camera.near) {
      this.camera.zoom = camera.near;
      this.camera.updateProjectionMatrix();
    }
    this.renderer.render(this.scene, this.camera);
  }

  private figure(i: number, ghost: boolean): Figure {
    const known = this.figures[i];
    if (known) return known;
    const figure = new Figure((m) => this.material(m, ghost), ghost ? undefined : this.outline);
    this.figures.push(figure);
    this.scene.add(figure.group);
    return figure;
  }

  private material(of: Material, ghost: boolean): MeshLambertMaterial {
    const key = of + ghost;
    let material = this.materials.get(key);
    if (!material) {
      material = new MeshLambertMaterial({
        color: new Color(this.look.colours[of]),
        transparent: ghost,
        opacity: ghost ? 0.32 : 1,
        depthWrite: !ghost,
      });
      this.materials.set(key, material);
    }
    return material;
  }

  private patch(i: number, glow: Glow) {
    let mesh = this.patches[i];
    if (!mesh) {
      const geometry = new BufferGeometry();
      geometry.setAttribute("position", new BufferAttribute(new Float32Array(3 * CORNERS), 3));
      geometry.setAttribute("uv", new BufferAttribute(new Float32Array(2 * CORNERS), 2));
      geometry.setIndex([0, 1, 2, 0, 2, 3, 0, 3, 4]);
      mesh = new Mesh(
        geometry,
        new MeshBasicMaterial({
          color: glow.lead ? this.colours.lead : this.colours.trail,
          alphaMap: glow.lead ? null : this.hatch,
          transparent: true,
          depthWrite: false,
          side: DoubleSide,
        }),
      );
      mesh.renderOrder = -1;
      this.patches.push(mesh);
      this.scene.add(mesh);
    }
    const position = mesh.geometry.attributes.position as BufferAttribute;
    const uv = mesh.geometry.attributes.uv as BufferAttribute;
    glow.corners.forEach((c: Vec, k) => {
      position.setXYZ(k, c[0], 0.2, c[2]);
      uv.setXY(k, c[0] / 3.2, c[2] / 3.2);
    });
    position.needsUpdate = true;
    uv.needsUpdate = true;
    mesh.material.opacity = Math.min(1, glow.load / FULL);
    mesh.visible = glow.load > 0.5;
  }

  dispose() {
    this.figures.forEach((f) => f.dispose());
    this.patches.forEach((p) => p.geometry.dispose());
    this.hatch.dispose();
    this.renderer.dispose();
    this.renderer.forceContextLoss();
  }
}

/** A line around every part: its back, drawn a little larger. */
function inkLine(colour: string): MeshBasicMaterial {
  const ink = new MeshBasicMaterial({ color: colour, side: BackSide });
  ink.onBeforeCompile = (shader) => {
    shader.vertexShader = shader.vertexShader.replace(
      "#include <begin_vertex>",
      `vec3 transformed = position + normal * ${LINE.toFixed(2)};`,
    );
  };
  return ink;
}

function hatching(): CanvasTexture {
  const canvas = document.createElement("canvas");
  canvas.width = canvas.height = 32;
  const draw = canvas.getContext("2d")!;
  draw.fillStyle = "#000";
  draw.fillRect(0, 0, 32, 32);
  draw.strokeStyle = "#fff";
  draw.lineWidth = 11;
  for (const x of [-32, 0, 32]) {
    draw.beginPath();
    draw.moveTo(x - 4, 36);
    draw.lineTo(x + 36, -4);
    draw.stroke();
  }
  const texture = new CanvasTexture(canvas);
  texture.wrapS = texture.wrapT = RepeatWrapping;
  return texture;
}
