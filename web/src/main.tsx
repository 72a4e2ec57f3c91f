import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { lazy, StrictMode, Suspense } from "react";
import { createRoot } from "react-dom/client";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { Problem } from "./api/client";
import { FirstCoachPage } from "./features/account/FirstCoachPage";
import { Home, OnlyFor } from "./features/account/OnlyFor";
import { SignInPage } from "./features/account/SignInPage";
import { Loading } from "./ui/Notice";
import { NotFoundPage } from "./ui/NotFoundPage";
import { applyTheme, storedTheme } from "./ui/theme";
import "./ui/theme.css";

const WelcomePage = lazy(() => import("./features/account/WelcomePage"));
const RosterPage = lazy(() => import("./features/student/RosterPage"));
const StudentFormPage = lazy(() => import("./features/student/StudentFormPage"));
const StudentPage = lazy(() => import("./features/student/StudentPage"));
const ApproachPage = lazy(() => import("./features/approach/ApproachPage"));
const StudentApproachPage = lazy(() => import("./features/approach/StudentApproachPage"));
const LessonPage = lazy(() => import("./features/lesson/LessonPage"));
const PlanPage = lazy(() => import("./features/plan/PlanPage"));
const LibraryPage = lazy(() => import("./features/drill/LibraryPage"));
const DrillFormPage = lazy(() => import("./features/drill/DrillFormPage"));
const DrillPage = lazy(() => import("./features/drill/DrillPage"));
const DayPage = lazy(() => import("./features/day/DayPage"));
const PaperPage = lazy(() => import("./features/practice/PaperPage"));
const SheetPage = lazy(() => import("./features/plan/SheetPage"));
const TodayPage = lazy(() => import("./features/phone/TodayPage"));
const RunnerPage = lazy(() => import("./features/phone/RunnerPage"));
const ClimbPage = lazy(() => import("./features/phone/ClimbPage"));

applyTheme(storedTheme());

const client = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 10_000,
      // Asking again helps against a lost signal, not against a refusal.
      retry: (count, error) => count < 2 && error instanceof Problem && error.status === 0,
    },
  },
});

const router = createBrowserRouter([
  { path: "/", element: <Home /> },
  { path: "/sign-in", element: <SignInPage /> },
  { path: "/start", element: <FirstCoachPage /> },
  { path: "/welcome/:token", element: <WelcomePage /> },
  {
    element: <OnlyFor role="coach" />,
    children: [
      { path: "/day", element: <DayPage /> },
      { path: "/students", element: <RosterPage /> },
      { path: "/students/new", element: <StudentFormPage /> },
      { path: "/students/:id", element: <StudentPage /> },
      { path: "/students/:id/edit", element: <StudentFormPage /> },
      { path: "/students/:id/approach", element: <StudentApproachPage /> },
      { path: "/approach", element: <ApproachPage /> },
      { path: "/drills", element: <LibraryPage /> },
      { path: "/drills/new", element: <DrillFormPage /> },
      { path: "/drills/:id", element: <DrillPage /> },
      { path: "/drills/:id/edit", element: <DrillFormPage /> },
      { path: "/lessons/:id", element: <LessonPage /> },
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
      { path: "/climb", element: <ClimbPage /> },
    ],
  },
  { path: "/students/*", element: <Navigate to="/students" /> },
  { path: "*", element: <NotFoundPage /> },
]);

createRoot(document.getElementById("root") as HTMLElement).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <Suspense fallback={<Loading />}>
        <RouterProvider router={router} />
      </Suspense>
    </QueryClientProvider>
  </StrictMode>,
);
