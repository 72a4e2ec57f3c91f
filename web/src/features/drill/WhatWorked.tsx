import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { queries } from "@/api/queries";
import type { Catalogue, Wire } from "@/api/types";
import { Failed, Loading } from "@/ui/Notice";

type Kind = Wire["KindOfSuccess"];
type Share = Wire["ShareView"];

const READ =
  "Each line runs from never to always: the dot is the likeliest share, the bar where it lies nineteen times in twenty. With few tries a drill stands near all of them together.";

/** Two ways in which a drill can be said to have worked. */
const KINDS: { id: "gates" | "better"; label: string; said: string }[] = [
  {
    id: "gates",
    label: "Gates in time",
    said: "passed by the day the plan promised, of those due",
  },
  {
    id: "better",
    label: "Better at the next lesson",
    said: "something of it, and nothing worse",
  },
];

/** How often each drill worked for a fault. */
export function WhatWorked({ fault, catalogue }: { fault: string; catalogue: Catalogue }) {
  const told = useQuery(queries.whatWorked(fault));
  if (told.isPending) return <Loading />;
  if (told.isError) return <Failed error={told.error} again={() => told.refetch()} />;
  const { gates, better, house } = told.data;
  const name = (drill: string) => catalogue.drills[drill]?.name ?? drill;
  const drills = [...new Set([...gates.drills, ...better.drills].map((s) => s.drill))]
    // By name: an order by success would say more than is known.
    .sort((a, b) => name(a).localeCompare(name(b)));
  if (drills.length === 0) return <p className="text-soft">No plan for it has run its days yet.</p>;
  return (
    <div className="grid gap-3">
      <table className="w-full border-separate border-spacing-y-1 text-left">
        <caption className="text-soft mb-2 text-left">
          {house ? "All students of the house. " : "Your students. "}
          {READ}
        </caption>
        <thead>
          <tr>
            <th scope="col" className="align-top">
              Drill
            </th>
            {KINDS.map((kind) => (
              <th key={kind.id} scope="col" className="w-2/5 align-top">
                {kind.label}
                <span className="text-soft block text-sm font-normal">{kind.said}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {drills.map((drill) => (
            <tr key={drill}>
              <th scope="row" className="pr-4 font-normal">
                <Link to={`/drills/${drill}`}>{name(drill)}</Link>
              </th>
              {KINDS.map((kind) => (
                <td key={kind.id} className="pr-4">
                  <ShareCell share={told.data[kind.id].drills.find((s) => s.drill === drill)} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <Apart gates={gates} better={better} name={name} />
    </div>
  );
}

/** How often one drill worked for a fault. */
export function HowItWorked({ fault, drill }: { fault: string; drill: string }) {
  const told = useQuery(queries.whatWorked(fault));
  if (told.isPending) return <Loading />;
  if (told.isError) return <Failed error={told.error} again={() => told.refetch()} />;
  const shares = KINDS.map((kind) => told.data[kind.id].drills.find((s) => s.drill === drill));
  if (shares.every((share) => !share)) return <p className="text-soft">Nothing to tell yet.</p>;
  return (
    <dl className="grid gap-1">
      {KINDS.map((kind, i) => (
        <div key={kind.id}>
          <dt>
            {kind.label} <span className="text-soft text-sm">{kind.said}</span>
          </dt>
          <dd>
            <ShareCell share={shares[i]} />
          </dd>
        </div>
      ))}
    </dl>
  );
}

function ShareCell({ share }: { share: Share | undefined }) {
  if (!share) return <span className="text-soft">not told yet</span>;
  const at = (value: number) => `${100 * value}%`;
  return (
    <span className="grid grid-cols-[4.5rem_1fr] items-center gap-2">
      {share.worked} of {share.of}
      <svg aria-hidden className="h-5 w-full">
        <line x1="0" x2="100%" y1="10" y2="10" className="stroke-line" />
        <line
          x1={at(share.low)}
          x2={at(share.high)}
          y1="10"
          y2="10"
          strokeWidth="5"
          className="stroke-strong-line"
        />
        <circle cx={at(share.share)} cy="10" r="5" className="fill-ink" />
      </svg>
    </span>
  );
}

/** Only what surely differs is set against each other. */
function Apart({ gates, better, name }: { gates: Kind; better: Kind; name: (drill: string) => string }) {
  const told = [
    ...gates.apart.map(
      ([more, less]) => `${name(more!)} passed its gates in time more often than ${name(less!)}.`,
    ),
    ...better.apart.map(
      ([more, less]) => `${name(more!)} was followed by better first balls more often than ${name(less!)}.`,
    ),
  ];
  if (told.length === 0) {
    return <p>Where bars overlap, no drill can be said to work better than another.</p>;
  }
  return (
    <ul>
      {told.map((sentence) => (
        <li key={sentence}>{sentence}</li>
      ))}
    </ul>
  );
}
