import { act, cleanup, fireEvent, screen } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Partner, PartnerCheck, PartnerProposal } from "../../api/types";
import { draw, Refusal, server, type Sent } from "../../test/render";
import { PartnerCheckPage } from "./PartnerCheckPage";
import { PartnerSetupPage } from "./PartnerSetupPage";

const partner = (studentId: string, name: string): Partner => ({
  studentId,
  name,
  instrument: "violin",
  instrumentName: "Violin",
  division: "",
});
const ana = partner("ana", "Ana Reed");
const bo = partner("bo", "Bo Lund");
const cy = partner("cy", "Cy Moor");
const di = partner("di", "Di Vale");

const proposal: PartnerProposal = {
  milestoneTitle: "First light",
  measures: 8,
  groups: [{ members: [ana, bo] }, { members: [cy, di] }],
  watch: ["Tall", "Fingers", "Full notes", "Pulse"],
  parts: [{ instrument: "violin", instrumentName: "Violin", division: "" }],
  earlier: 1,
};

const going: PartnerCheck = {
  id: "p1",
  classId: "c1",
  className: "Strings",
  milestoneId: "m1",
  milestoneVersion: 2,
  milestoneTitle: "First light",
  heldOn: "2026-10-07",
  pairing: "FAIR",
  watch: ["Tall", "Fingers", "Full notes"],
  measures: [{ instrumentName: "Violin", division: "", first: 1, last: 4 }],
  passes: false,
  groups: [
    {
      turns: [
        { plays: ana, watch: [bo], found: "NOT_YET", note: "Watched by Bo Lund; not seen: Tall" },
        { plays: bo, watch: [ana] },
      ],
    },
    {
      turns: [
        { plays: cy, watch: [di] },
        { plays: di, watch: [cy] },
      ],
    },
  ],
};

let sent: Sent[];
beforeEach(() => {
  localStorage.clear();
  sent = server({
    "GET /api/partner-checks/proposal": proposal,
    "GET /api/partner-checks/p1": going,
    "GET /api/partner-checks": [{ id: "old", milestoneTitle: "Bow", heldOn: "2026-09-28", students: 14 }],
    "POST /api/partner-checks": undefined,
    "POST /api/attempts": [],
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const sending = () => act(() => new Promise((done) => setTimeout(done, 20)));
const setup = () =>
  draw(
    <Routes>
      <Route path="/hear/:milestoneId/partners" element={<PartnerSetupPage />} />
      <Route path="*" element={<p>set up</p>} />
    </Routes>,
    "/hear/m1/partners?class=c1",
  );
const watching = () =>
  draw(
    <Routes>
      <Route path="/hear/partners/:partnerCheckId" element={<PartnerCheckPage />} />
    </Routes>,
    "/hear/partners/p1?class=c1",
  );

describe("setting up a partner check", () => {
  it("lets two students change places and sends what was set up", async () => {
    setup();
    fireEvent.click(await screen.findByRole("button", { name: "Bo Lund" }));
    expect(screen.getByText("Now tap with whom to change places.")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Cy Moor" }));
    fireEvent.change(screen.getByLabelText("Point 4"), { target: { value: "" } });
    fireEvent.change(screen.getByLabelText("First measure for Violin"), { target: { value: "1" } });
    fireEvent.change(screen.getByLabelText("Last measure for Violin"), { target: { value: "4" } });
    fireEvent.click(screen.getByRole("button", { name: "Set up for 4 students" }));
    expect(await screen.findByText("set up")).toBeTruthy();
    expect(sent.find((s) => s.method === "POST")?.body).toMatchObject({
      milestoneId: "m1",
      pairing: "FAIR",
      watch: ["Tall", "Fingers", "Full notes", ""],
      measures: [{ instrument: "violin", division: "", first: 1, last: 4 }],
      groups: [
        ["ana", "cy"],
        ["bo", "di"],
      ],
    });
  });

  it("says why nobody can be paired", async () => {
    vi.unstubAllGlobals();
    server({
      "GET /api/partner-checks/proposal": new Refusal(
        422,
        "Cy Moor is alone here; a partner check needs two.",
      ),
      "GET /api/partner-checks": [],
    });
    setup();
    expect((await screen.findByRole("alert")).textContent).toContain("Cy Moor is alone here");
  });

  it("asks anew when partners are found another way", async () => {
    setup();
    await screen.findByRole("button", { name: "Bo Lund" });
    fireEvent.click(screen.getByRole("radio", { name: "As they sit" }));
    await screen.findByText("Neighbours at one stand.");
    expect(sent.some((s) => s.path.includes("pairing=STAND"))).toBe(true);
    expect(screen.getByRole("link", { name: "Bow" }).getAttribute("href")).toContain("/hear/partners/old");
  });
});

describe("a partner check as it goes on", () => {
  it("shows what was found and keeps what a partner says as evidence of its own kind", async () => {
    watching();
    expect(await screen.findByText("not seen: Tall")).toBeTruthy();
    expect(screen.getByText("Violin: measures 1 to 4")).toBeTruthy();
    expect(screen.getByText(/1 of 4 noted/).textContent).toContain("makes no pass unless an order says so");
    fireEvent.click(screen.getByRole("button", { name: "Cy Moor: not seen, Fingers" }));
    fireEvent.click(screen.getByRole("button", { name: "1 not seen" }));
    await sending();
    expect(sent.find((s) => s.path === "/api/attempts")?.body).toMatchObject({
      studentId: "cy",
      milestoneVersion: 2,
      outcome: "NOT_YET",
      evidence: "PARTNER_CHECK",
      note: "Watched by Di Vale; not seen: Fingers",
    });
    expect(screen.getByText("not seen: Fingers")).toBeTruthy();
  });

  it("takes all that are left as seen at one press", async () => {
    watching();
    fireEvent.click(await screen.findByRole("button", { name: "All seen for the 3 left" }));
    await sending();
    const { attempts } = sent.find((s) => s.path === "/api/attempts/batch")!.body as {
      attempts: { studentId: string; outcome: string; marks?: unknown }[];
    };
    expect(attempts.map((a) => [a.studentId, a.outcome, a.marks])).toEqual([
      ["bo", "PASS", undefined],
      ["cy", "PASS", undefined],
      ["di", "PASS", undefined],
    ]);
    expect(screen.getByText(/4 of 4 noted/)).toBeTruthy();
    expect(screen.queryByRole("button", { name: /^All seen for/ })).toBeNull();
  });

  it("lets a finding be noted again", async () => {
    watching();
    fireEvent.click(await screen.findByRole("button", { name: "note again" }));
    fireEvent.click(screen.getAllByRole("button", { name: "All seen" })[0]!);
    await sending();
    expect(sent.find((s) => s.path === "/api/attempts")?.body).toMatchObject({
      studentId: "ana",
      outcome: "PASS",
      note: "Watched by Bo Lund",
    });
  });
});
