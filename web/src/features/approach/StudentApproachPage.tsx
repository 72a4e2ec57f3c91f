import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useState } from "react";
import { Link, useParams } from "react-router";
import { api } from "@/api/client";
import { queries, useCatalogue } from "@/api/queries";
import type { Catalogue, Student, StudentApproach } from "@/api/types";
import { useMeanwhile } from "@/api/useMeanwhile";
import { useSaver } from "@/api/useSaver";
import { AskBeforeLeaving } from "@/ui/AskBeforeLeaving";
import { Meanwhile } from "@/ui/Meanwhile";
import { Failed, Loading } from "@/ui/Notice";
import { SaveStatus } from "@/ui/SaveStatus";
import { inWords } from "./meanwhile";
import { Questions } from "./Questions";
import { Title } from "@/ui/Title";

/** Where one student is taught otherwise than the coach usually does. */
export default function StudentApproachPage() {
  const id = useParams().id as string;
  const student = useQuery(queries.student(id));
  const approach = useQuery({ ...queries.studentApproach(id), refetchOnWindowFocus: false });
  const catalogue = useCatalogue(student.data?.profile.handedness);
  if (student.isPending || approach.isPending || catalogue.isPending) return <Loading />;
  if (student.isError) return <Failed error={student.error} again={() => student.refetch()} />;
  if (approach.isError) return <Failed error={approach.error} again={() => approach.refetch()} />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  return <ExceptionsForm student={student.data} stored={approach.data} catalogue={catalogue.data} />;
}

function ExceptionsForm({
  student,
  stored,
  catalogue,
}: {
  student: Student;
  stored: StudentApproach;
  catalogue: Catalogue;
}) {
  const [exceptions, setExceptions] = useState<Record<string, string>>(stored.exceptions);
  const client = useQueryClient();
  const { save, changed, seen } = useMeanwhile({ value: stored.exceptions, version: stored.version });
  const send = useCallback(
    async (next: Record<string, string>) => {
      const answer = await save<StudentApproach>(
        next,
        (version) =>
          api.put<StudentApproach>(
            `/api/students/${student.id}/approach`,
            { exceptions: next },
            { seen: version },
          ),
        (kept) => ({ value: kept.exceptions, version: kept.version }),
        setExceptions,
      );
      if (!answer) return;
      client.setQueryData(queries.studentApproach(student.id).queryKey, answer);
    },
    [client, save, student.id],
  );
  const { state, error } = useSaver(exceptions, send);
  return (
    <div className="grid gap-6">
      <header className="flex flex-wrap items-baseline gap-x-6">
        <Title>{`Taught otherwise: ${student.profile.name}`}</Title>
        <h1>
          <Link to={`/students/${student.id}`} className="no-underline hover:underline">
            {student.profile.name}
          </Link>
          : taught otherwise
        </h1>
        <p className="text-soft">Counts from the next lesson on; lessons begun keep their own.</p>
        <span className="ml-auto">
          <SaveStatus state={state} error={error} />
          <AskBeforeLeaving when={state !== "saved"} />
        </span>
      </header>
      <Meanwhile changed={inWords(changed, catalogue)} onSeen={seen} />
      <Questions
        catalogue={catalogue}
        answers={exceptions}
        usual={stored.coach}
        onAnswer={(question, answer) => {
          const others = Object.fromEntries(Object.entries(exceptions).filter(([q]) => q !== question));
          setExceptions(answer ? { ...others, [question]: answer } : others);
        }}
      />
    </div>
  );
}
