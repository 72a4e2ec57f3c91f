import type { Catalogue, Diagnosis } from "@/api/types";

/** Where in the swing a fault stands, from root to ball. */
const COLUMNS = [
  { id: "body", label: "Body" },
  { id: "set_up", label: "Set-up" },
  { id: "backswing", label: "Backswing" },
  { id: "transition", label: "Change of direction" },
  { id: "downswing", label: "Downswing" },
  { id: "ball", label: "Ball" },
];

export const NODE = { width: 200, height: 74 };
const GAP = 20;
const HEAD = 34;
export const WIDTH = 1160;

export type ChainNode = {
  id: string;
  label: string;
  x: number;
  y: number;
  /** A fault's chance, 0 to 1; a ball result has none. */
  probability?: number;
  grade?: string;
  /** 1 or 2 where it is to be worked on. */
  turn?: number;
};

export type ChainEdge = { from: string; to: string; path: string; width: number };

export type ChainShape = {
  columns: { label: string; x: number }[];
  nodes: ChainNode[];
  edges: ChainEdge[];
  height: number;
};

/** The likely faults from root to ball; where none is, the possible ones. */
export function inOrder(diagnosis: Diagnosis, catalogue: Catalogue): Diagnosis["faults"] {
  const likely = diagnosis.faults.filter((f) => f.grade === "likely");
  const shown = likely.length > 0 ? likely : diagnosis.faults.filter((f) => f.grade === "possible");
  const stage = (id: string) => {
    const of = catalogue.faults.find((f) => f.id === id)?.stage;
    return COLUMNS.findIndex((c) => c.id === of);
  };
  return [...shown].sort((a, b) => stage(a.id) - stage(b.id));
}

/** The faults at least possible, in the order of the swing, with what they bring and how the ball shows them. */
export function chainShape(diagnosis: Diagnosis, catalogue: Catalogue): ChainShape {
  const faults = diagnosis.faults.filter((f) => f.grade === "likely" || f.grade === "possible");
  const placed = new Map<string, { column: string; node: Omit<ChainNode, "x" | "y"> }>();
  for (const fault of faults) {
    const info = catalogue.faults.find((f) => f.id === fault.id);
    const turn = diagnosis.focus.indexOf(fault.id) + 1;
    placed.set(fault.id, {
      column: info?.stage ?? "downswing",
      node: {
        id: fault.id,
        label: info?.label ?? fault.id,
        probability: fault.probability,
        grade: fault.grade,
        turn: turn || undefined,
      },
    });
  }
  const links: { from: string; to: string; strength: number }[] = diagnosis.chain.map((c) => ({ ...c }));
  for (const fault of faults) {
    const balls = catalogue.faults.find((f) => f.id === fault.id)?.balls ?? [];
    for (const e of fault.for) {
      // A ball also speaks for what is behind the fault that shows it; the line comes from that one only.
      if (!balls.includes(e.evidence)) continue;
      placed.set(e.evidence, { column: "ball", node: { id: e.evidence, label: e.text } });
      links.push({ from: fault.id, to: e.evidence, strength: fault.probability * (1 - Math.exp(-e.weight)) });
    }
  }
  const used = COLUMNS.filter((c) => [...placed.values()].some((p) => p.column === c.id));
  const byColumn = used.map((c) => [...placed.values()].filter((p) => p.column === c.id));
  const most = Math.max(1, ...byColumn.map((column) => column.length));
  const height = HEAD + (most + 0.5) * (NODE.height + GAP);
  const x = (index: number) =>
    used.length === 1
      ? (WIDTH - NODE.width) / 2
      : Math.round((index * (WIDTH - NODE.width)) / (used.length - 1));
  const nodes = byColumn.flatMap((column, index) => {
    // Every other column stands lower, so that a line past a column is seen.
    const top = HEAD + ((most - column.length + (index % 2)) * (NODE.height + GAP)) / 2;
    return column.map((p, row) => ({ ...p.node, x: x(index), y: top + row * (NODE.height + GAP) }));
  });
  const at = (id: string) => nodes.find((n) => n.id === id);
  return {
    columns: used.map((c, index) => ({ label: c.label, x: x(index) + NODE.width / 2 })),
    nodes,
    edges: links.flatMap(({ from, to, strength }) => {
      const a = at(from);
      const b = at(to);
      return a && b ? [{ from, to, path: edge(a, b), width: 1.5 + 9 * strength }] : [];
    }),
    height,
  };
}

/** From the right side of one node to the left side of the next; within a column round the right side. */
function edge(a: ChainNode, b: ChainNode): string {
  const [x1, y1] = [a.x + NODE.width, a.y + NODE.height / 2];
  const y2 = b.y + NODE.height / 2;
  if (a.x === b.x) return `M${x1} ${y1} C${x1 + 40} ${y1} ${x1 + 40} ${y2} ${x1} ${y2}`;
  const bend = Math.max(30, (b.x - x1) / 2);
  return `M${x1} ${y1} C${x1 + bend} ${y1} ${b.x - bend} ${y2} ${b.x} ${y2}`;
}
