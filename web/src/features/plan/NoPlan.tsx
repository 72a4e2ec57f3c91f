import { Problem } from "@/api/client";
import { ButtonLink } from "@/ui/Button";
import { Empty, Failed } from "@/ui/Notice";
import { Title } from "@/ui/Title";

/** A lesson without a plan has the way to one; anything else that went wrong is said. */
export function NoPlan({ lessonId, error, again }: { lessonId: string; error: Error; again: () => void }) {
  if (!(error instanceof Problem) || error.status !== 404) return <Failed error={error} again={again} />;
  return (
    <Empty>
      <Title>No plan yet</Title>
      <h1>No plan yet</h1>
      <p>This lesson has none to put on paper.</p>
      <ButtonLink to={`/lessons/${lessonId}/plan`} weight="main">
        To the plan
      </ButtonLink>
    </Empty>
  );
}
