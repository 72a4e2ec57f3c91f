import type { components } from "./schema";

/** The server's own names for what goes over the wire; made from its OpenAPI at build time. */
export type Wire = components["schemas"];

export type Session = Wire["SessionView"];
export type Catalogue = Wire["CatalogueView"];
export type StudentProfile = Wire["StudentEntry"];
export type Student = Wire["StudentView"];
export type RosterLine = Wire["RosterLine"];
export type Lesson = Wire["LessonView"];
export type LessonEntry = Wire["LessonEntry"];
export type Diagnosis = Wire["DiagnosisView"];
export type StoredPlan = Wire["StoredPlan"];
export type Plan = Wire["PlanView"];
export type PlanDay = Wire["DayView"];
export type PlanBlock = Wire["BlockView"];
export type Practice = Wire["PracticeView"];
export type Me = Wire["MeView"];
export type Progress = Wire["ProgressView"];
export type Thread = Wire["ThreadView"];
export type Drill = Wire["DrillView"];
export type Approach = Wire["ApproachView"];
export type StudentApproach = Wire["StudentApproachView"];
export type Feet = Wire["FeetView"];
export type HipLine = Wire["HipLineView"];
export type Decision = Wire["DecisionView"];
export type Compare = Wire["CompareView"];
export type Hand = "right" | "left";

/** What a drill asks after each set, as in the drill file; what is left out is as usual. */
export type NoticeSource = {
  kind: string;
  question?: string;
  answers?: { id: string; label: string }[];
  right?: string[];
  from?: number;
  to?: number;
};

export type OwnHalfStep = { id: string; label: string; do: string };

/** A drill as in the drill file, with placeholders for lead and trail. */
/** How a drill moves, as a file has it; what a form does not set stays as it is. */
export type MovementSource = {
  stance?: string;
  pauses?: Record<string, number>;
  things?: Record<string, string>;
  /** Percent, cm and degrees: for the whole movement, or by checkpoint. */
  set?: Record<string, number | Record<string, number>>;
  steps?: { foot: string; from: string; to: string; along: number; in: number }[];
  mistake?: { fault?: string; strength?: number; [other: string]: unknown };
  on?: Record<string, { hands?: string; length?: number; club?: string; ball?: string }>;
  [other: string]: unknown;
};

export type DrillSource = {
  id: string;
  name: string;
  rungs: string[];
  main?: string[];
  helps?: string[];
  kit?: string[];
  places: string[];
  feedback: string[];
  needs?: string[];
  schools?: string[];
  clashes?: string[];
  neverWith?: string[];
  careWith?: string[];
  after?: string[];
  pace: string;
  notice?: string | NoticeSource;
  setUp: string;
  do: string;
  feel: string;
  good: string;
  mistake: string;
  fix?: string;
  onPurpose?: string;
  easier: string;
  harder: string;
  cue: string;
  caution?: string;
  variations: string[];
  notIn?: string[];
  onlyOn?: string[];
  firstFor?: string[];
  firstForSchools?: string[];
  firstForSigns?: string[];
  /** By rung: ids of standard half-steps, or the drill's own. */
  halfSteps?: Record<string, (string | OwnHalfStep)[]>;
  speeds?: Record<string, number>;
  moves?: string[];
  combines?: string[];
  diagram?: { stance?: string; props?: Record<string, string>; press?: string[]; move?: string };
  movement?: MovementSource;
};

/** The first balls of a lesson, or its last. */
export type MomentName = "before" | "after";
