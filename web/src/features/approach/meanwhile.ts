import type { Catalogue } from "@/api/types";

/** The questions whose answers were changed elsewhere, as they are asked. */
export function inWords(changed: string[], catalogue: Catalogue): string[] {
  return [
    ...new Set(
      changed.map((path) => {
        const question = catalogue.questions.find((q) => path.split(".").includes(q.id));
        return question?.label ?? "how well you read";
      }),
    ),
  ];
}
