import { keepPreviousData, queryOptions, useQuery } from "@tanstack/react-query";
import { moveToday } from "@/calendar/dates";
import { api } from "./client";
import type { Catalogue, Hand, Lesson, Practice, Progress, RosterLine, Session, StoredPlan } from "./types";
import type {
  Approach,
  Decision,
  Diagnosis,
  DrillSource,
  Feet,
  HipLine,
  Student,
  StudentApproach,
  Thread,
  Me,
  Wire,
} from "./types";

/** So many lessons of a student are shown until more are asked for. */
export const LESSONS = 12;

/** As many as the server gives at once: a whole history. */
export const ALL_LESSONS = 500;

/** In whose units it is said. */
export type Reader = "coach" | "student";

const forReader = (reader: Reader, joint: string) => (reader === "coach" ? "" : `${joint}for=${reader}`);

/** A movement of the golfer: the same as long as the program is. */
function motion(what: string, params: string[][]) {
  const path = `/api/motions/${what}?${new URLSearchParams(params)}`;
  return queryOptions({
    queryKey: ["motions", path],
    queryFn: () => api.get<Wire["MotionView"]>(path),
    staleTime: Infinity,
  });
}

/** How a drill is shown: as its usual mistake, with a half-step, by a golfer so tall, cm. */
type Moved = { mistake?: boolean; halfStep?: string; height?: number | null };

const tall = (height?: number | null) => (height ? [["height", String(height)]] : []);

/** One place for the key and the address of everything that is read. */
export const queries = {
  session: () =>
    queryOptions({
      queryKey: ["session"],
      queryFn: async () => {
        const session = await api.get<Session>("/api/session");
        moveToday(session.daysAhead);
        return session;
      },
      staleTime: Infinity,
    }),
  /** In the reader's own units, or in those of whom it is printed for. */
  catalogue: (hand: Hand, units?: string) =>
    queryOptions({
      queryKey: units ? ["catalogue", hand, units] : ["catalogue", hand],
      queryFn: () => api.get<Catalogue>(`/api/catalogue?hand=${hand}${units ? `&units=${units}` : ""}`),
      staleTime: Infinity,
    }),
  /** The coach's day; never older than the look at it. */
  day: (most = 50) =>
    queryOptions({
      queryKey: ["day", most],
      queryFn: () => api.get<Wire["CoachsDay"]>(`/api/day?most=${most}`),
      staleTime: 0,
      placeholderData: keepPreviousData,
    }),
  notes: (id: string) =>
    queryOptions({
      queryKey: ["students", id, "notes"],
      queryFn: () => api.get<Wire["NoteThread"][]>(`/api/students/${id}/notes`),
    }),
  /** What the coach says of drills in own words. */
  drillWords: () =>
    queryOptions({
      queryKey: ["drill-words"],
      queryFn: () => api.get<Record<string, Wire["DrillWordsView"]>>("/api/drill-words"),
    }),
  /** What a student's coach and the student say of drills in own words. */
  ownWords: (id: string) =>
    queryOptions({
      queryKey: ["students", id, "own-words"],
      queryFn: () => api.get<Wire["OwnWordsView"]>(`/api/students/${id}/own-words`),
    }),
  gates: (id: string) =>
    queryOptions({
      queryKey: ["students", id, "gates"],
      queryFn: () => api.get<Wire["SetGateView"][]>(`/api/students/${id}/gates`),
    }),
  laidAgain: (plan: string) =>
    queryOptions({
      queryKey: ["plans", plan, "laid-again"],
      queryFn: () => api.get<Wire["Relaid"][]>(`/api/plans/${plan}/laid-again`),
    }),
  ownNotes: () =>
    queryOptions({ queryKey: ["own-notes"], queryFn: () => api.get<Wire["NoteThread"][]>("/api/me/notes") }),
  roster: () =>
    queryOptions({ queryKey: ["students"], queryFn: () => api.get<RosterLine[]>("/api/students") }),
  strands: () =>
    queryOptions({
      queryKey: ["students", "strands"],
      queryFn: () => api.get<Wire["StrandView"][]>("/api/strands"),
    }),
  student: (id: string) =>
    queryOptions({
      queryKey: ["students", id],
      queryFn: () => api.get<Student>(`/api/students/${id}`),
    }),
  practice: (id: string, page = 0) =>
    queryOptions({
      queryKey: ["students", id, "practice", page],
      queryFn: () => api.get<Practice>(`/api/students/${id}/practice?page=${page}`),
      placeholderData: keepPreviousData,
    }),
  /** The days up to today of the running plan. */
  planned: (id: string) =>
    queryOptions({
      queryKey: ["students", id, "planned"],
      queryFn: () => api.get<Wire["PlannedDay"][]>(`/api/students/${id}/planned`),
    }),
  /** The last lessons and the practice between. */
  thread: (id: string, last = LESSONS, reader: Reader = "coach") =>
    queryOptions({
      queryKey: ["students", id, "thread", last, reader],
      queryFn: () => api.get<Thread>(`/api/students/${id}/thread?last=${last}${forReader(reader, "&")}`),
      placeholderData: keepPreviousData,
    }),
  lesson: (id: string) =>
    queryOptions({ queryKey: ["lessons", id], queryFn: () => api.get<Lesson>(`/api/lessons/${id}`) }),
  progress: (id: string, reader: Reader = "coach") =>
    queryOptions({
      queryKey: ["lessons", id, "progress", reader],
      queryFn: () => api.get<Progress>(`/api/lessons/${id}/progress${forReader(reader, "?")}`),
      staleTime: 0,
    }),
  /** How a coach's proposals went. */
  proposals: () =>
    queryOptions({
      queryKey: ["proposals"],
      queryFn: () => api.get<Wire["ProposalRecordView"]>("/api/proposals"),
    }),
  /** Days on which a record was erased. */
  erasures: () =>
    queryOptions({
      queryKey: ["students", "erasures"],
      queryFn: () => api.get<string[]>("/api/records/erasures"),
    }),
  compare: (student: string, first: string, firstAt: string, second: string, secondAt: string) =>
    queryOptions({
      queryKey: ["students", student, "compare", first, firstAt, second, secondAt],
      queryFn: () =>
        api.get<Wire["CompareView"]>(
          `/api/students/${student}/compare?first=${first}&firstAt=${firstAt}&second=${second}&secondAt=${secondAt}`,
        ),
      placeholderData: keepPreviousData,
    }),
  shotFiles: (lesson: string) =>
    queryOptions({
      queryKey: ["lessons", lesson, "shot-files"],
      queryFn: () => api.get<Wire["ShotFileView"][]>(`/api/lessons/${lesson}/shot-files`),
    }),
  /** What a file of balls holds under these columns; nothing is stored. */
  shotLook: (lesson: string, picked: { at: number; text: string }, columns?: Wire["ColumnsEntry"]) =>
    queryOptions({
      queryKey: ["lessons", lesson, "shot-look", picked.at, columns],
      queryFn: () =>
        api.post<Wire["LookView"]>(`/api/lessons/${lesson}/shot-files/look`, {
          text: picked.text,
          columns: columns ?? null,
        }),
      placeholderData: keepPreviousData,
      gcTime: 0,
      staleTime: 0,
      retry: false,
    }),
  /** The swings of a lesson, and what the kept ones say together. */
  swings: (id: string) =>
    queryOptions({
      queryKey: ["lessons", id, "swings"],
      queryFn: () => api.get<Wire["SwingsView"]>(`/api/lessons/${id}/swings`),
    }),
  /** The filmed swings of a lesson. */
  clips: (id: string) =>
    queryOptions({
      queryKey: ["lessons", id, "clips"],
      queryFn: () => api.get<Wire["ClipsView"]>(`/api/lessons/${id}/clips`),
    }),
  earlierClips: (id: string) =>
    queryOptions({
      queryKey: ["lessons", id, "earlier-clips"],
      queryFn: () => api.get<Wire["EarlierClips"][]>(`/api/lessons/${id}/earlier-clips`),
    }),
  demoFilms: () =>
    queryOptions({
      queryKey: ["demo", "films"],
      queryFn: () => api.get<Wire["DemoFilm"][]>("/api/demo/films"),
      staleTime: Infinity,
    }),
  /** What a student sent between lessons. */
  sentClips: (student: string) =>
    queryOptions({
      queryKey: ["students", student, "sent-clips"],
      queryFn: () => api.get<Wire["SentClip"][]>(`/api/students/${student}/sent-clips`),
    }),
  ownClips: () =>
    queryOptions({
      queryKey: ["own-clips"],
      queryFn: () => api.get<Wire["SentClip"][]>("/api/me/clips"),
      staleTime: 0,
    }),
  clipPoints: (clip: string) =>
    queryOptions({
      queryKey: ["clips", clip, "points"],
      queryFn: () => api.get<Wire["ClipPoints"]>(`/api/clips/${clip}/points`),
      staleTime: Infinity,
    }),
  /** The kept swings of the same student's lessons before. */
  earlierSwings: (id: string) =>
    queryOptions({
      queryKey: ["lessons", id, "earlier-swings"],
      queryFn: () => api.get<Wire["EarlierSwings"][]>(`/api/lessons/${id}/earlier-swings`),
    }),
  /** A drill as the golfer does it on a rung, or its usual mistake. */
  motion: (drill: string, rung: string, hand: Hand, { mistake = false, halfStep, height }: Moved = {}) =>
    motion(`drills/${drill}`, [
      ["rung", rung],
      ["hand", hand],
      ["mistake", String(mistake)],
      ...(halfStep ? [["halfStep", halfStep]] : []),
      ...tall(height),
    ]),
  /** A full swing with faults, each by how far it is there, 0 to 1; without any the school's sound swing. */
  swingMotion: (faults: Record<string, number>, hand: Hand, school: string, height?: number | null) =>
    motion("swing", [
      ...Object.entries(faults).map(([fault, strength]) => ["fault", `${fault}:${strength.toFixed(2)}`]),
      ["hand", hand],
      ["school", school],
      ...tall(height),
    ]),
  /** The swing that a lesson began with, as far as it was measured. */
  ownSwing: (lesson: string, of?: Pick<Lesson, "version" | "measured">) =>
    queryOptions({
      queryKey: ["lessons", lesson, "motion", of?.version, of?.measured],
      queryFn: () => api.get<Wire["OwnSwingView"]>(`/api/lessons/${lesson}/motion`),
      placeholderData: keepPreviousData,
    }),
  /**
   * The picture that shows most, of many drills at once.
   *
   * @param of drill and rung, such as disc-turn:feel; none for every drill on its lowest rung, by its id
   */
  poses: (hand: Hand, of: string[] = [], height?: number | null) => {
    const asked = [["hand", hand], ...of.map((o) => ["of", o]), ...tall(height)];
    const path = `/api/motions/poses?${new URLSearchParams(asked)}`;
    return queryOptions({
      queryKey: ["motions", path],
      queryFn: () => api.get<Record<string, Wire["MotionView"]>>(path),
      staleTime: Infinity,
    });
  },
  /** A swing as drawn; its loads never change. */
  curve: (swing: string) =>
    queryOptions({
      queryKey: ["swings", swing, "curve"],
      queryFn: () => api.get<Wire["CurveView"]>(`/api/swings/${swing}/curve`),
      staleTime: Infinity,
    }),
  firstChoices: () =>
    queryOptions({
      queryKey: ["first-choices"],
      queryFn: () => api.get<Wire["FirstChoice"][]>("/api/first-choices"),
    }),
  plate: () => queryOptions({ queryKey: ["plate"], queryFn: () => api.get<Wire["PlateView"]>("/api/plate") }),
  feet: (id: string, against: string) =>
    queryOptions({
      queryKey: ["lessons", id, "feet", against],
      queryFn: () => api.get<Feet>(`/api/lessons/${id}/feet?against=${against}`),
    }),
  hipLine: (id: string, degrees: number, wanted: string) =>
    queryOptions({
      queryKey: ["lessons", id, "hip-line", degrees, wanted],
      queryFn: () => api.get<HipLine>(`/api/lessons/${id}/hip-line?degrees=${degrees}&wanted=${wanted}`),
    }),
  decisions: (id: string) =>
    queryOptions({
      queryKey: ["lessons", id, "decisions"],
      queryFn: () => api.get<Decision[]>(`/api/lessons/${id}/decisions`),
    }),
  /** The calculator: what would be said of this; nothing is stored. */
  whatIf: (seen: Wire["DiagnosisRequest"]) =>
    queryOptions({
      queryKey: ["what-if", seen],
      queryFn: () => api.post<Diagnosis>("/api/diagnosis", seen),
      staleTime: Infinity,
    }),
  approach: () => queryOptions({ queryKey: ["approach"], queryFn: () => api.get<Approach>("/api/approach") }),
  studentApproach: (id: string) =>
    queryOptions({
      queryKey: ["students", id, "approach"],
      queryFn: () => api.get<StudentApproach>(`/api/students/${id}/approach`),
    }),
  lessonPlan: (id: string) =>
    queryOptions({
      queryKey: ["lessons", id, "plan"],
      queryFn: () => api.get<StoredPlan>(`/api/lessons/${id}/plan`),
      retry: false,
    }),
  /** The days of a plan up to today, with what was entered from paper; read afresh whenever it is opened. */
  paper: (plan: string) =>
    queryOptions({
      queryKey: ["plans", plan, "paper"],
      queryFn: () => api.get<Wire["PaperDay"][]>(`/api/plans/${plan}/paper`),
      gcTime: 0,
    }),
  /** What a smaller plan would ask for. */
  smaller: (plan: string) =>
    queryOptions({
      queryKey: ["plans", plan, "smaller"],
      queryFn: () => api.get<Wire["SmallerView"]>(`/api/plans/${plan}/smaller`),
      gcTime: 0,
      retry: false,
    }),
  practised: (lesson: string) =>
    queryOptions({
      queryKey: ["lessons", lesson, "practised"],
      queryFn: () => api.get<string[]>(`/api/lessons/${lesson}/plan/practised`),
    }),
  /** What each stage of a lesson brought. */
  tried: (id: string) =>
    queryOptions({
      queryKey: ["lessons", id, "tried"],
      queryFn: () => api.get<Wire["StagesView"]>(`/api/lessons/${id}/tried`),
    }),
  climb: (lesson: string, minutes: number) =>
    queryOptions({
      queryKey: ["lessons", lesson, "climb", minutes],
      queryFn: () => api.get<Wire["ClimbPartView"][]>(`/api/lessons/${lesson}/climb?minutes=${minutes}`),
    }),
  /** What can be checked at the start of a lesson, or was. */
  lessonChecks: (lesson: string) =>
    queryOptions({
      queryKey: ["lessons", lesson, "checks"],
      queryFn: () => api.get<Wire["LessonCheckView"][]>(`/api/lessons/${lesson}/checks`),
    }),
  offers: (lesson: string) =>
    queryOptions({
      queryKey: ["lessons", lesson, "offers"],
      queryFn: () => api.get<Wire["OffersView"]>(`/api/lessons/${lesson}/plan/offers`),
    }),
  alternatives: (lesson: string, fault: string, rung: string) =>
    queryOptions({
      queryKey: ["lessons", lesson, "alternatives", fault, rung],
      queryFn: () =>
        api.get<Wire["AlternativeView"][]>(
          `/api/lessons/${lesson}/plan/alternatives?fault=${fault}&rung=${rung}`,
        ),
      staleTime: 0,
    }),
  /** Drills that could be done at once with this one on a rung. */
  partners: (lesson: string, drill: string, rung: string) =>
    queryOptions({
      queryKey: ["lessons", lesson, "partners", drill, rung],
      queryFn: () =>
        api.get<Wire["AlternativeView"][]>(
          `/api/lessons/${lesson}/plan/partners?drill=${drill}&rung=${rung}`,
        ),
      staleTime: 0,
    }),
  templates: () =>
    queryOptions({
      queryKey: ["templates"],
      queryFn: () => api.get<Wire["StoredTemplate"][]>("/api/templates"),
    }),
  drillFile: (id: string) =>
    queryOptions({
      queryKey: ["drills", id, "file"],
      queryFn: () => api.get<DrillSource[]>(`/api/drills/${id}/file`),
    }),
  drillRecord: (id: string) =>
    queryOptions({
      queryKey: ["drills", id, "record"],
      queryFn: () => api.get<Wire["DrillRecordView"]>(`/api/drills/${id}/record`),
    }),
  /** How often each drill worked for a fault. */
  whatWorked: (fault: string) =>
    queryOptions({
      queryKey: ["faults", fault, "worked"],
      queryFn: () => api.get<Wire["WhatWorkedView"]>(`/api/faults/${fault}/worked`),
      staleTime: 0,
    }),
  /** All that the phone needs for every day of the plan. */
  me: () => queryOptions({ queryKey: ["me"], queryFn: () => api.get<Me>("/api/me") }),
  account: () =>
    queryOptions({
      queryKey: ["account"],
      queryFn: () => api.get<Wire["AccountView"]>("/api/account"),
      staleTime: 0,
    }),
  /** The coaches of the house and the students who change hands. */
  academy: () =>
    queryOptions({
      queryKey: ["academy"],
      queryFn: () => api.get<Wire["AcademyView"]>("/api/academy"),
      staleTime: 0,
    }),
  health: () =>
    queryOptions({
      queryKey: ["health"],
      queryFn: () => api.get<Wire["HealthView"]>("/api/health"),
      staleTime: 0,
    }),
  standIns: (id: string) =>
    queryOptions({
      queryKey: ["students", id, "stand-ins"],
      queryFn: () => api.get<Wire["StandIn"][]>(`/api/students/${id}/stand-ins`),
    }),
  accesses: (id: string) =>
    queryOptions({
      queryKey: ["students", id, "accesses"],
      queryFn: () => api.get<Wire["Access"][]>(`/api/students/${id}/accesses`),
    }),
  /** What the coaches of the house share with each other. */
  sharedDrills: () =>
    queryOptions({
      queryKey: ["drills", "shared"],
      queryFn: () => api.get<Wire["SharingView"]>("/api/drills/shared"),
    }),
  mail: () => queryOptions({ queryKey: ["mail"], queryFn: () => api.get<Wire["Letter"][]>("/api/mail") }),
};

/** The vocabulary, said for one hand. */
export function useCatalogue(hand: Hand | string | undefined, units?: string) {
  return useQuery(queries.catalogue(hand === "left" ? "left" : "right", units));
}
