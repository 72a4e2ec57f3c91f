import { Link, useParams } from "react-router";
import { useCatalogue } from "@/api/queries";
import { Failed, Loading } from "@/ui/Notice";
import { Title } from "@/ui/Title";
import { WhatWorked } from "./WhatWorked";

/** One fault: what it is, what it is taken for, and what worked for whom. */
export default function FaultPage() {
  const id = useParams().id as string;
  const catalogue = useCatalogue("right");
  if (catalogue.isPending) return <Loading />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  const fault = catalogue.data.faults.find((f) => f.id === id);
  if (!fault) {
    return (
      <p className="text-soft">
        There is no such fault. <Link to="/drills">All drills</Link>
      </p>
    );
  }
  return (
    <article className="grid max-w-4xl gap-5">
      <header>
        <p>
          <Link to={`/drills?fault=${id}`}>Drills for it</Link>
        </p>
        <Title>{fault.label}</Title>
        <h1>{fault.label}</h1>
        <p>{fault.what}</p>
        <p>
          <span className="text-soft">Looks alike: </span>
          {fault.lookAlike}
        </p>
        <p>
          <span className="text-soft">Makes it worse: </span>
          {fault.trap}
        </p>
      </header>
      <section aria-labelledby="worked">
        <h2 id="worked">What worked for whom</h2>
        <WhatWorked fault={id} catalogue={catalogue.data} />
      </section>
    </article>
  );
}
