import { useQuery } from "@tanstack/react-query";
import { Suspense } from "react";
import { Navigate, Route, Routes, useLocation } from "react-router";
import { Problem } from "../api/http";
import { Failed, Skeleton } from "../ui/parts";
import { loadNotation } from "./loadNotation";
import { page } from "./page";
import { Place } from "./Place";
import { meQuery } from "./queries";
import { seesEverybody } from "./role";
import { InvitationPage } from "./InvitationPage";
import { SecondScreenPage } from "../features/hear/SecondScreenPage";
import { Shell } from "./Shell";
import { useMarksOf } from "./useMarksOf";
import { SignIn } from "./SignIn";

/** Opened at a line or a warm-up, page and renderer come while it is still asked who is signed in. */
if (/^\/library\/lines\/|^\/podium\/warm-up/.test(window.location.pathname)) void loadNotation();

/** Every screen comes when it is opened; the browser fetches those of the podium ahead. */
const PodiumPage = page(async () => (await import("../features/podium/PodiumPage")).PodiumPage);
const HearPage = page(async () => (await import("../features/hear/HearPage")).HearPage);
const RunPage = page(async () => (await import("../features/hear/RunPage")).RunPage);
const FolderPage = page(async () => (await import("../features/folder/FolderPage")).FolderPage);
const CheckPage = page(async () => (await import("../features/library/CheckPage")).CheckPage);
const LibraryPage = page(async () => (await import("../features/library/LibraryPage")).LibraryPage);
const BeltsPage = page(async () => (await import("../features/belts/BeltsPage")).BeltsPage);
const LaddersPage = page(async () => (await import("../features/belts/LaddersPage")).LaddersPage);
const LadderEditPage = page(async () => (await import("../features/belts/LadderEditPage")).LadderEditPage);
const AttentionPage = page(async () => (await import("../features/attention/AttentionPage")).AttentionPage);
const FairnessPage = page(async () => (await import("../features/attention/FairnessPage")).FairnessPage);
const EnsemblePage = page(async () => (await import("../features/ensemble/EnsemblePage")).EnsemblePage);
const PlacingPage = page(async () => (await import("../features/placing/PlacingPage")).PlacingPage);
const BoardPage = page(async () => (await import("../features/roster/BoardPage")).BoardPage);
const StudentsPage = page(async () => (await import("../features/roster/StudentsPage")).StudentsPage);
const SeasonPage = page(async () => (await import("../features/season/SeasonPage")).SeasonPage);
const CheckEditPage = page(async () => (await import("../features/library/CheckEditPage")).CheckEditPage);
const LinePage = page(async () => (await import("../features/line/LinePage")).LinePage);
const WarmUpPage = page(async () => (await import("../features/warmup/WarmUpPage")).WarmUpPage);
const LineEditPage = page(async () => (await import("../features/library/LineEditPage")).LineEditPage);
const LineImportPage = page(async () => (await import("../features/library/LineImportPage")).LineImportPage);
const RehearsalCardPage = page(
  async () => (await import("../features/line/RehearsalCardPage")).RehearsalCardPage,
);
const FitPage = page(async () => (await import("../features/fit/FitPage")).FitPage);
const PartnerCheckPage = page(
  async () => (await import("../features/partners/PartnerCheckPage")).PartnerCheckPage,
);
const PartnerSetupPage = page(
  async () => (await import("../features/partners/PartnerSetupPage")).PartnerSetupPage,
);
const OrderSheetPage = page(async () => (await import("../features/season/OrderSheetPage")).OrderSheetPage);
const FirstWeeksPage = page(async () => (await import("../features/season/FirstWeeksPage")).FirstWeeksPage);
const ProposalPage = page(async () => (await import("../features/season/ProposalPage")).ProposalPage);
const ForecastPage = page(async () => (await import("../features/season/ForecastPage")).ForecastPage);
const PlanFilesPage = page(async () => (await import("../features/season/PlanFilesPage")).PlanFilesPage);
const ChoosePage = page(async () => (await import("../features/season/ChoosePage")).ChoosePage);
const WeekOrderPage = page(async () => (await import("../features/season/WeekOrderPage")).WeekOrderPage);
const PlanSettingsPage = page(
  async () => (await import("../features/season/PlanSettingsPage")).PlanSettingsPage,
);
const TestPage = page(async () => (await import("../features/playingtests/TestPage")).TestPage);
const TestEditPage = page(async () => (await import("../features/playingtests/TestEditPage")).TestEditPage);
const RubricsPage = page(async () => (await import("../features/playingtests/RubricsPage")).RubricsPage);
const WrittenPage = page(async () => (await import("../features/written/WrittenPage")).WrittenPage);
const WrittenEditPage = page(
  async () => (await import("../features/written/WrittenEditPage")).WrittenEditPage,
);
const GradesPage = page(async () => (await import("../features/grades/GradesPage")).GradesPage);
const BookTablePage = page(async () => (await import("../features/library/BookTablePage")).BookTablePage);
const TestDayPage = page(async () => (await import("../features/testday/TestDayPage")).TestDayPage);
const ResultsPage = page(async () => (await import("../features/testday/ResultsPage")).ResultsPage);
const SwitchPage = page(async () => (await import("../features/switching/SwitchPage")).SwitchPage);
const SeatingPage = page(async () => (await import("../features/roster/SeatingPage")).SeatingPage);
const WeekPage = page(async () => (await import("../features/help/WeekPage")).WeekPage);
const PeriodPlanPage = page(async () => (await import("../features/podium/PeriodPlanPage")).PeriodPlanPage);
const OfficePage = page(async () => (await import("../features/office/OfficePage")).OfficePage);

export function App() {
  const me = useQuery(meQuery);
  const { pathname } = useLocation();
  useMarksOf(me.isError ? undefined : me.data);
  if (pathname === "/screen") return <SecondScreenPage />;
  if (pathname === "/invitation") return <InvitationPage />;
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
  const director = me.data.role === "DIRECTOR";
  const teaches = seesEverybody(me.data.role);
  return (
    <Shell me={me.data}>
      <Place at={pathname}>
        <Suspense fallback={<Skeleton rows={9} />}>
          <Routes>
            <Route path="/podium" element={<PodiumPage />} />
            <Route path="/podium/warm-up" element={<WarmUpPage director={teaches} />} />
            <Route path="/podium/plan/:classId" element={<PeriodPlanPage />} />
            <Route path="/library" element={<LibraryPage director={teaches} />} />
            <Route path="/library/lines/:lineId" element={<LinePage director={teaches} />} />
            <Route path="/library/checks/:milestoneId" element={<CheckPage director={teaches} />} />
            <Route path="/help/week" element={<WeekPage />} />
            <Route path="/hear" element={<HearPage />} />
            <Route path="/hear/:milestoneId" element={<RunPage />} />
            <Route path="/roster" element={<BoardPage />} />
            {teaches && (
              <>
                <Route path="/season" element={<SeasonPage director />} />
                <Route path="/season/sheet" element={<OrderSheetPage />} />
                <Route path="/season/first-weeks" element={<FirstWeeksPage />} />
                <Route path="/season/proposal" element={<ProposalPage />} />
                <Route path="/season/forecast" element={<ForecastPage />} />
                <Route path="/season/files" element={<PlanFilesPage />} />
                <Route path="/season/choose" element={<ChoosePage />} />
                <Route path="/season/week" element={<WeekOrderPage />} />
                <Route path="/season/settings" element={<PlanSettingsPage />} />
                <Route path="/library/checks/new" element={<CheckEditPage />} />
                <Route path="/library/tests/new" element={<TestEditPage />} />
                <Route path="/library/tests/:milestoneId" element={<TestPage director />} />
                <Route path="/library/tests/:milestoneId/edit" element={<TestEditPage />} />
                <Route path="/library/ladders" element={<LaddersPage />} />
                <Route path="/library/ladders/new" element={<LadderEditPage />} />
                <Route path="/library/ladders/:ladderId" element={<LadderEditPage />} />
                <Route path="/library/rubrics" element={<RubricsPage />} />
                <Route path="/library/written/new" element={<WrittenEditPage />} />
                <Route path="/library/written/:milestoneId" element={<WrittenPage />} />
                <Route path="/library/written/:milestoneId/edit" element={<WrittenEditPage />} />
                <Route path="/roster/grades" element={<GradesPage director={director} />} />
                <Route path="/library/checks/:milestoneId/edit" element={<CheckEditPage />} />
                <Route path="/library/books/:bookId/lines/new" element={<LineEditPage />} />
                <Route path="/library/books/:bookId/import" element={<LineImportPage />} />
                <Route path="/library/lines/:lineId/edit" element={<LineEditPage />} />
                <Route path="/library/lines/:lineId/card" element={<RehearsalCardPage />} />
                <Route path="/hear/:milestoneId/day" element={<TestDayPage />} />
                <Route path="/hear/:milestoneId/results" element={<ResultsPage />} />
                <Route path="/hear/:milestoneId/partners" element={<PartnerSetupPage />} />
                <Route path="/hear/partners/:partnerCheckId" element={<PartnerCheckPage />} />
                <Route path="/roster/fit" element={<FitPage />} />
                <Route path="/roster/attention" element={<AttentionPage />} />
                <Route path="/roster/turns" element={<FairnessPage />} />
                <Route path="/roster/ensemble" element={<EnsemblePage />} />
                <Route path="/roster/belts" element={<BeltsPage />} />
                <Route path="/roster/students" element={<StudentsPage director={director} />} />
                <Route path="/roster/seating" element={<SeatingPage />} />
                {director && <Route path="/roster/switch" element={<SwitchPage />} />}
                <Route path="/library/books/:bookId/table" element={<BookTablePage />} />
                <Route path="/roster/students/:studentId/placing" element={<PlacingPage />} />
                <Route path="/roster/students/:studentId" element={<FolderPage director={director} />} />
                <Route path="/office" element={<OfficePage director={director} />} />
              </>
            )}
            <Route path="*" element={<Navigate to="/podium" replace />} />
          </Routes>
        </Suspense>
      </Place>
    </Shell>
  );
}
