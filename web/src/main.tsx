import { PersistQueryClientProvider } from "@tanstack/react-query-persist-client";
import { lazy, StrictMode, Suspense } from "react";
import { createRoot } from "react-dom/client";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { client, keeping, restored } from "./api/keeping";
import { FirstCoachPage } from "./features/account/FirstCoachPage";
import { Home, OnlyFor } from "./features/account/OnlyFor";
import { LeftBehind } from "./features/lesson/LeftBehind";
import { SignInPage } from "./features/account/SignInPage";
import { FocusKeeper } from "./ui/FocusKeeper";
import { Loading } from "./ui/Notice";
import { NotFoundPage } from "./ui/NotFoundPage";
import { applyTheme, storedTheme } from "./ui/theme";
import "./ui/theme.css";

const WelcomePage = lazy(() => import("./features/account/WelcomePage"));
const ForgottenPage = lazy(() => import("./features/account/ForgottenPage"));
const PasswordLinkPage = lazy(() => import("./features/account/PasswordLinkPage"));
const AccountPage = lazy(() => import("./features/account/AccountPage"));
const AcademyPage = lazy(() => import("./features/academy/AcademyPage"));
const JoinPage = lazy(() => import("./features/academy/JoinPage"));
const RosterPage = lazy(() => import("./features/student/RosterPage"));
const StudentFormPage = lazy(() => import("./features/student/StudentFormPage"));
const StudentPage = lazy(() => import("./features/student/StudentPage"));
const ApproachPage = lazy(() => import("./features/approach/ApproachPage"));
const StudentApproachPage = lazy(() => import("./features/approach/StudentApproachPage"));
const LessonPage = lazy(() => import("./features/lesson/LessonPage"));
const PlanPage = lazy(() => import("./features/plan/PlanPage"));
const ComparePage = lazy(() => import("./features/progress/ComparePage"));
const ProposalsPage = lazy(() => import("./features/progress/ProposalsPage"));
const ReportPage = lazy(() => import("./features/report/ReportPage"));
const LibraryPage = lazy(() => import("./features/drill/LibraryPage"));
const DrillFormPage = lazy(() => import("./features/drill/DrillFormPage"));
const DrillPage = lazy(() => import("./features/drill/DrillPage"));
const FaultPage = lazy(() => import("./features/drill/FaultPage"));
const DayPage = lazy(() => import("./features/day/DayPage"));
const OutboxPage = lazy(() => import("./features/day/OutboxPage"));
const PaperPage = lazy(() => import("./features/practice/PaperPage"));
const SheetPage = lazy(() => import("./features/plan/SheetPage"));
const TodayPage = lazy(() => import("./features/phone/TodayPage"));
const RunnerPage = lazy(() => import("./features/phone/RunnerPage"));
const PhoneAccountPage = lazy(() => import("./features/phone/PhoneAccountPage"));
const CardPage = lazy(() => import("./features/phone/CardPage"));
const SolesPage = lazy(() => import("./features/phone/SolesPage"));
const SendFilmPage = lazy(() => import("./features/clip/SendFilmPage"));
const SentFilmPage = lazy(() => import("./features/clip/SentFilmPage"));
const ClimbPage = lazy(() => import("./features/phone/ClimbPage"));

applyTheme(storedTheme());

// A page of an older version may ask for a file that the newer one no longer has.
window.addEventListener("vite:preloadError", () => window.location.reload());

const router = createBrowserRouter([
  { path: "/", element: <Home /> },
  { path: "/sign-in", element: <SignInPage /> },
  { path: "/start", element: <FirstCoachPage /> },
  { path: "/welcome/:token", element: <WelcomePage /> },
  { path: "/join/:token", element: <JoinPage /> },
  { path: "/forgotten", element: <ForgottenPage /> },
  { path: "/password/:token", element: <PasswordLinkPage /> },
  {
    element: <OnlyFor role="coach" above={<LeftBehind />} />,
    children: [
      { path: "/day", element: <DayPage /> },
      { path: "/account", element: <AccountPage /> },
      { path: "/academy", element: <AcademyPage /> },
      { path: "/outbox", element: <OutboxPage /> },
      { path: "/students", element: <RosterPage /> },
      { path: "/students/new", element: <StudentFormPage /> },
      { path: "/students/:id", element: <StudentPage /> },
      { path: "/students/:id/edit", element: <StudentFormPage /> },
      { path: "/students/:id/compare", element: <ComparePage /> },
      { path: "/students/:id/approach", element: <StudentApproachPage /> },
      { path: "/students/:id/films/:clip", element: <SentFilmPage /> },
      { path: "/approach", element: <ApproachPage /> },
      { path: "/drills", element: <LibraryPage /> },
      { path: "/drills/new", element: <DrillFormPage /> },
      { path: "/drills/:id", element: <DrillPage /> },
      { path: "/drills/:id/edit", element: <DrillFormPage /> },
      { path: "/faults/:id", element: <FaultPage /> },
      { path: "/lessons/:id", element: <LessonPage /> },
      { path: "/lessons/:id/report", element: <ReportPage /> },
      { path: "/proposals", element: <ProposalsPage /> },
      { path: "/lessons/:id/plan", element: <PlanPage /> },
      { path: "/lessons/:id/plan/sheet", element: <SheetPage /> },
      { path: "/lessons/:id/plan/paper", element: <PaperPage /> },
    ],
  },
  {
    element: <OnlyFor role="student" />,
    children: [
      { path: "/today", element: <TodayPage /> },
      { path: "/today/practice", element: <RunnerPage /> },
      { path: "/today/feet", element: <SolesPage /> },
      { path: "/today/film", element: <SendFilmPage /> },
      { path: "/card", element: <CardPage /> },
      { path: "/climb", element: <ClimbPage /> },
      { path: "/climb/account", element: <PhoneAccountPage /> },
    ],
  },
  { path: "/students/*", element: <Navigate to="/students" /> },
  { path: "*", element: <NotFoundPage /> },
]);

createRoot(document.getElementById("root") as HTMLElement).render(
  <StrictMode>
    <PersistQueryClientProvider client={client} persistOptions={keeping} onSuccess={restored}>
      <FocusKeeper />
      <Suspense fallback={<Loading />}>
        <RouterProvider router={router} />
      </Suspense>
    </PersistQueryClientProvider>
  </StrictMode>,
);
