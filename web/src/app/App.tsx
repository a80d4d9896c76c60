import { useQuery } from "@tanstack/react-query";
import { lazy, Suspense } from "react";
import { Navigate, Route, Routes } from "react-router";
import { Problem } from "../api/http";
import { FolderPage } from "../features/folder/FolderPage";
import { HearPage } from "../features/hear/HearPage";
import { RunPage } from "../features/hear/RunPage";
import { CheckPage } from "../features/library/CheckPage";
import { LibraryPage } from "../features/library/LibraryPage";
import { PodiumPage } from "../features/podium/PodiumPage";
import { BeltsPage } from "../features/roster/BeltsPage";
import { BoardPage } from "../features/roster/BoardPage";
import { StudentsPage } from "../features/roster/StudentsPage";
import { SeasonPage } from "../features/season/SeasonPage";
import { Failed, Skeleton } from "../ui/parts";
import { loadNotation } from "./loadNotation";
import { meQuery } from "./queries";
import { Shell } from "./Shell";
import { SignIn } from "./SignIn";

/** Opened at a line or a warm-up, page and renderer come while it is still asked who is signed in. */
if (/^\/library\/lines\/|^\/podium\/warm-up/.test(window.location.pathname)) void loadNotation();

/** Screens that are not needed on the podium come when they are opened. */
const CheckEditPage = lazy(async () => ({
  default: (await import("../features/library/CheckEditPage")).CheckEditPage,
}));
const LinePage = lazy(async () => ({ default: (await import("../features/line/LinePage")).LinePage }));
const WarmUpPage = lazy(async () => ({
  default: (await import("../features/warmup/WarmUpPage")).WarmUpPage,
}));
const LineEditPage = lazy(async () => ({
  default: (await import("../features/library/LineEditPage")).LineEditPage,
}));
const LineImportPage = lazy(async () => ({
  default: (await import("../features/library/LineImportPage")).LineImportPage,
}));
const RehearsalCardPage = lazy(async () => ({
  default: (await import("../features/line/RehearsalCardPage")).RehearsalCardPage,
}));
const FitPage = lazy(async () => ({ default: (await import("../features/fit/FitPage")).FitPage }));
const PartnerCheckPage = lazy(async () => ({
  default: (await import("../features/partners/PartnerCheckPage")).PartnerCheckPage,
}));
const PartnerSetupPage = lazy(async () => ({
  default: (await import("../features/partners/PartnerSetupPage")).PartnerSetupPage,
}));
const OrderSheetPage = lazy(async () => ({
  default: (await import("../features/season/OrderSheetPage")).OrderSheetPage,
}));
const OfficePage = lazy(async () => ({
  default: (await import("../features/office/OfficePage")).OfficePage,
}));

export function App() {
  const me = useQuery(meQuery);
  if (me.isPending) return <main aria-busy="true" className="p-8" />;
  if (me.isError) {
    if (me.error instanceof Problem && me.error.status === 401) return <SignIn />;
    return (
      <main className="mx-auto max-w-xl p-8">
        <h1 className="mb-3 text-2xl">Vivid Roster</h1>
        <Failed error={me.error} again={() => void me.refetch()} />
      </main>
    );
  }
  return (
    <Shell me={me.data}>
      <Suspense fallback={<Skeleton rows={9} />}>
        <Routes>
          <Route path="/podium" element={<PodiumPage />} />
          <Route path="/podium/warm-up" element={<WarmUpPage director={me.data.role === "DIRECTOR"} />} />
          <Route path="/season" element={<SeasonPage director={me.data.role === "DIRECTOR"} />} />
          <Route path="/season/sheet" element={<OrderSheetPage />} />
          <Route path="/library" element={<LibraryPage director={me.data.role === "DIRECTOR"} />} />
          {me.data.role === "DIRECTOR" && (
            <>
              <Route path="/library/checks/new" element={<CheckEditPage />} />
              <Route path="/library/checks/:milestoneId/edit" element={<CheckEditPage />} />
              <Route path="/library/books/:bookId/lines/new" element={<LineEditPage />} />
              <Route path="/library/books/:bookId/import" element={<LineImportPage />} />
              <Route path="/library/lines/:lineId/edit" element={<LineEditPage />} />
            </>
          )}
          <Route
            path="/library/lines/:lineId"
            element={<LinePage director={me.data.role === "DIRECTOR"} />}
          />
          <Route
            path="/library/checks/:milestoneId"
            element={<CheckPage director={me.data.role === "DIRECTOR"} />}
          />
          <Route path="/library/lines/:lineId/card" element={<RehearsalCardPage />} />
          <Route path="/hear" element={<HearPage />} />
          <Route path="/hear/:milestoneId" element={<RunPage />} />
          <Route path="/hear/:milestoneId/partners" element={<PartnerSetupPage />} />
          <Route path="/hear/partners/:partnerCheckId" element={<PartnerCheckPage />} />
          <Route path="/roster" element={<BoardPage />} />
          <Route path="/roster/fit" element={<FitPage />} />
          <Route path="/roster/belts" element={<BeltsPage />} />
          <Route path="/roster/students" element={<StudentsPage />} />
          <Route
            path="/roster/students/:studentId"
            element={<FolderPage director={me.data.role === "DIRECTOR"} />}
          />
          <Route path="/office" element={<OfficePage director={me.data.role === "DIRECTOR"} />} />
          <Route path="*" element={<Navigate to="/podium" replace />} />
        </Routes>
      </Suspense>
    </Shell>
  );
}
