import { api } from "@/api/client";

/** The coach's word, by which a gate opens whose reps are there. */
export const signGate = (studentId: string, { fault, rung }: { fault: string; rung: string }) =>
  api.post(`/api/students/${studentId}/gates/${fault}/${rung}/signature`);
